import type { HandlersOf } from '../http/call';
import { setVehicle } from '../learners/store';
import {
  addReviews,
  assertVehicle,
  board,
  checksOf,
  keepQuestion,
  keepVehicle,
  reviewsOf,
  setQuestionRetired,
} from './store';
import { versionsOf } from './versions';

type Names =
  | 'checks'
  | 'board'
  | 'addQuestion'
  | 'editQuestion'
  | 'questionVersions'
  | 'retireQuestion'
  | 'unretireQuestion'
  | 'addVehicle'
  | 'editVehicle'
  | 'reviews'
  | 'addReviews'
  | 'chooseVehicle';

/** Safety questions, cars, and what learners remember, for the instructors of the school. */
export const checkHandlers: HandlersOf<Names> = {
  checks: (call) => checksOf(call),
  board: (call) => board(call),
  addQuestion: ({ write }, _, body) => write((trx) => keepQuestion(trx, undefined, body)),
  editQuestion: ({ write }, { questionId }, body) => write((trx) => keepQuestion(trx, questionId, body)),
  questionVersions: (call, { questionId }) => versionsOf(call, 'check_questions', questionId),
  retireQuestion: ({ write }, { questionId }) => write((trx) => setQuestionRetired(trx, questionId, true)),
  unretireQuestion: ({ write }, { questionId }) => write((trx) => setQuestionRetired(trx, questionId, false)),
  addVehicle: ({ write }, _, body) => write((trx) => keepVehicle(trx, undefined, body)),
  editVehicle: ({ write }, { vehicleId }, body) => write((trx) => keepVehicle(trx, vehicleId, body)),
  reviews: (call, { learnerId }) => reviewsOf(call, learnerId),
  addReviews: ({ write }, { learnerId }, { reviews }) =>
    write((trx) => addReviews(trx, learnerId, reviews), { detail: String(reviews.length) }),
  chooseVehicle: ({ write }, { learnerId }, { vehicleId }) =>
    write(async (trx) => {
      await assertVehicle(trx, vehicleId);
      return setVehicle(trx, learnerId, vehicleId);
    }),
};
