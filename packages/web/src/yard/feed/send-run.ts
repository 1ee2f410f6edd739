import { feedPath, type FeedHave, type FeedRefusal } from '@jasperwren/contract/yard-feed';
import { yardSender, type YardSender } from '@jasperwren/contract/yard-sender';
import { openLine } from './socket';

/** Sends the rows of a run until all are kept, over as many connections as it takes. */
export interface RunSender extends Pick<YardSender, 'advance'> {
  readonly close: () => void;
}

interface Sent {
  readonly run: string;
  readonly columns: string;
  /** All rows that there are or will be. */
  readonly rows: readonly string[];
  readonly kept?: (have: number) => void;
  readonly refused?: (error: string) => void;
}

/** Begins to send a run that the server knows. */
export function sendRun({ run, columns, rows, kept, refused }: Sent): RunSender {
  const line = openLine({
    path: () => feedPath,
    opened: () => sender.opened(),
    told: (what: FeedHave | FeedRefusal) => sender.told(what),
  });
  const sender = yardSender({
    hello: { run, columns },
    rows,
    send: line.send,
    ...(kept && { kept }),
    refused(error) {
      line.close();
      refused?.(error);
    },
  });
  return { advance: sender.advance, close: line.close };
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
