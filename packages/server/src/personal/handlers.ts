import type { ErasureReceipt } from '@jasperwren/contract/school';
import { file, type HandlersOf } from '../http/call';
import type { Runner } from '../jobs/runner';
import { eraseLearner, erasedIds } from './erase';
import { exportLearner } from './export';
import { outOfTime } from './retention';

type Names = 'exportLearner' | 'eraseLearner' | 'outOfTime' | 'eraseOutOfTime' | 'erased';

/** What a learner may ask of a school: a copy of everything, and that it is erased. */
export function personalHandlers(jobs: Runner): HandlersOf<Names> {
  return {
    async exportLearner(call, { learnerId }) {
      const zip = await exportLearner(call, learnerId);
      return file(`learner-${call.now.toISOString().slice(0, 10)}.zip`, 'application/zip', zip);
    },

    async eraseLearner({ withdraw, who }, { learnerId }, { name }) {
      const receipt = await withdraw(
        (trx) => eraseLearner(trx, learnerId, name),
        ({ id }) => ({ learnerId: `erased-${id}`, subject: id }),
      );
      jobs.cancel(who.schoolId, learnerId);
      return receipt;
    },

    outOfTime: (call) => outOfTime(call),

    async eraseOutOfTime({ withdraw, who }, _, { learnerIds }) {
      const erased: string[] = [];
      const receipts = await withdraw(
        async (trx) => {
          const made: ErasureReceipt[] = [];
          for (const { learnerId, name } of await outOfTime(trx)) {
            if (!learnerIds.includes(learnerId)) continue;
            made.push(await eraseLearner(trx, learnerId, name));
            erased.push(learnerId);
          }
          return made;
        },
        (made) => ({ detail: String(made.length) }),
      );
      for (const learnerId of erased) jobs.cancel(who.schoolId, learnerId);
      return receipts;
    },

    erased: (call) => erasedIds(call),
  };
}
