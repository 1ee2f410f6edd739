import {
  feedPath,
  mostRowsInAMessage,
  type FeedHave,
  type FeedHello,
  type FeedRefusal,
  type FeedRows,
} from '@jasperwren/contract/yard-feed';
import { WebSocket } from 'ws';

interface Sent {
  /** Address of the server. */
  readonly to: string;
  /** What the car signs in by. */
  readonly token: string;
  readonly run: string;
  readonly name: string;
  readonly columns: string;
  readonly rows: readonly string[];
  /** Milliseconds after the start at which each row is due. */
  readonly due: (row: number) => number;
}

/** After a lost connection another is tried after so many milliseconds. */
const againMs = 1000;
const tickMs = 100;

/**
 * Sends rows as a car does: each when it is due, over as many connections as it takes, and what was held back at once.
 * @throws Error where the server refuses the car or the run
 */
export function sendAsCar({ to, token, run, name, columns, rows, due }: Sent): Promise<void> {
  const startedAt = Date.now();
  return new Promise((resolve, reject) => {
    let have: number | undefined;
    let waiting = false;
    let over = false;
    let ws: WebSocket | undefined;
    const end = (error?: Error) => {
      over = true;
      clearInterval(timer);
      ws?.close();
      if (error) reject(error);
      else resolve();
    };
    const next = () => {
      if (have === undefined || waiting || ws?.readyState !== WebSocket.OPEN) return;
      if (have >= rows.length) return end();
      let ready = have;
      while (ready < rows.length && ready - have < mostRowsInAMessage && due(ready) <= Date.now() - startedAt) ready++;
      if (ready === have) return;
      waiting = true;
      ws.send(JSON.stringify({ from: have, rows: rows.slice(have, ready) } satisfies FeedRows));
    };
    const timer = setInterval(next, tickMs);
    const open = () => {
      ws = new WebSocket(new URL(feedPath, to.replace(/^http/, 'ws')), {
        headers: { authorization: `Bearer ${token}` },
      });
      ws.on('open', () => {
        have = undefined;
        waiting = true;
        ws!.send(JSON.stringify({ run, columns, name } satisfies FeedHello));
      });
      ws.on('message', (data: Buffer) => {
        const told = JSON.parse(data.toString('utf8')) as FeedHave | FeedRefusal;
        if ('error' in told) return end(new Error(told.error));
        have = told.have;
        waiting = false;
        next();
      });
      ws.on('unexpected-response', (_, { statusCode }) =>
        end(new Error(statusCode === 401 ? 'The server does not know this car.' : `The server answers ${statusCode}.`)),
      );
      ws.on('error', () => undefined);
      ws.on('close', () => {
        have = undefined;
        if (!over) setTimeout(open, againMs);
      });
    };
    open();
  });
}
