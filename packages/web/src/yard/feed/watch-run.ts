import { watchPath, type WatchRows } from '@jasperwren/contract/yard-feed';
import type { SentSample } from '@jasperwren/core/yard/sample';
import { readFeedRows } from '@jasperwren/core/yard/telemetry-csv';
import { openLine } from './socket';

/** Whether a run is heard; `unknown` where the school has no such run, or has it no more. */
export type Hearing = 'connecting' | 'heard' | 'lost' | 'unknown';

interface Watcher {
  /** The place of the first sample that is wanted; all of them where it is missing. */
  readonly from?: number;
  /** Samples in the order in which the server keeps them, each once. */
  readonly samples: (samples: readonly SentSample[]) => void;
  /** Nothing has been sent yet. */
  readonly none?: () => void;
  readonly hearing?: (now: Hearing) => void;
}

/** Listens to a run over as many connections as it takes. Returns how to stop. */
export function watchRun(run: string, { from: first = 0, samples, none, hearing }: Watcher): () => void {
  let next = first;
  hearing?.('connecting');
  const line = openLine({
    path: () => `${watchPath}?run=${encodeURIComponent(run)}&from=${next}`,
    opened: () => hearing?.('heard'),
    told({ columns, from, rows }: WatchRows) {
      const fresh = rows.slice(Math.max(0, next - from));
      next = Math.max(next, from + rows.length);
      if (next === 0) none?.();
      if (fresh.length === 0) return;
      samples(readFeedRows(columns, fresh));
    },
    lost: () => hearing?.('lost'),
    ended: () => hearing?.('unknown'),
  });
  return line.close;
}
