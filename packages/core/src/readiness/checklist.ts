import type { EffectiveStandard } from '../marking/standard';
import { capital, joinWords, percent } from '../marking/wording';
import { totalOf, type Evidence } from './evidence';

const dayMs = 86_400_000;
/** What the checklist asks for (house defaults, after common practice). */
export const wanted = {
  weeks: 8,
  drives: 3,
  minutes: 90,
  lastWithout: 2,
  independentShare: 0.75,
  questions: 0.9,
  minutesPerPrompt: 20,
} as const;

export const checkCodes = [
  'evidence',
  'last-two',
  'unfamiliar',
  'independent',
  'exercises',
  'questions',
  'prompts',
] as const;
export type CheckCode = (typeof checkCodes)[number];

/** One thing a learner should have shown before a test is booked. */
export interface ReadinessItem {
  readonly code: CheckCode;
  readonly ok: boolean;
  /** How it stands, in a sentence. */
  readonly stands: string;
  /** What is missing, as something to do; empty where nothing is. */
  readonly missing: string;
}

/**
 * What a learner has shown within eight weeks of a day, and what is missing.
 * @param questions chance that the safety questions are right on the day, 0 to 1; undefined where the standard asks none
 */
export function checklist(
  standard: EffectiveStandard,
  evidence: readonly Evidence[],
  on: Date,
  questions: number | undefined,
): readonly ReadinessItem[] {
  const recent = evidence
    .filter(({ kind, at }) => {
      const age = (on.getTime() - Date.parse(at)) / dayMs;
      return kind === 'drive' && age >= 0 && age <= wanted.weeks * 7;
    })
    .sort((a, b) => (a.at < b.at ? -1 : 1));
  const tests = recent.filter(({ completed }) => completed);
  return [
    enough(tests),
    lastTwo(recent),
    unfamiliar(tests),
    ...independent(standard, recent),
    ...exercises(standard, recent),
    ...(questions === undefined ? [] : [asked(questions)]),
    prompts(recent),
  ];
}

const check = (code: CheckCode, ok: boolean, stands: string, missing: string): ReadinessItem => ({
  code,
  ok,
  stands,
  missing: ok ? '' : missing,
});

function enough(tests: readonly Evidence[]): ReadinessItem {
  const minutes = Math.round(tests.reduce((sum, one) => sum + one.minutes, 0));
  const drives = Math.max(0, wanted.drives - tests.length);
  const more = [
    drives > 0 && `${drives} more ${drives === 1 ? 'drive' : 'drives'} under test conditions`,
    minutes < wanted.minutes && `${wanted.minutes - minutes} more minutes`,
  ].filter((one): one is string => one !== false);
  return check(
    'evidence',
    more.length === 0,
    `${tests.length} ${tests.length === 1 ? 'drive' : 'drives'} under test conditions, ${minutes} min, in ${wanted.weeks} weeks.`,
    `${joinWords(more)}.`,
  );
}

function lastTwo(drives: readonly Evidence[]): ReadinessItem {
  const last = drives.slice(-wanted.lastWithout);
  const grave = last.filter((one) => totalOf(one, 'outright') > 0).length;
  const taken = last.filter(({ interventions }) => interventions > 0).length;
  const short = wanted.lastWithout - last.length;
  const found = [
    grave > 0 && `${grave} of the last ${last.length} with a failing fault`,
    taken > 0 && `${taken} of the last ${last.length} in which you took control`,
    short > 0 && `${last.length} of ${wanted.lastWithout} mock tests`,
  ].filter((one): one is string => one !== false);
  // Each cause says its own: a taken control is not cured by driving without a failing fault.
  const free = [grave > 0 && 'no failing fault', taken > 0 && 'no control taken'].filter(
    (one): one is string => one !== false,
  );
  const more = short > 0 ? `${short} more ${short === 1 ? 'mock test' : 'mock tests'}` : '';
  return check(
    'last-two',
    found.length === 0,
    found.length === 0
      ? 'No failing fault and no control taken in the last 2 mock tests.'
      : `${capital(joinWords(found))}.`,
    free.length > 0
      ? `Drive ${wanted.lastWithout} mock tests in a row with ${joinWords(free)}.`
      : `Drive ${more} with no failing fault and no control taken.`,
  );
}

function unfamiliar(tests: readonly Evidence[]): ReadinessItem {
  const n = tests.filter(({ familiarity }) => familiarity === 'new').length;
  return check(
    'unfamiliar',
    n > 0,
    n > 0 ? `${n} on roads not driven before.` : 'None on roads not driven before.',
    'A drive on roads not driven before.',
  );
}

function independent({ length }: EffectiveStandard, drives: readonly Evidence[]): readonly ReadinessItem[] {
  if (!length.independentMin) return [];
  const enoughMin = Math.round(wanted.independentShare * length.independentMin.value);
  const best = Math.round(Math.max(0, ...drives.map(({ independentMin }) => independentMin)));
  return [
    check(
      'independent',
      best >= enoughMin,
      `${best} min of independent driving at best.`,
      `${enoughMin} min of independent driving on one drive.`,
    ),
  ];
}

function exercises({ exercises: all }: EffectiveStandard, drives: readonly Evidence[]): readonly ReadinessItem[] {
  if (all.length === 0) return [];
  const clean = new Set(drives.flatMap(({ cleanExercises }) => cleanExercises));
  const open = all.filter(({ code }) => !clean.has(code)).map(({ name }) => name.toLowerCase());
  return [
    check(
      'exercises',
      open.length === 0,
      `${all.length - open.length} of ${all.length} set exercises driven without a mark.`,
      `Without a mark yet: ${joinWords(open)}.`,
    ),
  ];
}

function asked(questions: number): ReadinessItem {
  return check(
    'questions',
    questions >= wanted.questions,
    `Safety questions right on the day: ${percent(questions)}.`,
    `Safety questions at ${percent(wanted.questions)} on the day: drill what is due.`,
  );
}

function prompts(drives: readonly Evidence[]): ReadinessItem {
  const minutes = drives.reduce((sum, one) => sum + one.minutes, 0);
  const n = drives.reduce((sum, one) => sum + one.prompts, 0);
  const ok = n * wanted.minutesPerPrompt < minutes || n === 0;
  return check(
    'prompts',
    ok,
    n === 0 ? 'No help needed.' : `Help ${n === 1 ? 'once' : `${n} times`} in ${Math.round(minutes)} min.`,
    `Help less than once in ${wanted.minutesPerPrompt} min.`,
  );
}
