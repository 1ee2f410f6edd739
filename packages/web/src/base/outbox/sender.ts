import type { Dispatch } from '@reduxjs/toolkit';
import { partsOf, type Lane, type RouteOfLane } from '../device/lanes';
import { entriesOf, nextOf, onWaiting, setAside, takeOut } from './entries';
import type { Entry } from './entry';
import { outboxCounted, reached } from './outbox-slice';

const firstWaitMs = 1000;
const longestWaitMs = 15_000;
/** What is made in one go travels together, and the screen comes before the network. */
const gatherMs = 200;
/** Answers after which the same may be taken later: not reached, too busy, signed out. */
const passing = new Set([0, 401, 408, 429]);
/** And what else the server calls them: a token that is older, or a drive that is still on its way in another lane. */
const passingCodes = new Set(['forged', 'not-yet']);

/** What became of some entries that were sent. */
export type Sent =
  | { readonly ok: true }
  | { readonly ok: false; readonly status: number; readonly code: string; readonly message: string };

/** How the entries of the lanes of one route travel. */
interface Carrier {
  /** The most that fit in one request. */
  readonly most: number;
  /** What the route is given. `of` says whose the lane is. */
  readonly argOf: (of: string, bodies: readonly unknown[]) => object;
  /** Is told what the server has now. */
  readonly arrived?: (of: string, ids: readonly string[]) => void;
}

type Carriers = Readonly<Record<RouteOfLane, Carrier>>;

export interface Sender {
  /** Sends what this person has in line, now and whenever there is something new or the network returns. */
  readonly start: (owner: string) => () => void;
}

/**
 * @param send calls a route
 * @param afterwards runs after each round, whatever came of it
 */
export function makeSender(
  carriers: Carriers,
  send: (route: RouteOfLane, arg: object) => Promise<Sent>,
  dispatch: Dispatch,
  afterwards: () => Promise<void>,
): Sender {
  let owner: string | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending = false;
  let again = false;
  let waitMs = firstWaitMs;

  function schedule(ms: number): void {
    clearTimeout(timer);
    timer = setTimeout(() => void round(), ms);
  }

  function soon(): void {
    if (sending) again = true;
    else schedule(gatherMs);
  }

  async function round(): Promise<void> {
    const whose = owner;
    if (whose === undefined || sending) return;
    sending = true;
    again = false;
    let stopped = false;
    try {
      for (const lane of await lanesOf(whose)) stopped = (await sendLane(whose, lane)) || stopped;
      await afterwards();
      if (owner === whose) await count(whose, dispatch);
    } finally {
      sending = false;
    }
    dispatch(reached(!stopped));
    if (stopped) {
      schedule(waitMs);
      waitMs = Math.min(longestWaitMs, waitMs * 2);
    } else {
      waitMs = firstWaitMs;
      if (again) schedule(gatherMs);
    }
  }

  /** Sends one lane in its order. Returns whether it has to be tried again later. */
  async function sendLane(whose: string, lane: Lane): Promise<boolean> {
    const [route, of] = partsOf(lane);
    const { most, argOf, arrived } = carriers[route];
    let size = most;
    for (;;) {
      if (owner !== whose) return false;
      const entries = await nextOf(whose, lane, size);
      if (entries.length === 0) return false;
      const arg = argOf(
        of,
        entries.map(({ body }) => body),
      );
      const sent = await send(route, arg);
      const ids = entries.map(({ id }) => id);
      if (sent.ok) {
        await takeOut(ids);
        arrived?.(of, ids);
        size = Math.min(most, size * 2);
      } else if (passing.has(sent.status) || sent.status >= 500 || passingCodes.has(sent.code)) {
        return true;
      } else if (entries.length > 1) {
        // Too large, or one of them is refused: halves tell which.
        size = Math.ceil(entries.length / 2);
      } else {
        await setAside(ids[0]!, { status: sent.status, message: sent.message, at: new Date().toISOString() });
      }
    }
  }

  return {
    start(forOwner) {
      onWaiting(soon);
      owner = forOwner;
      waitMs = firstWaitMs;
      const onOnline = () => {
        waitMs = firstWaitMs;
        schedule(gatherMs);
      };
      window.addEventListener('online', onOnline);
      void count(forOwner, dispatch);
      schedule(gatherMs);
      return () => {
        window.removeEventListener('online', onOnline);
        clearTimeout(timer);
        onWaiting(() => undefined);
        owner = undefined;
      };
    },
  };
}

const lanesOf = async (owner: string): Promise<readonly Lane[]> => [
  ...new Set((await entriesOf(owner)).filter(({ refused }) => !refused).map(({ lane }) => lane)),
];

/** Tells the interface what is in line. */
async function count(owner: string, dispatch: Dispatch): Promise<void> {
  const entries: readonly Entry[] = await entriesOf(owner);
  const refused = entries.filter((entry) => entry.refused);
  dispatch(
    outboxCounted({ waiting: entries.length, refused: refused.length, reason: refused.at(-1)?.refused?.message }),
  );
}
