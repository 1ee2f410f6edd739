import type { Exercise, ExpectedLook, LeavingStep } from '../exercise';
import { setBySchool } from '../provenance';
import type { Limit, LimitMeasure, Standard } from '../standard';
import { added, freeCode, inList, itemsOf, withField, withLimits, without, type Change } from './change';
import { withoutItem } from './items';
import { withoutLimit } from './limits';

/** Changes of what is driven: the exercises, what each allows, and the course they make up. */

/** Adds an exercise. */
export const withNewExercise =
  (exercise: Omit<Exercise, 'code'>): Change =>
  (standard) =>
    added('exercises', { code: freeCode(standard.exercises), ...exercise })(standard);

/** Takes an exercise out, and what holds for it alone: its limits, its fault types with all that speaks of them, and what needs it. */
export const withoutExercise =
  (code: string): Change =>
  (standard) => {
    const own = itemsOf(standard).filter((item) => item.exercise === code);
    const rest = own.reduce((is, item) => withoutItem(item.code)(is), without('exercises', code)(standard));
    const had = new Set(standard.categories.filter(({ items }) => items.length > 0).map((category) => category.code));
    return {
      ...withLimits(
        rest,
        rest.limits.filter(({ scope }) => scope.kind !== 'exercise' || scope.exercise !== code),
      ),
      requirements: rest.requirements.filter((one) => one.kind !== 'exercise' || one.exercise !== code),
      // An area of this exercise alone goes with it.
      categories: rest.categories.filter(({ items, code: area }) => items.length > 0 || !had.has(area)),
      exercises: rest.exercises.map((exercise) =>
        exercise.next?.includes(code)
          ? withField<Exercise, 'next'>(
              'next',
              exercise.next.filter((one) => one !== code),
            )(exercise)
          : exercise,
      ),
    };
  };

/** Says whether an exercise has to be driven before a test is whole. */
export const setRequired =
  (exercise: string, required: boolean): Change =>
  (standard) => {
    const others = standard.requirements.filter((one) => one.kind !== 'exercise' || one.exercise !== exercise);
    return { ...standard, requirements: required ? [...others, { kind: 'exercise', exercise }] : others };
  };

/** What an exercise by itself can allow: attempts, movements, seconds. */
const allowanceKinds = ['attempts', 'movements', 'time'] as const;
export type AllowanceKind = (typeof allowanceKinds)[number];

const measures: Readonly<Record<AllowanceKind, LimitMeasure>> = {
  attempts: { kind: 'attempts' },
  movements: { kind: 'steps', step: 'movement' },
  time: { kind: 'time' },
};

const sameMeasure = (one: LimitMeasure, other: LimitMeasure) =>
  one.kind === other.kind && (one.kind !== 'steps' || other.kind !== 'steps' || one.step === other.step);

const isOf = ({ scope, measure }: Limit, exercise: string, of: LimitMeasure) =>
  scope.kind === 'exercise' && scope.exercise === exercise && sameMeasure(measure, of);

/** The limit that an exercise has by itself over its attempts, movements or seconds. */
export const allowanceOf = ({ limits }: Standard, exercise: string, kind: AllowanceKind): Limit | undefined =>
  limits.find((limit) => isOf(limit, exercise, measures[kind]));

/** Whether a limit says what one exercise allows, in attempts, movements or seconds. */
export const isAllowance = ({ scope, measure }: Limit): boolean =>
  scope.kind === 'exercise' &&
  scope.exercise !== undefined &&
  (measure.kind === 'failed-attempts' || allowanceKinds.some((kind) => sameMeasure(measure, measures[kind])));

/** The names that the limits of an exercise get. */
export type AllowanceNames = Readonly<Record<AllowanceKind | 'failedAttempts', (exercise: string) => string>>;

/**
 * Sets how many attempts, movements or seconds an exercise allows; nothing allows any number. One attempt more than allowed
 * fails the exercise, and so does an attempt that failed where it was the last; a movement too many fails the attempt where
 * attempts are counted, else the exercise, as does the clock.
 */
export function setAllowance(
  exercise: string,
  kind: AllowanceKind,
  allowed: number | undefined,
  names: AllowanceNames,
): Change {
  return (standard) => {
    const name = standard.exercises.find(({ code }) => code === exercise)?.name;
    if (name === undefined) return standard;
    const scope = { kind: 'exercise', exercise } as const;
    const set = (
      is: Standard,
      measure: LimitMeasure,
      words: string,
      n: number | undefined,
      effect: Limit['effect'],
    ) => {
      const known = is.limits.find((limit) => isOf(limit, exercise, measure));
      if (n === undefined) return known ? withoutLimit(known.code)(is) : is;
      if (known) return inList('limits', known.code, withField<Limit, 'allowed'>('allowed', setBySchool(n)))(is);
      const code = freeCode(is.limits);
      return added('limits', { code, name: words, scope, measure, allowed: setBySchool(n), effect })(is);
    };
    const counted = (is: Standard) => is.limits.some((limit) => isOf(limit, exercise, { kind: 'failed-attempts' }));
    const failing = { kind: 'fail-exercise' } as const;
    const effect = kind === 'movements' && counted(standard) ? ({ kind: 'fail-attempt' } as const) : failing;
    const is = set(standard, measures[kind], names[kind](name), allowed, effect);
    if (kind !== 'attempts') return is;
    const last = allowed === undefined ? undefined : Math.max(0, allowed - 1);
    const whole = set(is, { kind: 'failed-attempts' }, names.failedAttempts(name), last, failing);
    const movements = allowanceOf(whole, exercise, 'movements');
    if (!movements) return whole;
    const then = allowed === undefined ? failing : ({ kind: 'fail-attempt' } as const);
    return inList('limits', movements.code, withField<Limit, 'effect'>('effect', then))(whole);
  };
}

const inExercise = (code: string, change: (exercise: Exercise) => Exercise): Change =>
  inList('exercises', code, change);

/** Adds a look to an exercise, with a code that none of its looks has. */
export const addLook = (code: string, name: string, item: string): Change =>
  inExercise(code, (exercise) => ({
    ...exercise,
    looks: [...(exercise.looks ?? []), { code: freeCode(exercise.looks), name, item }],
  }));

export const changeLook = (code: string, look: string, changes: Partial<ExpectedLook>): Change =>
  inExercise(code, (exercise) => ({
    ...exercise,
    looks: exercise.looks?.map((one) => (one.code === look ? { ...one, ...changes } : one)) ?? [],
  }));

export const removeLook = (code: string, look: string): Change =>
  inExercise(code, (exercise) =>
    withField<Exercise, 'looks'>(
      'looks',
      exercise.looks?.filter((one) => one.code !== look),
    )(exercise),
  );

/** Asks for a look in every exercise that has a fault type of this behaviour, which is marked where it is missed. */
export const addLookEverywhere =
  (name: string, behaviour: string): Change =>
  (standard) =>
    standard.exercises.reduce((is, { code, looks = [] }) => {
      const item = itemsOf(is).find((one) => one.exercise === code && one.behaviour === behaviour);
      return item && !looks.some((look) => look.item === item.code) ? addLook(code, name, item.code)(is) : is;
    }, standard);

/** Makes the exercises a course, or no longer one. */
export const setCourse =
  (on: boolean): Change =>
  ({ course, ...others }) =>
    on ? { ...others, course: course ?? {} } : others;

/** Sets in which order the car is left and which item is marked otherwise; fewer than two steps ask for no order. */
export function setLeaving(order: readonly LeavingStep[], item: string | undefined): Change {
  return (standard) => ({
    ...standard,
    course: order.length < 2 || item === undefined ? {} : { leaving: { order, item } },
  });
}
