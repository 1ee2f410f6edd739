import type { LearnerView } from '@jasperwren/contract/learners';
import type { HandlersOf } from '../http/call';
import { addLearner, editLearner, getLearner, listLearners, setArchived } from './store';

export const learnerHandlers: HandlersOf<
  'learners' | 'addLearner' | 'learner' | 'editLearner' | 'archiveLearner' | 'unarchiveLearner'
> = {
  learners: ({ db, who }, { archived }) => listLearners(db, who.schoolId, archived === '1'),
  learner: ({ db, who }, { learnerId }) => getLearner(db, who.schoolId, learnerId),
  addLearner: ({ write, who }, _, body) =>
    write(
      (db) => addLearner(db, who, body),
      ({ id }) => ({ learnerId: id }),
    ),
  async editLearner({ db, write, who }, { learnerId }, body) {
    const before = await getLearner(db, who.schoolId, learnerId);
    return write(
      (trx) => editLearner(trx, who, learnerId, body),
      (after) => ({ detail: changedFields(before, after) }),
    );
  },
  archiveLearner: ({ write, who }, { learnerId }) => write((db) => setArchived(db, who.schoolId, learnerId, true)),
  unarchiveLearner: ({ write, who }, { learnerId }) => write((db) => setArchived(db, who.schoolId, learnerId, false)),
};

/** Which fields a change changed: their names alone, so that the trail holds nothing personal. */
function changedFields(before: LearnerView, after: LearnerView): string {
  const names = new Set([...Object.keys(before), ...Object.keys(after)]) as Set<keyof LearnerView>;
  names.delete('version');
  return [...names].filter((name) => JSON.stringify(before[name]) !== JSON.stringify(after[name])).join(', ');
}
