import type { ErasureReceipt } from '@jasperwren/contract/school';
import type { Keeper } from '../db/keeper';
import { file, type HandlersOf } from '../http/call';
import { eraseLearner, erasedIds, listErased } from './erase';
import { exportLearner } from './export';
import { outOfTime } from './retention';

type Names = 'exportLearner' | 'eraseLearner' | 'outOfTime' | 'eraseOutOfTime' | 'erased';

/** What a learner may ask of a school: a copy of everything, and that it is erased. */
export function personalHandlers(keeper: Keeper, dataDir: string): HandlersOf<Names> {
  return {
    async exportLearner({ db, who, now }, { learnerId }) {
      const zip = await exportLearner(db, who.schoolId, learnerId, now);
      return file(`learner-${now.toISOString().slice(0, 10)}.zip`, 'application/zip', zip);
    },

    async eraseLearner({ write, who }, { learnerId }, { name }) {
      const receipt = await write(
        async (db) => {
          const made = await eraseLearner(db, who.schoolId, learnerId, name);
          listErased(dataDir, { schoolId: who.schoolId, learnerId });
          return made;
        },
        ({ id }) => ({ learnerId: `erased-${id}`, subject: id }),
      );
      await keeper.forget();
      return receipt;
    },

    outOfTime: ({ db, who, now }) => outOfTime(db, who.schoolId, now),

    async eraseOutOfTime({ write, who, now }, _, { learnerIds }) {
      const receipts = await write(
        async (db) => {
          const made: ErasureReceipt[] = [];
          for (const { learnerId, name } of await outOfTime(db, who.schoolId, now)) {
            if (!learnerIds.includes(learnerId)) continue;
            made.push(await eraseLearner(db, who.schoolId, learnerId, name));
            listErased(dataDir, { schoolId: who.schoolId, learnerId });
          }
          return made;
        },
        (made) => ({ detail: String(made.length) }),
      );
      await keeper.forget();
      return receipts;
    },

    erased: ({ db, who }) => erasedIds(db, who.schoolId),
  };
}
