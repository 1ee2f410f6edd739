import type { SensorSign } from '@jasperwren/core/marking/standard';
import { leavingSteps, type Exercise, type ExpectedLook, type LeavingStep } from '@jasperwren/core/marking/exercise';
import { movedTo, setOptional, type Change } from './change';

/** Changes of the course of a standard. */
type OptionalField = 'manoeuvre' | 'side' | 'script' | 'startsAt' | 'endsWhen' | 'clockStarts' | 'looks' | 'next';

const inExercise = (code: string, change: (exercise: Exercise) => Exercise): Change => {
  return (standard) => ({
    ...standard,
    exercises: standard.exercises.map((exercise) => (exercise.code === code ? change(exercise) : exercise)),
  });
};

/** Sets what an exercise may say or not; nothing, or no text, takes it out. */
export function setField<F extends OptionalField>(code: string, field: F, value: Exercise[F] | '' | undefined): Change {
  const empty = value === undefined || value === '' || (Array.isArray(value) && value.length === 0);
  return inExercise(code, (exercise) => {
    const others = Object.fromEntries(
      Object.entries(exercise).filter(([name]) => name !== field),
    ) as unknown as Exercise;
    return empty ? others : { ...others, [field]: value };
  });
}

/** Moves an exercise to where another one is. */
export const moveExercise =
  (from: string, to: string): Change =>
  (standard) => ({ ...standard, exercises: movedTo(standard.exercises, from, to) });

/** Adds a look to an exercise, with a code that none of its looks has. */
export const addLook = (code: string, name: string, item: string): Change =>
  inExercise(code, (exercise) => {
    const looks = exercise.looks ?? [];
    const taken = new Set(looks.map((look) => look.code));
    let n = looks.length + 1;
    while (taken.has(`look-${n}`)) n++;
    return { ...exercise, looks: [...looks, { code: `look-${n}`, name, item }] };
  });

export const changeLook = (code: string, look: string, changes: Partial<ExpectedLook>): Change =>
  inExercise(code, (exercise) => ({
    ...exercise,
    looks: exercise.looks?.map((one) => (one.code === look ? { ...one, ...changes } : one)) ?? [],
  }));

export const removeLook =
  (code: string, look: string): Change =>
  (standard) =>
    setField(
      code,
      'looks',
      standard.exercises.find((exercise) => exercise.code === code)?.looks?.filter((one) => one.code !== look),
    )(standard);

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

/** The order with a step taken in at its end, or taken out. */
export const withStep = (order: readonly LeavingStep[], step: LeavingStep): readonly LeavingStep[] =>
  order.includes(step) ? order.filter((one) => one !== step) : [...order, step];

/** The steps that are not in the order, as they usually follow. */
export const otherSteps = (order: readonly LeavingStep[]): readonly LeavingStep[] =>
  leavingSteps.filter((step) => !order.includes(step));

/** Says what of a fault type the sensors of a car can tell; nothing takes it out. */
export const setSensors = (category: string, code: string, sensors: readonly SensorSign[]): Change =>
  setOptional(category, code, 'sensors', sensors.length > 0 ? sensors : undefined);
