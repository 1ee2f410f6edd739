import { mostRowsInAMessage, type FeedHave, type FeedHello, type FeedRefusal, type FeedRows } from './yard-feed';

interface Sent {
  readonly hello: FeedHello;
  /** All rows that there are or will be. */
  readonly rows: readonly string[];
  readonly send: (what: FeedHello | FeedRows) => void;
  /** Is told how many rows are kept. */
  readonly kept?: (have: number) => void;
  /** Nothing more is taken, and why. */
  readonly refused: (error: string) => void;
}

/** The sending end of the feed, over whatever sockets there are, one after the other. */
export interface YardSender {
  /** A socket is open. */
  readonly opened: () => void;
  /** The server said this. */
  readonly told: (what: FeedHave | FeedRefusal) => void;
  /** So many of all rows are due by now. */
  readonly advance: (due: number) => void;
}

/** Sends the rows of a run one message after the other, each once the one before is kept; after a lost socket from where it was. */
export function yardSender({ hello, rows, send, kept, refused }: Sent): YardSender {
  /** Undefined while the server has not said it on this socket. */
  let have: number | undefined;
  let waiting = false;
  let due = 0;
  function next(): void {
    if (have === undefined || waiting || have >= due) return;
    waiting = true;
    send({ from: have, rows: rows.slice(have, Math.min(due, have + mostRowsInAMessage)) });
  }
  return {
    opened() {
      have = undefined;
      waiting = true;
      send(hello);
    },
    told(what) {
      if ('error' in what) return refused(what.error);
      have = what.have;
      waiting = false;
      kept?.(have);
      next();
    },
    advance(count) {
      due = Math.min(rows.length, Math.max(due, count));
      next();
    },
  };
}
