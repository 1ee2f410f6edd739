import { setTimeout } from 'node:timers/promises';
import { MessageChannel } from 'node:worker_threads';
import type { SheetView } from '@jasperwren/contract/sheets';
import type { Topic } from '@jasperwren/contract/route';
import { Piscina } from 'piscina';
import type { Db } from '../db/database';
import type { Keeper } from '../db/keeper';
import type { BeforeTask } from '../readiness/before';
import type { Refreshed } from '../readiness/refresh';
import { work, type News, type Task } from './work';

/** Changes that come in one go are worked out together. */
const gatherMs = 300;
/** After a task that failed, before the same is tried again. */
const restMs = 60_000;

/** What is worked out beside the requests. */
export interface Jobs {
  /** Works out what is out of date about one learner, and then about the school. */
  readonly refreshLearner: (schoolId: string, learnerId: string) => void;
  readonly refreshSchool: (schoolId: string) => void;
  /** Learners whose estimate is being worked out; at least 1 while anything of the school is. */
  readonly pending: (schoolId: string) => number;
  readonly chanceBefore: (question: BeforeTask) => Promise<SheetView['before']>;
  /** Waits until nothing is left to do. */
  readonly settled: () => Promise<void>;
  readonly close: () => Promise<void>;
}

/** Does tasks in threads of its own, or on this one. */
export interface Workers {
  readonly run: (task: Task, cancel: AbortSignal) => Promise<SheetView['before']>;
  readonly close: () => Promise<void>;
}

/** @param worker the file of `worker.ts`, as it can be run */
export function threads(worker: string, dataDir: string, execArgv: string[] = []): Workers {
  let pool: Piscina<Task, SheetView['before']> | undefined;
  return {
    run(task, signal) {
      // One thread: the other processor answers requests.
      pool ??= new Piscina({ filename: worker, workerData: { dataDir }, maxThreads: 1, execArgv });
      return pool.run(task, { signal, transferList: task.kind === 'refresh' ? [task.news] : [] });
    },
    close: async () => void (await pool?.destroy()),
  };
}

/** For tools and tests, where nobody else is kept waiting. */
export const onThisThread = (db: Db): Workers => ({ run: (task) => work(db, task), close: () => Promise.resolve() });

interface SchoolState {
  pending: number;
  /** The school is to be looked at again once what is under way is done. */
  again: boolean;
  restUntilMs: number;
}

/** @param changed is told what of a school has changed */
export function jobsOf(
  { write }: Keeper,
  workers: Workers,
  changed: (schoolId: string, topics: readonly Topic[]) => void,
  failed: (error: unknown) => void,
): Jobs {
  const schools = new Map<string, SchoolState>();
  const underWay = new Set<Promise<void>>();
  const closing = new AbortController();

  function stateOf(schoolId: string): SchoolState {
    const known = schools.get(schoolId) ?? { pending: 0, again: false, restUntilMs: 0 };
    schools.set(schoolId, known);
    return known;
  }

  async function refresh(schoolId: string, learnerId: string | undefined): Promise<void> {
    const { port1, port2 } = new MessageChannel();
    let keeping: Promise<void> = Promise.resolve();
    const told = new Promise<void>((resolve) => {
      port1.on('message', (bit: News) => {
        if (bit.kind === 'done') resolve();
        else keeping = keeping.then(() => keep(schoolId, bit)).catch(failed);
      });
    });
    const asked = { schoolId, now: new Date().toISOString(), ...(learnerId !== undefined && { learnerId }) };
    try {
      await workers.run({ kind: 'refresh', ...asked, news: port2 }, closing.signal);
      await told;
      await keeping;
    } finally {
      port1.close();
    }
  }

  async function keep(schoolId: string, bit: Refreshed): Promise<void> {
    if (closing.signal.aborted) return;
    const made_at = new Date().toISOString();
    if (bit.kind === 'pending') {
      stateOf(schoolId).pending = bit.learners;
      return;
    }
    const { basis, body } = bit;
    await write(async (db) => {
      if (bit.kind === 'figures') {
        await db
          .insertInto('school_figures')
          .values({ school_id: schoolId, basis, body, made_at })
          .onConflict((conflict) => conflict.column('school_id').doUpdateSet({ basis, body, made_at }))
          .execute();
        return;
      }
      // Erased or archived meanwhile: then there is nothing to keep.
      const there = await db.selectFrom('learners').select('id').where('id', '=', bit.learnerId).executeTakeFirst();
      if (!there) return;
      await db
        .insertInto('estimates')
        .values({ school_id: schoolId, learner_id: bit.learnerId, basis, body, made_at })
        .onConflict((conflict) => conflict.columns(['school_id', 'learner_id']).doUpdateSet({ basis, body, made_at }))
        .execute();
    });
    changed(schoolId, ['readiness']);
  }

  /** Runs one after the other for a school: the learner who just drove, then everybody. */
  function start(schoolId: string, learnerId: string | undefined): void {
    const state = stateOf(schoolId);
    if (closing.signal.aborted || Date.now() < state.restUntilMs) return;
    if (state.pending > 0) {
      state.again = true;
      return;
    }
    state.pending = 1;
    changed(schoolId, ['readiness']);
    const own: Promise<void> = setTimeout(gatherMs, undefined, { signal: closing.signal })
      .then(async () => {
        if (learnerId !== undefined) await refresh(schoolId, learnerId);
        do {
          state.again = false;
          await refresh(schoolId, undefined);
        } while (state.again && !closing.signal.aborted);
      })
      .catch((error: unknown) => {
        if (closing.signal.aborted) return;
        state.restUntilMs = Date.now() + restMs;
        failed(error);
      })
      .finally(() => {
        state.pending = 0;
        underWay.delete(own);
        changed(schoolId, ['readiness']);
      });
    underWay.add(own);
  }

  return {
    refreshLearner: start,
    refreshSchool: (schoolId) => start(schoolId, undefined),
    pending: (schoolId) => schools.get(schoolId)?.pending ?? 0,
    chanceBefore: (question) => workers.run({ kind: 'chance-before', ...question }, closing.signal),
    settled: async () => {
      while (underWay.size > 0) await Promise.all(underWay);
    },
    async close() {
      closing.abort();
      await Promise.all(underWay);
      await workers.close();
    },
  };
}
