import { questionProblem } from '@jasperwren/words/question-problems';
import { t } from '@jasperwren/words/refusals';
import type { BoardRow, BoardView, ChecksView, ForgottenQuestion } from '@jasperwren/contract/safety-questions';
import type { LearnerView } from '@jasperwren/contract/learners';
import { outlook, testMoment } from '@jasperwren/core/safety-questions/aim';
import { bankOf, shippedQuestions } from '@jasperwren/core/safety-questions/bank/bank';
import { chanceOnTest } from '@jasperwren/core/safety-questions/chance';
import { questionsToKnow } from '@jasperwren/core/safety-questions/drill';
import { memoryOf, type Review } from '@jasperwren/core/safety-questions/memory';
import { problemsOf, type SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import type { VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import { shippedVehicles } from '@jasperwren/core/safety-questions/vehicles';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import { invalid, missing } from '../refusal';
import { getLearner, listLearners } from '../learners/store';
import { newestStandards } from '../standards/store';
import { keepVersion, newestOf } from './versions';

/** Fewer answers than this say nothing about a question. */
const askedLeast = 3;
const forgottenShown = 12;

/** What the school has changed of the questions and cars that ship. */
export async function checksOf(call: InSchool): Promise<ChecksView> {
  const [questions, vehicles] = await Promise.all([
    newestOf<SafetyQuestion>(call, 'check_questions'),
    newestOf<VehicleProfile>(call, 'vehicles'),
  ]);
  return {
    questions: questions.map(({ value, retired }) => ({ question: value, retired })),
    vehicles: vehicles.flatMap(({ value, retired }) => (retired ? [] : [value])),
  };
}

/**
 * Keeps a question: a new one, or a new version of the school's own or of a shipped one.
 * @throws invalid where nothing could make an answer wrong; missing where there is none of this id
 */
export async function keepQuestion(
  call: Call,
  id: string | undefined,
  input: Omit<SafetyQuestion, 'id' | 'version'>,
): Promise<SafetyQuestion> {
  const problems = problemsOf({ ...input, id: '', version: 1 }).map(questionProblem);
  if (problems.length > 0)
    throw invalid(problems.join(' '), {
      problems: problems.map((message) => ({ field: 'points', message })),
    });
  const shipped = shippedQuestions.find((question) => question.id === id);
  if (id !== undefined && !shipped) await requireQuestion(call, id);
  return keepVersion(call, 'check_questions', id ?? `own-${newId()}`, input, shipped?.version ?? 0);
}

/**
 * Takes a question out of use, or puts it back.
 * @throws missing where there is none of this id
 */
export async function setQuestionRetired(call: Call, id: string, retired: boolean): Promise<void> {
  const question = shippedQuestions.find((one) => one.id === id);
  const newest = (await checksOf(call)).questions.find((one) => one.question.id === id)?.question;
  const value = newest ?? question;
  if (!value) throw noQuestion();
  await keepVersion(call, 'check_questions', id, value, question?.version ?? 0, retired);
}

async function requireQuestion(call: InSchool, id: string): Promise<void> {
  const { questions } = await checksOf(call);
  if (!questions.some(({ question }) => question.id === id)) throw noQuestion();
}

const noQuestion = () => missing(t('questionNotFound'), { code: 'no-question' });

/**
 * Keeps a car: a new one, or a new version of the school's own or of a shipped one.
 * @throws missing where there is none of this id
 */
export async function keepVehicle(
  call: Call,
  id: string | undefined,
  input: Omit<VehicleProfile, 'id' | 'version'>,
): Promise<VehicleProfile> {
  const shipped = shippedVehicles.find((vehicle) => vehicle.id === id);
  const known = id === undefined || shipped || (await findOwnVehicle(call, id));
  if (!known) throw missing(t('carNotFound'), { code: 'no-vehicle' });
  return keepVersion(call, 'vehicles', id ?? `car-${newId()}`, input, shipped?.version ?? 0);
}

const findOwnVehicle = async (call: InSchool, id: string) =>
  (await checksOf(call)).vehicles.find((vehicle) => vehicle.id === id);

/**
 * Whether the school has this car.
 * @throws invalid where it has not
 */
export async function assertVehicle(call: InSchool, id: string | undefined): Promise<void> {
  if (id === undefined || shippedVehicles.some((one) => one.id === id) || (await findOwnVehicle(call, id))) return;
  throw invalid(t('carNotFound'), {
    problems: [{ field: 'vehicleId', message: t('carNotFound') }],
  });
}

/** Takes answers of a drill: each id once. When this returns, they are on disk. */
export async function addReviews(
  call: InSchool,
  learnerId: string,
  reviews: readonly Review[],
): Promise<{ readonly accepted: readonly string[] }> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  await getLearner(call, learnerId);
  const received_at = now.toISOString();
  await db
    .insertInto('reviews')
    .values(
      reviews.map((review) => ({
        school_id: schoolId,
        learner_id: learnerId,
        id: review.id,
        body: JSON.stringify(review),
        received_at,
      })),
    )
    .onConflict((conflict) => conflict.columns(['school_id', 'learner_id', 'id']).doNothing())
    .execute();
  return { accepted: reviews.map(({ id }) => id) };
}

/** Every answer a learner gave in a drill, in no order. */
export async function reviewsOf(call: InSchool, learnerId: string): Promise<readonly Review[]> {
  const {
    db,
    who: { schoolId },
  } = call;
  await getLearner(call, learnerId);
  const rows = await db
    .selectFrom('reviews')
    .select('body')
    .where('school_id', '=', schoolId)
    .where('learner_id', '=', learnerId)
    .execute();
  return rows.map(({ body }) => JSON.parse(body) as Review);
}

/** How the drill stands for every learner of the school, and what is forgotten most. */
export async function board(call: InSchool): Promise<BoardView> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  const [learners, { questions }, standards, rows] = await Promise.all([
    listLearners(call, false),
    checksOf(call),
    newestStandards(call),
    db.selectFrom('reviews').select(['learner_id', 'body']).where('school_id', '=', schoolId).execute(),
  ]);
  const bank = bankOf(questions);
  const byLearner = new Map<string, Review[]>();
  for (const { learner_id, body } of rows) {
    const review = JSON.parse(body) as Review;
    const others = byLearner.get(learner_id);
    if (others) others.push(review);
    else byLearner.set(learner_id, [review]);
  }
  return {
    learners: learners.map((learner) => {
      const standard = standards.find(({ id }) => id === learner.standardId)!;
      return boardRow(learner, standard, bank, byLearner.get(learner.id) ?? [], now);
    }),
    forgotten: forgottenMost([...byLearner.values()].flat(), bank),
  };
}

function boardRow(
  { id, name, testDate }: LearnerView,
  standard: Parameters<typeof questionsToKnow>[1],
  bank: readonly SafetyQuestion[],
  reviews: readonly Review[],
  now: Date,
): BoardRow {
  const memory = memoryOf(reviews);
  const test = testDate === undefined ? undefined : testMoment(testDate);
  const ids = questionsToKnow(bank, standard).map((question) => question.id);
  const { due, unseen, recall } = outlook(ids, memory, now, test);
  const allRight = chanceOnTest(standard, bank, memory, test && test > now ? test : now);
  const lastAt = reviews.reduce<string | undefined>(
    (last, { at }) => (last === undefined || at > last ? at : last),
    undefined,
  );
  return {
    learnerId: id,
    name,
    ...(testDate && { testDate }),
    due,
    unseen,
    questions: ids.length,
    ...(recall !== undefined && { recall }),
    ...(allRight !== undefined && { allRight }),
    ...(lastAt && { lastAt }),
  };
}

function forgottenMost(reviews: readonly Review[], bank: readonly SafetyQuestion[]): readonly ForgottenQuestion[] {
  const topics = new Map(bank.map(({ id, topic, ask }) => [id, topic === 'Signs' ? ask : topic]));
  const counts = new Map<string, { asked: number; forgotten: number }>();
  for (const { question, rating } of reviews) {
    const count = counts.get(question) ?? { asked: 0, forgotten: 0 };
    counts.set(question, {
      asked: count.asked + 1,
      forgotten: count.forgotten + (rating === 'again' ? 1 : 0),
    });
  }
  return [...counts]
    .filter(([id, { asked, forgotten }]) => topics.has(id) && asked >= askedLeast && forgotten > 0)
    .map(([question, count]) => ({ question, topic: topics.get(question)!, ...count }))
    .sort((a, b) => b.forgotten / b.asked - a.forgotten / a.asked || b.asked - a.asked)
    .slice(0, forgottenShown);
}
