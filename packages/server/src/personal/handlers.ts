import type { ErasureReceipt } from '@jasperwren/contract/school';
import type { Keeper } from '../db/keeper';
import { file, type HandlersOf } from '../http/call';
import type { Runner } from '../jobs/runner';
import { eraseLearner, erasedIds, listErased } from './erase';
import { exportLearner } from './export';
import { outOfTime } from './retention';

type Names = 'exportLearner' | 'eraseLearner' | 'outOfTime' | 'eraseOutOfTime' | 'erased';

/** What a learner may ask of a school: a copy of everything, and that it is erased. */
export function personalHandlers(keeper: Keeper, jobs: Runner, dataDir: string): HandlersOf<Names> {
  return {
    async exportLearner(call, { learnerId }) {
      const zip = await exportLearner(call, learnerId);
      return file(`learner-${call.now.toISOString().slice(0, 10)}.zip`, 'application/zip', zip);
    },

    async eraseLearner({ write, who }, { learnerId }, { name }) {
      const receipt = await write(
        async (trx) => {
          const made = await eraseLearner(trx, learnerId, name);
          listErased(dataDir, { schoolId: who.schoolId, learnerId });
          return made;
        },
        ({ id }) => ({ learnerId: `erased-${id}`, subject: id }),
      );
      jobs.cancel(who.schoolId, learnerId);
      await keeper.forget();
      return receipt;
    },

    outOfTime: (call) => outOfTime(call),

    async eraseOutOfTime({ write, who }, _, { learnerIds }) {
      const erased: string[] = [];
      const receipts = await write(
        async (trx) => {
          const made: ErasureReceipt[] = [];
          for (const { learnerId, name } of await outOfTime(trx)) {
            if (!learnerIds.includes(learnerId)) continue;
            made.push(await eraseLearner(trx, learnerId, name));
            listErased(dataDir, { schoolId: who.schoolId, learnerId });
            erased.push(learnerId);
          }
          return made;
        },
        (made) => ({ detail: String(made.length) }),
      );
      for (const learnerId of erased) jobs.cancel(who.schoolId, learnerId);
      await keeper.forget();
      return receipts;
    },

    erased: (call) => erasedIds(call),
  };
}
