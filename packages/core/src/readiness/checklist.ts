import { familiarityWord } from '../places/familiarity';
import type { EffectiveStandard } from '../marking/standard';
import { testKindOf } from '../marking/test-kind';
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

/** How one thing stands that a learner should have shown before a test is booked: figures, no sentences. */
export type ReadinessItem = { readonly ok: boolean } & (
  | {
      readonly code: 'evidence';
      readonly tests: number;
      readonly minutes: number;
      /** So many minutes are wanted; a course in a yard is short and wants whole tests alone. */
      readonly wantedMinutes: number;
    }
  | {
      readonly code: 'last-two';
      /** How many of the last drives there are to look at, `wanted.lastWithout` at most. */
      readonly drives: number;
      /** Those with a failing fault, and those in which the instructor took control. */
      readonly failing: number;
      readonly controls: number;
      /** The standard's names for faults one of which fails, for several of them. */
      readonly grades: readonly string[];
    }
  | { readonly code: 'unfamiliar'; readonly tests: number }
  | { readonly code: 'independent'; readonly bestMin: number; readonly enoughMin: number }
  | { readonly code: 'exercises'; readonly all: number; readonly open: readonly string[] }
  | { readonly code: 'questions'; readonly chance: number }
  | { readonly code: 'prompts'; readonly prompts: number; readonly minutes: number }
);

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
  const kind = testKindOf(standard);
  const recent = evidence
    .filter((one) => {
      const age = (on.getTime() - Date.parse(one.at)) / dayMs;
      // A drive of another kind of test is no mock test of this one.
      return one.kind === 'drive' && one.test === kind && age >= 0 && age <= wanted.weeks * 7;
    })
    .sort((a, b) => (a.at < b.at ? -1 : 1));
  const tests = recent.filter(({ completed }) => completed);
  return [
    enough(tests, testKindOf(standard) === 'yard' ? 0 : wanted.minutes),
    lastTwo(standard, recent),
    ...(testKindOf(standard) === 'yard' ? [] : [unfamiliar(tests)]),
    ...independent(standard, recent),
    ...exercises(standard, recent),
    ...(questions === undefined ? [] : [asked(questions)]),
    prompted(recent),
  ];
}

/** Whole minutes that were driven; what sums of parts are out by does not take one away. */
const wholly = (minutes: number): number => Math.floor(minutes + 1e-9);

function enough(tests: readonly Evidence[], wantedMinutes: number): ReadinessItem {
  const minutes = wholly(tests.reduce((sum, one) => sum + one.minutes, 0));
  const ok = tests.length >= wanted.drives && minutes >= wantedMinutes;
  return { code: 'evidence', ok, tests: tests.length, minutes, wantedMinutes };
}

function lastTwo({ grades }: EffectiveStandard, drives: readonly Evidence[]): ReadinessItem {
  const last = drives.slice(-wanted.lastWithout);
  const failing = last.filter((one) => totalOf(one, 'outright') > 0).length;
  const controls = last.filter(({ interventions }) => interventions > 0).length;
  return {
    code: 'last-two',
    ok: failing + controls === 0 && last.length === wanted.lastWithout,
    drives: last.length,
    failing,
    controls,
    grades: grades.filter(({ sign }) => sign === 'outright' || sign === 'highest').map(({ name }) => name),
  };
}

function unfamiliar(tests: readonly Evidence[]): ReadinessItem {
  const onNew = tests.filter(
    ({ familiarity, knownShare }) => (knownShare === undefined ? familiarity : familiarityWord(knownShare)) === 'new',
  ).length;
  return { code: 'unfamiliar', ok: onNew > 0, tests: onNew };
}

function independent({ length }: EffectiveStandard, drives: readonly Evidence[]): readonly ReadinessItem[] {
  if (!length.independentMin) return [];
  const enoughMin = Math.round(wanted.independentShare * length.independentMin.value);
  const bestMin = wholly(Math.max(0, ...drives.map(({ independentMin }) => independentMin)));
  return [{ code: 'independent', ok: bestMin >= enoughMin, bestMin, enoughMin }];
}

function exercises({ exercises: all }: EffectiveStandard, drives: readonly Evidence[]): readonly ReadinessItem[] {
  if (all.length === 0) return [];
  const clean = new Set(drives.flatMap(({ cleanExercises }) => cleanExercises));
  const open = all.filter(({ code }) => !clean.has(code)).map(({ name }) => name);
  return [{ code: 'exercises', ok: open.length === 0, all: all.length, open }];
}

function asked(chance: number): ReadinessItem {
  return { code: 'questions', ok: chance >= wanted.questions, chance };
}

function prompted(drives: readonly Evidence[]): ReadinessItem {
  const minutes = drives.reduce((sum, one) => sum + one.minutes, 0);
  const prompts = drives.reduce((sum, one) => sum + one.prompts, 0);
  const ok = prompts * wanted.minutesPerPrompt < minutes || prompts === 0;
  return { code: 'prompts', ok, prompts, minutes: Math.round(minutes) };
}
