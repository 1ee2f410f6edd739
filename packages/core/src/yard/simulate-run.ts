import type { EffectiveStandard, SensorSign } from '../marking/standard';
import type { LeavingStep } from '../marking/exercise';
import type { Sample, SentSample } from './sample';
import { sensedItems } from './signs';
import { startSimulatedCar, type SimulatedCar } from './simulated-car';
import { driveExercise, type ExercisePlan, type Slip } from './simulated-exercises';
import { waysThrough } from '../marking/way-through';

/** How a run is simulated. */
export interface RunPlan {
  readonly seed: number;
  readonly automatic?: boolean;
  readonly exercises: readonly ExercisePlan[];
  /** What goes wrong after the exercise of this code: too fast, engine stopped, belt off, a door open. */
  readonly between?: readonly (Slip & { readonly after: string })[];
  /** The order in which the car is left; that of the course where it is missing, not at all where it is empty. */
  readonly leaving?: readonly LeavingStep[];
}

/** What truly happened in a simulated run. */
export interface TrueFault {
  readonly item: string;
  readonly measured?: number;
}

/**
 * Drives a course as planned: a stand-in for a car with sensors, the same for the same plan.
 * @returns samples 20 times a second from the first belt to the open door
 */
export function simulateRun(standard: EffectiveStandard, plan: RunPlan): readonly Sample[] {
  const car = startSimulatedCar(plan.seed);
  const automatic = plan.automatic ?? false;
  car.go(1000);
  car.set({ gear: automatic ? 'D' : '1', parkingBrake: false });
  car.go(1500, { speed: 10, rpm: 1500 });
  for (const part of plan.exercises) {
    const exercise = standard.exercises.find(({ code }) => code === part.exercise);
    if (!exercise) throw new Error(`The standard has no exercise "${part.exercise}".`);
    driveExercise(car, exercise, part, automatic);
    for (const slip of plan.between ?? []) if (slip.after === part.exercise) goWrong(car, slip);
  }
  car.set({ brake: 0.5, clutch: automatic ? 0 : 1 });
  car.go(1000, { speed: 0, rpm: 850 });
  for (const step of plan.leaving ?? standard.course?.leaving?.order ?? usualLeaving) {
    car.set(leave(step, automatic));
    car.go(700);
  }
  return car.samples;
}

const usualLeaving: readonly LeavingStep[] = ['parking-brake', 'gear', 'engine', 'belt', 'door'];

function leave(step: LeavingStep, automatic: boolean): Partial<Omit<Sample, 'at'>> {
  switch (step) {
    case 'parking-brake':
      return { parkingBrake: true };
    case 'gear':
      return { gear: automatic ? 'P' : 'N' };
    case 'engine':
      return { engine: false };
    case 'belt':
      return { belt: false };
    case 'door':
      return { door: true };
  }
}

function goWrong(car: SimulatedCar, { sign, value }: Slip): void {
  switch (sign) {
    case 'speed':
      car.go(2000, { speed: value! - 0.2, rpm: 2400 });
      car.show({ speed: value! });
      return car.go(2000, { speed: 10, rpm: 1500 });
    case 'stalled':
      car.set({ brake: 0.5 });
      car.go(800, { speed: 0, rpm: 300 });
      car.set({ engine: false });
      car.go(1500);
      car.set({ engine: true, rpm: 900, brake: 0 });
      return car.go(1200, { speed: 10, rpm: 1500 });
    case 'belt':
    case 'door': {
      car.set({ [sign]: sign === 'door' });
      car.go(1500);
      car.set({ [sign]: sign === 'belt' });
      return car.go(500);
    }
    default:
      throw new Error(`Nothing between exercises shows "${sign}".`);
  }
}

/** What a plan makes of the items of a standard, in the order of the run. */
export function truthOf(standard: EffectiveStandard, plan: RunPlan): readonly TrueFault[] {
  const items = sensedItems(standard);
  const fault = ({ sign, value }: Slip, exercise: string | undefined): readonly TrueFault[] =>
    shows(sign).flatMap((one) => {
      const item = items.item(one, exercise);
      const mark = item && items.mark(item, 0, 0, 0, value);
      return mark ? [{ item: mark.item, ...(mark.measured !== undefined && { measured: mark.measured }) }] : [];
    });
  const asked = standard.course?.leaving?.order ?? [];
  const left = (plan.leaving ?? asked).filter((step) => asked.includes(step));
  const outOfOrder = asked.some((step, i) => left[i] !== step) && left.includes('door');
  return [
    ...plan.exercises.flatMap(({ exercise, slips }) => [
      ...slips.flatMap((slip) => fault(slip, exercise)),
      ...(plan.between ?? []).filter(({ after }) => after === exercise).flatMap((slip) => fault(slip, undefined)),
    ]),
    ...(outOfOrder ? fault({ sign: 'leaving-order' }, undefined) : []),
  ];
}

/** Whoever reverses once more has pulled forward before, and the other way round. */
function shows(sign: SensorSign): readonly SensorSign[] {
  if (sign === 'extra-reverse' || sign === 'late-extra-reverse') return [sign, 'pull-forward'];
  return sign === 'pull-forward' ? [sign, 'extra-reverse'] : [sign];
}

/** Signs that each manoeuvre can show, as a random learner makes them. */
const slipsOf: Readonly<Record<string, readonly SensorSign[]>> = {
  slope: ['roll-back', 'revs', 'brake-on', 'line'],
  'quick-stop': ['tone-speed', 'late-braking', 'clutch-first', 'line'],
  'bay-forward': ['extra-reverse', 'early-brake', 'dry-steering', 'brake-on', 'line', 'parked-outside', 'not-in-park'],
  'bay-reverse': [
    'extra-reverse',
    'late-extra-reverse',
    'dry-steering',
    'brake-on',
    'line',
    'pole',
    'parked-outside',
    'not-in-park',
  ],
  turn: ['dry-steering', 'line', 'pole'],
  corner: ['line', 'pole'],
};

const betweenSlips = ['speed', 'stalled', 'belt', 'door'] as const;

/**
 * A learner who makes each slip with this chance, from 0 (careful) to 1.
 * @param seed the same seed makes the same learner
 */
export function randomPlan(standard: EffectiveStandard, seed: number, chance: number): RunPlan {
  const { random } = startSimulatedCar(seed);
  const happens = () => random() < chance;
  const between = (least: number, most: number) => Math.round((least + random() * (most - least)) * 10) / 10;
  const values: Partial<Record<SensorSign, () => number>> = {
    'roll-back': () => between(2, 45),
    revs: () => Math.round(between(2500, 3600)),
    'tone-speed': () => between(15, 34),
    speed: () => between(30, 40),
  };
  const slip = (sign: SensorSign): Slip => ({ sign, ...(values[sign] && { value: values[sign]() }) });
  const automatic = random() < 0.3;
  const ways = waysThrough(standard.exercises);
  const way = ways.length > 1 ? ways[Math.floor(random() * ways.length)] : ways[0];
  const exercises = (way ?? []).map((code): ExercisePlan => {
    const { manoeuvre = 'bay-reverse' } = standard.exercises.find((one) => one.code === code)!;
    const slips = slipsOf[manoeuvre]!.filter(happens).map(slip);
    return { exercise: code, slips: apart(slips, automatic) };
  });
  const order = standard.course?.leaving?.order ?? usualLeaving;
  return {
    seed,
    automatic,
    exercises,
    between: exercises.flatMap(({ exercise }) =>
      betweenSlips.filter(() => random() < chance / 2).map((sign) => ({ ...slip(sign), after: exercise })),
    ),
    leaving: happens() ? [order[1]!, order[0]!, ...order.slice(2)] : order,
  };
}

/** Without what cannot be seen beside something else: a car that is not parked was not parked wrongly. */
function apart(slips: readonly Slip[], automatic: boolean): readonly Slip[] {
  const has = (sign: SensorSign) => slips.some((one) => one.sign === sign);
  return slips.filter(
    ({ sign }) =>
      !(sign === 'not-in-park' && (!automatic || has('parked-outside'))) &&
      !(sign === 'clutch-first' && automatic) &&
      !(sign === 'late-braking' && has('clutch-first')),
  );
}

/**
 * What arrives of samples sent over a bad line: a share of them lost, the others late by up to so many milliseconds.
 * @param share lost, from 0 to 1
 */
export function overBadLine(
  samples: readonly Sample[],
  seed: number,
  share: number,
  jitterMs: number,
): readonly SentSample[] {
  const { random } = startSimulatedCar(seed);
  return samples
    .filter(() => random() >= share)
    .map((sample) => ({ sample, arrives: sample.at + random() * jitterMs }))
    .sort((a, b) => a.arrives - b.arrives)
    .map(({ sample }) => sample);
}
