import { t } from '@jasperwren/words/refusals';
import type { IncomingMessage } from 'node:http';
import {
  closedForGood,
  feedPath,
  mostRowLetters,
  mostRowsInAMessage,
  watchPath,
  type FeedHave,
  type FeedHello,
  type FeedRefusal,
  type FeedRows,
  type WatchRows,
} from '@jasperwren/contract/yard-feed';
import type { Logger } from 'pino';
import { WebSocketServer, type WebSocket } from 'ws';
import type { Config } from '../config';
import type { Keeper } from '../db/keeper';
import { addDeed } from '../audit/store';
import { staffOfCookie } from '../http/session';
import type { UpgradeHandler } from '../http/upgrades';
import { Refusal } from '../refusal';
import { addRows, beginRun, carOfToken, rowsFrom, runHead, type RunHead } from './store';

/** Closes a connection whose sign-in is over; with another one it may be opened anew (a code of our own, RFC 6455, 7.4.2). */
const signInOver = 4401;

/** A connection that says nothing to a ping for so long is gone, in milliseconds. */
const aliveMs = 20_000;

/** Who is at the other end. */
interface Sender {
  readonly schoolId: string;
  /** Missing where somebody of the school sends. */
  readonly car?: { readonly id: string; readonly name: string };
  /** IP address. */
  readonly address?: string;
}

/** Takes samples of cars and passes them on to whoever watches. */
export interface Feed {
  /** Who opens its sockets, by their paths. */
  readonly handlers: ReadonlyMap<string, UpgradeHandler>;
  /** Ends every connection. */
  readonly close: () => void;
}

/**
 * Serves the two sockets of the yard beside the routes: cars, files and the stand-in send rows on one, consoles and strip
 * charts watch them on the other. Rows are acknowledged once they are kept; a sender that was cut off goes on from there.
 */
export function serveFeed({ db, write }: Keeper, config: Config, log: Logger): Feed {
  const sockets = new WebSocketServer({ noServer: true, maxPayload: mostRowsInAMessage * (mostRowLetters + 4) });
  const watchers = new Map<string, Set<(from: number, rows: readonly string[]) => void>>();
  const keyOf = ({ schoolId, id }: Pick<RunHead, 'schoolId' | 'id'>) => `${schoolId} ${id}`;

  /** As for every request: what signs somebody in does not travel in the clear. */
  const isSecure = ({ headers, socket }: IncomingMessage): boolean =>
    ('encrypted' in socket && socket.encrypted === true) ||
    (config.proxies > 0 && headers['x-forwarded-proto'] === 'https');

  /** As the routes have it: of what proxies wrote, the last entries are theirs. */
  function addressOf({ headers, socket }: IncomingMessage): string {
    const told = [headers['x-forwarded-for'] ?? []].flat().join(',').split(',');
    const believed = config.proxies > 0 ? told.slice(-config.proxies)[0]?.trim() : undefined;
    return believed || (socket.remoteAddress ?? '');
  }

  async function senderOf(request: IncomingMessage): Promise<Sender | undefined> {
    const token = /^Bearer (\S+)$/.exec(request.headers.authorization ?? '')?.[1];
    if (token !== undefined) {
      const car = await carOfToken(db, token);
      return car && { schoolId: car.schoolId, car, address: addressOf(request) };
    }
    // A browser names the page it comes from: only ours may use its sign-in.
    if (hostOf(request.headers.origin) !== request.headers.host) return undefined;
    return staffOfCookie(db, config, request.headers.cookie);
  }

  const admit =
    (serves: typeof feedPath | typeof watchPath): UpgradeHandler =>
    async ({ request, socket, head, query }) => {
      if (config.secureCookies && !isSecure(request)) return 421;
      const sender = await senderOf(request);
      if (!sender) return 401;
      if (serves === watchPath && sender.car) return 403;
      sockets.handleUpgrade(request, socket, head, (ws) => {
        const mayStill = async () => (await senderOf(request)) !== undefined;
        keepAlive(ws, mayStill);
        if (serves === feedPath) take(ws, sender, mayStill);
        else watch(ws, sender.schoolId, query.get('run') ?? '', Number(query.get('from') ?? 0));
      });
      return undefined;
    };

  /** Rows come one message after the other; each is kept before the next is looked at. A car that was removed is heard no more. */
  function take(ws: WebSocket, sender: Sender, mayStill: () => Promise<boolean>): void {
    let run: RunHead | undefined;
    let before: Promise<void> = Promise.resolve();
    const answer = (what: FeedHave | FeedRefusal) => ws.send(JSON.stringify(what));
    const handle = async (text: string): Promise<void> => {
      if (!(await mayStill())) {
        if (sender.car) throw new FeedError(t('carRemoved'));
        return ws.close(signInOver);
      }
      const said = parse(text);
      if (isHello(said)) {
        run = await open(sender, said);
        return answer({ have: run.samples });
      }
      if (!run || !isRows(said)) throw new FeedError(t('noMessage'));
      const { schoolId, id } = run;
      const kept = await write((trx) => addRows(trx, new Date(), { schoolId, id }, said.from, said.rows));
      answer({ have: kept.have });
      if (kept.added.length > 0) for (const tell of watchers.get(keyOf(run)) ?? []) tell(kept.from, kept.added);
    };
    ws.on('message', (data: Buffer) => {
      before = before
        .then(() => (ws.readyState === ws.OPEN ? handle(data.toString('utf8')) : undefined))
        .catch((error: unknown) => {
          const known = error instanceof FeedError || error instanceof Refusal;
          if (!known) log.error({ err: error }, 'rows of a run were not kept');
          answer({ error: known ? error.message : t('rowsNotKept') });
          ws.close(closedForGood);
        });
    });
  }

  async function open({ schoolId, car, address }: Sender, { run: id, columns, name }: FeedHello): Promise<RunHead> {
    const known = await runHead(db, schoolId, id);
    if (known && known.carId !== car?.id) throw new FeedError(t('runOfAnother'));
    if (known && known.columns === columns) return known;
    // Whoever is signed in begins a run by its route, which has a line in the trail.
    if (!car) throw new FeedError(known ? t('runHasOtherColumns') : t('noRun'));
    await write(async (trx) => {
      const now = new Date();
      const run = { school_id: schoolId, id, name: name ?? car.name, source: 'car', columns, car_id: car.id } as const;
      await beginRun(trx, now, run);
      const deed = { schoolId, at: now, subject: id, detail: car.name, address };
      await addDeed(trx, { ...deed, action: 'carBeganRun' });
    });
    return (await runHead(db, schoolId, id))!;
  }

  /** What is kept first, then what comes; each row once and in its order. */
  function watch(ws: WebSocket, schoolId: string, id: string, from: number): void {
    const key = keyOf({ schoolId, id });
    let next = Number.isSafeInteger(from) && from >= 0 ? from : 0;
    let columns = '';
    let catchingUp = true;
    let missed = false;
    const send = (at: number, rows: readonly string[]) => {
      const fresh = rows.slice(Math.max(0, next - at));
      if (rows.length === 0) ws.send(JSON.stringify({ columns, from: next, rows } satisfies WatchRows));
      for (let i = 0; i < fresh.length; i += mostRowsInAMessage) {
        const part: WatchRows = { columns, from: next, rows: fresh.slice(i, i + mostRowsInAMessage) };
        ws.send(JSON.stringify(part));
        next += part.rows.length;
      }
    };
    const catchUp = async (): Promise<void> => {
      catchingUp = true;
      const head = await runHead(db, schoolId, id);
      if (!head) return ws.close(closedForGood);
      columns = head.columns;
      do {
        missed = false;
        send(next, await rowsFrom(db, head, next));
      } while (missed);
      catchingUp = false;
    };
    const failed = (error: unknown) => {
      log.error({ err: error }, 'a run was not passed on');
      ws.close(1011);
    };
    const told = (at: number, rows: readonly string[]) => {
      if (catchingUp) missed = true;
      else if (at > next) catchUp().catch(failed);
      else send(at, rows);
    };
    const all = watchers.get(key) ?? new Set();
    watchers.set(key, all.add(told));
    ws.on('close', () => {
      all.delete(told);
      if (all.size === 0) watchers.delete(key);
    });
    catchUp().catch(failed);
  }

  return {
    handlers: new Map([
      [feedPath, admit(feedPath)],
      [watchPath, admit(watchPath)],
    ]),
    close() {
      for (const ws of sockets.clients) ws.terminate();
      sockets.close();
    },
  };
}

class FeedError extends Error {}

/** Ends a connection whose other end is gone, or may be here no longer. */
function keepAlive(ws: WebSocket, mayStill: () => Promise<boolean>): void {
  let alive = true;
  const timer = setInterval(() => {
    if (!alive) return ws.terminate();
    alive = false;
    ws.ping();
    // Where the question fails the next one decides.
    mayStill().then(
      (may) => !may && ws.close(signInOver),
      () => undefined,
    );
  }, aliveMs);
  timer.unref();
  ws.on('pong', () => (alive = true));
  ws.on('error', () => ws.terminate());
  ws.on('close', () => clearInterval(timer));
}

function hostOf(origin: string | undefined): string | undefined {
  try {
    return origin === undefined ? undefined : new URL(origin).host;
  } catch {
    return undefined;
  }
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new FeedError(t('messageIsNoJson'));
  }
}

type Fields = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Fields => typeof value === 'object' && value !== null;
const isText = (value: unknown, most: number): value is string =>
  typeof value === 'string' && value.length > 0 && value.length <= most && !/[\r\n]/.test(value);

function isHello(said: unknown): said is FeedHello {
  return (
    isObject(said) &&
    isText(said['run'], 80) &&
    isText(said['columns'], mostRowLetters) &&
    (said['name'] === undefined || isText(said['name'], 80))
  );
}

function isRows(said: unknown): said is FeedRows {
  if (!isObject(said) || !Array.isArray(said['rows'])) return false;
  const { from, rows } = said as { readonly from: unknown; readonly rows: readonly unknown[] };
  return (
    typeof from === 'number' &&
    Number.isSafeInteger(from) &&
    from >= 0 &&
    rows.length <= mostRowsInAMessage &&
    rows.every((row) => isText(row, mostRowLetters))
  );
}
