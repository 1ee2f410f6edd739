import type { EffectiveStandard } from '../marking/standard';
import { dueWith, newToday, testMoment } from './aim';
import { recallAt, type Memory } from './memory';
import { kindsOf, type SafetyQuestion } from './question';
import { randomFrom, shuffled } from './random';
import type { VehicleProfile } from './vehicle';

/** How a question can be drilled. */
export const drillModes = ['reveal', 'type', 'order', 'find', 'hand', 'sign'] as const;
export type DrillMode = (typeof drillModes)[number];

/** A session is meant to last ten minutes; an answer takes about this long (house default). */
const answerS = 35;
export const sessionS = 600;

/** One card of a session. */
export interface DrillCard {
  readonly question: SafetyQuestion;
  readonly mode: DrillMode;
  readonly fresh: boolean;
}

/** The ways a question can be drilled with this car, the simplest first. */
export function modesFor(
  { steps, controls, handSignal, sign }: SafetyQuestion,
  vehicle: VehicleProfile | undefined,
): readonly DrillMode[] {
  if (handSignal) return ['hand', 'reveal'];
  if (sign) return ['sign', 'reveal', 'type'];
  return [
    'reveal',
    'type',
    ...((steps?.length ?? 0) > 2 ? (['order'] as const) : []),
    ...(vehicle && controls?.length ? (['find'] as const) : []),
  ];
}

/** The questions a learner is to know: those of the kinds that the standard asks. */
export function questionsToKnow(
  bank: readonly SafetyQuestion[],
  standard: EffectiveStandard,
): readonly SafetyQuestion[] {
  const kinds = kindsOf(standard);
  return bank.filter(({ kind }) => kinds.includes(kind));
}

/**
 * The cards of one session: what is due, the least remembered first, then new ones as far as the day's share and
 * the time go. A question meets its modes in turn, so that it is not only recognised.
 * @param seed any whole number; the same gives the same session
 */
export function sessionCards(
  questions: readonly SafetyQuestion[],
  memory: ReadonlyMap<string, Memory>,
  now: Date,
  testDate: string | undefined,
  vehicle: VehicleProfile | undefined,
  seed: number,
): readonly DrillCard[] {
  const test = testDate === undefined ? undefined : testMoment(testDate);
  const most = Math.floor(sessionS / answerS);
  const due = questions
    .flatMap((question) => {
      const known = memory.get(question.id);
      const at = known && dueWith(known, now, test).at;
      return known && at && at <= now ? [{ question, known, recall: recallAt(known, now) }] : [];
    })
    .sort((a, b) => a.recall - b.recall);
  const unseen = questions.filter(({ id }) => !memory.has(id));
  const seenToday = [...memory.values()].filter(
    ({ reviews, lastAt }) => reviews === 1 && now.getTime() - lastAt.getTime() < 12 * 3_600_000,
  ).length;
  const share = Math.max(0, newToday(unseen.length + seenToday, now, test) - seenToday);
  const random = randomFrom(seed);
  return [
    ...due.map(({ question, known }) => ({ question, fresh: false, turn: known.reviews })),
    ...[...shuffled(random, unseen)]
      // Tell and show cost marks on the test: they come before the many signs and rules.
      .sort((a, b) => weight(b) - weight(a))
      .slice(0, share)
      .map((question) => ({ question, fresh: true, turn: 0 })),
  ]
    .slice(0, most)
    .map(cardIn(vehicle));
}

/** Makes the card of a question at its place in a session. */
function cardIn(vehicle: VehicleProfile | undefined) {
  return (
    { question, fresh, turn }: { readonly question: SafetyQuestion; readonly fresh: boolean; readonly turn: number },
    place: number,
  ): DrillCard => {
    const modes = modesFor(question, vehicle);
    // What is new is shown plainly; after that neighbours differ.
    return { question, fresh, mode: modes[fresh ? 0 : (turn + place) % modes.length]! };
  };
}

/** So many questions make a few minutes when none is due (house default). */
const anyway = 5;

/** The cards for somebody who practises although nothing is due: the questions least well known, those never seen first. */
export function weakestCards(
  questions: readonly SafetyQuestion[],
  memory: ReadonlyMap<string, Memory>,
  now: Date,
  vehicle: VehicleProfile | undefined,
): readonly DrillCard[] {
  const recall = ({ id }: SafetyQuestion) => {
    const known = memory.get(id);
    return known ? recallAt(known, now) : 0;
  };
  return questions
    .toSorted((a, b) => recall(a) - recall(b) || weight(b) - weight(a))
    .slice(0, anyway)
    .map((question) => ({ question, fresh: !memory.has(question.id), turn: memory.get(question.id)?.reviews ?? 0 }))
    .map(cardIn(vehicle));
}

const weight = ({ kind }: SafetyQuestion) => (kind === 'rules' ? 0 : 1);

/** What a learner ordered against the right order: how many neighbours stand right. */
export function orderRight(steps: readonly string[], given: readonly string[]): boolean {
  return steps.length === given.length && steps.every((step, i) => given[i] === step);
}

/** Four answers to choose from, the right one among them, in an order that follows from the seed. */
export function choices(right: string, others: readonly string[], seed: number): readonly string[] {
  const random = randomFrom(seed);
  const wrong = shuffled(
    random,
    [...new Set(others)].filter((other) => other !== right),
  ).slice(0, 3);
  return shuffled(random, [right, ...wrong]);
}
