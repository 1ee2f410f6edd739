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
  checks: ({ db, who }) => checksOf(db, who.schoolId),
  board: ({ db, who, now }) => board(db, who.schoolId, now),
  addQuestion: ({ write, who }, _, body) => write((db) => keepQuestion(db, who, undefined, body)),
  editQuestion: ({ write, who }, { questionId }, body) => write((db) => keepQuestion(db, who, questionId, body)),
  questionVersions: ({ db, who }, { questionId }) => versionsOf(db, 'check_questions', who.schoolId, questionId),
  retireQuestion: ({ write, who }, { questionId }) => write((db) => setQuestionRetired(db, who, questionId, true)),
  unretireQuestion: ({ write, who }, { questionId }) => write((db) => setQuestionRetired(db, who, questionId, false)),
  addVehicle: ({ write, who }, _, body) => write((db) => keepVehicle(db, who, undefined, body)),
  editVehicle: ({ write, who }, { vehicleId }, body) => write((db) => keepVehicle(db, who, vehicleId, body)),
  reviews: ({ db, who }, { learnerId }) => reviewsOf(db, who.schoolId, learnerId),
  addReviews: ({ write, who }, { learnerId }, { reviews }) =>
    write((db) => addReviews(db, who.schoolId, learnerId, reviews), { detail: String(reviews.length) }),
  chooseVehicle: ({ write, who }, { learnerId }, { vehicleId }) =>
    write(async (db) => {
      await assertVehicle(db, who.schoolId, vehicleId);
      return setVehicle(db, who.schoolId, learnerId, vehicleId);
    }),
};
