import {
  feedPath,
  mostRowsInAMessage,
  type FeedHave,
  type FeedHello,
  type FeedRefusal,
  type FeedRows,
} from '@jasperwren/contract/yard-feed';
import { openLine } from './socket';

/** Sends the rows of a run until all are kept, over as many connections as it takes. */
export interface RunSender {
  /** More rows have come: so many of all are there now. */
  readonly advance: (count: number) => void;
  readonly close: () => void;
}

interface Sent {
  readonly run: string;
  readonly columns: string;
  /** All rows that there are or will be. */
  readonly rows: readonly string[];
  /** Is told how many the server keeps. */
  readonly kept?: (have: number) => void;
  readonly refused?: (error: string) => void;
}

/** Begins to send a run that the server knows. */
export function sendRun({ run, columns, rows, kept, refused }: Sent): RunSender {
  let have: number | undefined;
  let waiting = false;
  let there = 0;
  const line = openLine({
    path: () => feedPath,
    opened: (own) => {
      have = undefined;
      waiting = true;
      own.send({ run, columns } satisfies FeedHello);
    },
    told(what: FeedHave | FeedRefusal) {
      if ('error' in what) {
        line.close();
        refused?.(what.error);
        return;
      }
      have = what.have;
      waiting = false;
      kept?.(have);
      next();
    },
    lost: () => {
      have = undefined;
    },
  });
  /** One message at a time: the next goes once this one is kept. */
  function next(): void {
    if (have === undefined || waiting || have >= there) return;
    const part: FeedRows = { from: have, rows: rows.slice(have, Math.min(there, have + mostRowsInAMessage)) };
    waiting = true;
    line.send(part);
  }
  return {
    advance(count) {
      there = Math.min(rows.length, Math.max(there, count));
      next();
    },
    close: line.close,
  };
}

/** Sends all rows of a run and is done once they are kept. */
export function sendWholeRun(sent: Omit<Sent, 'kept' | 'refused'>, kept?: (have: number) => void): Promise<void> {
  return new Promise((resolve, reject) => {
    const sender = sendRun({
      ...sent,
      kept(have) {
        kept?.(have);
        if (have < sent.rows.length) return;
        sender.close();
        resolve();
      },
      refused: (error) => reject(new Error(error)),
    });
    sender.advance(sent.rows.length);
  });
}
