import type { EffectiveStandard } from '../marking/standard';
import { chanceOf } from './chance';
import type { Evidence } from './evidence';
import { isEnough, keepFrom, testsOf20, type Judgement, type NextStep } from './judgement';
import { projected, type Posterior } from './posterior';
import { practiceAhead, type Lesson, type Pace } from './practice';
import { withoutAreas, type Chance } from './simulate';

const dayMs = 86_400_000;
/** Without a test date it is looked so far ahead; a first day to book is looked for within half a year (house defaults). */
const horizonDays = 42;
const halfAYearWeeks = 26;
/** What is missing on the readiness list takes so many days at least (house default). */
const daysToShow = 7;

/** What is expected on a day to come. */
export interface Expected {
  /** `YYYY-MM-DD`. */
  readonly date: string;
  readonly chance: Pick<Chance, 'mean' | 'from' | 'to'>;
}

/** What is advised about the date of the test; it follows from the judgement, and never says more than that allows. */
export type DateAdvice =
  /** Too little is known to say anything of a date. */
  | { readonly kind: 'too-early' }
  | { readonly kind: 'book' }
  | { readonly kind: 'keep' }
  /** The chance is expected to be enough by the day to keep a date that stands; this has to be shown before. */
  | { readonly kind: 'keep-if'; readonly next: NextStep }
  /** Not expected to be enough by the day, or too late to show what is missing. */
  | { readonly kind: 'move' }
  /** No test is booked, and none should be yet. */
  | { readonly kind: 'wait' };

/** What lies ahead of a learner, at the lessons that are booked or that they have had lately. */
export interface Outlook {
  readonly advice: DateAdvice;
  readonly pace: Pace;
  /** On the day of the test, or in six weeks. */
  readonly onDay: Expected;
  /** The first week from which the chance is expected to be enough to book; missing within half a year. */
  readonly enoughFrom?: string;
}

interface Asked {
  readonly standard: EffectiveStandard;
  readonly evidence: readonly Evidence[];
  readonly on: Date;
  readonly lessons?: readonly Lesson[];
  readonly testDate?: string;
  readonly seed: number;
}

/**
 * What is expected, and what is advised about the date.
 * @param now the posterior on the moment that is asked for
 * @param today what was made of it
 */
export function outlookOf(
  asked: Asked,
  now: Posterior,
  today: { readonly chance: Expected['chance']; readonly judgement: Judgement },
): Outlook {
  const { standard, evidence, on, lessons = [], testDate, seed } = asked;
  const todayDate = on.toISOString().slice(0, 10);
  const ahead = (date: string) => practiceAhead(evidence, lessons, on, new Date(`${date}T23:59:59Z`));
  const expectedOn = (date: string): Expected => {
    if (date <= todayDate) return { date, chance: today.chance };
    const { mean, from, to } = chanceOf(standard, projected(now, ahead(date)), seed, withoutAreas);
    return { date, chance: { mean, from, to } };
  };
  const inDays = (days: number) => new Date(on.getTime() + days * dayMs).toISOString().slice(0, 10);
  const booked = testDate !== undefined && testDate >= todayDate ? testDate : undefined;
  const onDay = expectedOn(booked ?? inDays(horizonDays));
  const enoughFrom = firstEnough((weeks) => expectedOn(inDays(7 * weeks)));
  return {
    advice: adviceFor(
      today.judgement,
      booked === undefined ? undefined : { onDay, days: daysBetween(todayDate, booked) },
    ),
    pace: ahead(onDay.date).pace,
    onDay,
    ...(enoughFrom !== undefined && { enoughFrom }),
  };
}

const daysBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / dayMs;

/** The first day, week by week, on which the chance is expected to be enough to book; undefined within half a year. */
function firstEnough(inWeeks: (weeks: number) => Expected): string | undefined {
  let ready = inWeeks(halfAYearWeeks);
  if (!isEnough(ready.chance.mean)) return undefined;
  // The chance does not fall with the days, so the first such week is found by halving.
  let [early, late] = [0, halfAYearWeeks];
  while (early < late) {
    const middle = (early + late) >> 1;
    const expected = inWeeks(middle);
    if (isEnough(expected.chance.mean)) [ready, late] = [expected, middle];
    else early = middle + 1;
  }
  return ready.date;
}

function adviceFor(
  { word, reasons, next }: Judgement,
  test: { readonly onDay: Expected; readonly days: number } | undefined,
): DateAdvice {
  if (word === 'cannot-say') return { kind: 'too-early' };
  if (word === 'book') return { kind: test ? 'keep' : 'book' };
  if (!test) return { kind: 'wait' };
  // A course is passed exercise by exercise: how they come out is not expected to change by itself.
  const course = reasons.some((reason) => reason.kind === 'course' && !reason.enough);
  const missing = reasons.some(({ kind }) => kind === 'stands');
  const inTime = !missing || test.days >= daysToShow;
  return testsOf20(test.onDay.chance.mean) >= keepFrom && inTime && !course
    ? { kind: 'keep-if', next }
    : { kind: 'move' };
}
