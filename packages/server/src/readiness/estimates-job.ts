import { MessageChannel } from 'node:worker_threads';
import type { Keeper } from '../db/keeper';
import type { JobWork } from '../jobs/runner';
import type { Workers } from '../jobs/threads';
import type { News } from '../jobs/work';
import type { Refreshed } from './refresh';

/**
 * The estimates that are out of date, of one learner or of the school with its figures: worked out in a thread that
 * tells them one by one, and kept here. Of a school a piece at a time.
 * @param kept is told of a school of which something was kept
 */
export function estimatesWork(keeper: Keeper, workers: Workers, kept: (schoolId: string) => void): JobWork {
  /** After whom the next piece of a school begins. */
  const reached = new Map<string, string>();
  return async ({ schoolId, subject }, { signal, left }) => {
    const { port1, port2 } = new MessageChannel();
    let keeping: Promise<void> = Promise.resolve();
    let more: string | undefined;
    const told = new Promise<void>((resolve) => {
      port1.on('message', (bit: News) => {
        if (bit.kind === 'done') resolve();
        else if (bit.kind === 'pending') left(bit.learners);
        else if (bit.kind === 'more') {
          left(bit.learners);
          more = bit.after;
        } else
          keeping = keeping.then(() =>
            signal.aborted ? undefined : keep(keeper, schoolId, bit).then(() => kept(schoolId)),
          );
        keeping.catch(() => undefined);
      });
    });
    const after = subject === undefined ? reached.get(schoolId) : undefined;
    if (subject === undefined) reached.delete(schoolId);
    const asked = {
      schoolId,
      now: new Date().toISOString(),
      ...(subject !== undefined && { learnerId: subject }),
      ...(after !== undefined && { after }),
    };
    try {
      await workers.run({ kind: 'refresh', ...asked, news: port2 }, signal);
      await told;
      await keeping;
    } finally {
      port1.close();
    }
    if (more === undefined) return undefined;
    reached.set(schoolId, more);
    return 'more';
  };
}

async function keep(
  { write }: Keeper,
  schoolId: string,
  bit: Extract<Refreshed, { readonly kind: 'figures' | 'estimate' }>,
): Promise<void> {
  const { basis, body } = bit;
  const made_at = new Date().toISOString();
  await write(async (db) => {
    if (bit.kind === 'figures') {
      await db
        .insertInto('school_figures')
        .values({ school_id: schoolId, basis, body, made_at, summary: bit.summary })
        .onConflict((conflict) =>
          conflict.column('school_id').doUpdateSet({ basis, body, made_at, summary: bit.summary }),
        )
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
}
