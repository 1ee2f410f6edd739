import type { LearnerView } from '@jasperwren/contract/learners';
import type { HandlersOf } from '../http/call';
import { addLearner, editLearner, getLearner, listLearners, setArchived } from './store';

export const learnerHandlers: HandlersOf<
  'learners' | 'addLearner' | 'learner' | 'editLearner' | 'archiveLearner' | 'unarchiveLearner'
> = {
  learners: (call, { archived }) => listLearners(call, archived === '1'),
  learner: (call, { learnerId }) => getLearner(call, learnerId),
  addLearner: ({ write }, _, body) =>
    write(
      (trx) => addLearner(trx, body),
      ({ id }) => ({ learnerId: id }),
    ),
  async editLearner(call, { learnerId }, body) {
    const before = await getLearner(call, learnerId);
    return call.write(
      (trx) => editLearner(trx, learnerId, body),
      (after) => ({ detail: changedFields(before, after) }),
    );
  },
  archiveLearner: ({ write }, { learnerId }) => write((trx) => setArchived(trx, learnerId, true)),
  unarchiveLearner: ({ write }, { learnerId }) => write((trx) => setArchived(trx, learnerId, false)),
};

/** Which fields a change changed: their names alone, so that the trail holds nothing personal. */
function changedFields(before: LearnerView, after: LearnerView): string {
  const names = new Set([...Object.keys(before), ...Object.keys(after)]) as Set<keyof LearnerView>;
  names.delete('version');
  return [...names].filter((name) => JSON.stringify(before[name]) !== JSON.stringify(after[name])).join(', ');
}
