import type { SentSample } from '@jasperwren/core/yard/sample';
import { useEffect, useState } from 'react';
import { watchRun, type Hearing } from '../feed/watch-run';

/** What has come is shown so often, in milliseconds. */
const showMs = 700;

/** What is there of a run. */
export interface RunSamples {
  /** In the order in which they were kept; undefined until it is known what there is. */
  readonly samples: readonly SentSample[] | undefined;
  readonly hearing: Hearing;
}

/** The samples of a run, and those that come while it is sent. */
export function useRunSamples(run: string | undefined): RunSamples {
  const [shown, setShown] = useState<{ readonly run: string; readonly samples: readonly SentSample[] }>();
  const [hearing, setHearing] = useState<Hearing>('connecting');
  useEffect(() => {
    if (run === undefined) return;
    const all: SentSample[] = [];
    let timer: ReturnType<typeof setTimeout> | undefined;
    const stop = watchRun(run, {
      hearing: setHearing,
      none: () => setShown({ run, samples: [] }),
      samples(more) {
        all.push(...more);
        timer ??= setTimeout(() => {
          timer = undefined;
          setShown({ run, samples: [...all] });
        }, showMs);
      },
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [run]);
  return { samples: shown?.run === run ? shown?.samples : undefined, hearing };
}
