import { feedPath, type FeedHave, type FeedHello, type FeedRefusal } from '@jasperwren/contract/yard-feed';
import { yardSender } from '@jasperwren/contract/yard-sender';
import { WebSocket } from 'ws';

interface Sent extends FeedHello {
  /** Address of the server. */
  readonly to: string;
  /** What the car signs in by. */
  readonly token: string;
  readonly rows: readonly string[];
  /** Milliseconds after the start at which each row is due, in order. */
  readonly due: (row: number) => number;
}

/** After a lost connection another is tried after so many milliseconds. */
const againMs = 1000;
const tickMs = 100;

/**
 * Sends rows as a car does: each when it is due, over as many connections as it takes, and what was held back at once.
 * @throws Error where the server refuses the car or the run
 */
export function sendAsCar({ to, token, rows, due, ...hello }: Sent): Promise<void> {
  const startedAt = Date.now();
  return new Promise((resolve, reject) => {
    let over = false;
    let ws: WebSocket | undefined;
    let dueNow = 0;
    const end = (error?: Error) => {
      over = true;
      clearInterval(timer);
      ws?.close();
      if (error) reject(error);
      else resolve();
    };
    const sender = yardSender({
      hello,
      rows,
      send: (what) => {
        if (ws?.readyState === WebSocket.OPEN) ws.send(JSON.stringify(what));
      },
      kept: (have) => {
        if (have >= rows.length) end();
      },
      refused: (error) => end(new Error(error)),
    });
    const timer = setInterval(() => {
      while (dueNow < rows.length && due(dueNow) <= Date.now() - startedAt) dueNow++;
      sender.advance(dueNow);
    }, tickMs);
    const open = () => {
      ws = new WebSocket(new URL(feedPath, to.replace(/^http/, 'ws')), {
        headers: { authorization: `Bearer ${token}` },
      });
      ws.on('open', sender.opened);
      ws.on('message', (data: Buffer) => sender.told(JSON.parse(data.toString('utf8')) as FeedHave | FeedRefusal));
      ws.on('unexpected-response', (_, { statusCode }) =>
        end(new Error(statusCode === 401 ? 'The server does not know this car.' : `The server answers ${statusCode}.`)),
      );
      ws.on('error', () => undefined);
      ws.on('close', () => {
        if (!over) setTimeout(open, againMs);
      });
    };
    open();
  });
}
