import { seenFrom, toDegrees } from '@jasperwren/motion/geometry';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { exerciseCodes, type ExerciseCode, type ExerciseSpec } from '@jasperwren/motion/layout/exercises';
import { wheelOf } from '@jasperwren/motion/moves/bench';
import type { Placed } from '@jasperwren/motion/moves/roll';
import { bodyOf } from '@jasperwren/motion/vehicle/parts';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import type { EffectiveStandard } from '../marking/standard';
import type { Exercise, Manoeuvre } from '../marking/exercise';
import type { Sample } from './sample';

/** One moment of a drive on the driving bench. */
export interface DrivenMoment {
  readonly atMs: number;
  readonly placed: Placed;
  /** m/s, below 0 backwards. */
  readonly speedMps: number;
  /** What is touched, by the kind of thing. */
  readonly touching: readonly ('line' | 'kerb' | 'wall' | 'cone' | 'pole')[];
}

const manoeuvreOf: Readonly<Partial<Record<ExerciseCode, Manoeuvre>>> = {
  'turn-in-road': 'turn',
  'bay-reverse': 'bay-reverse',
  'alley-dock': 'bay-reverse',
  'reversing-area': 'bay-reverse',
  parallel: 'bay-reverse',
  'angle-bay': 'bay-forward',
  'bay-forward': 'bay-forward',
};

const isParallel = (code: string): boolean => code.includes('parallel');

/**
 * The exercise of a standard's course that an exercise of the driving bench is, of its side where the course has both;
 * undefined where it has none.
 */
export function exerciseDriven(
  { exercises }: EffectiveStandard,
  { code, side }: Pick<ExerciseSpec, 'code' | 'side'>,
): Exercise | undefined {
  const same = exercises.filter(({ manoeuvre }) => manoeuvre !== undefined && manoeuvre === manoeuvreOf[code]);
  const alike = same.filter((exercise) => isParallel(exercise.code) === (code === 'parallel'));
  return alike.find((exercise) => exercise.side === side) ?? alike[0];
}

/** The exercise of the driving bench that an exercise of a course is; undefined where the bench has none such. */
export function benchExercise({ manoeuvre, code, side }: Exercise): Pick<ExerciseSpec, 'code' | 'side'> | undefined {
  const alike = exerciseCodes.filter(
    (one) => manoeuvre !== undefined && manoeuvreOf[one] === manoeuvre && isParallel(code) === (one === 'parallel'),
  );
  const named = alike.find((one) => !one.startsWith('bay') && code.includes(one.split('-')[0]!));
  const own = alike.find((one) => one === code) ?? named ?? alike[0];
  return own && { code: own, side: side ?? 'right' };
}

/** How much of the vehicle is in the bay, from 0 to 1, by its length; 0 where there is no bay. */
function insideOf(vehicle: Vehicle, placed: Placed, { goal }: Layout): number {
  if (goal.kind !== 'poses' || !goal.bay) return 0;
  const { mouth, widthM, depthM } = goal.bay;
  const corners = bodyOf(vehicle, placed)[0]!.outline.map((corner) => seenFrom(mouth, corner));
  if (corners.some(({ y }) => Math.abs(y) > widthM / 2)) {
    const within = corners.filter(({ x, y }) => x >= 0 && x <= depthM && Math.abs(y) <= widthM / 2).length;
    return within / corners.length / 2;
  }
  const [first, last] = [Math.min(...corners.map(({ x }) => x)), Math.max(...corners.map(({ x }) => x))];
  return Math.max(0, Math.min(last, depthM) - Math.max(first, 0)) / (last - first);
}

/**
 * What the sensors of a car would have said on a drive of the driving bench, so that it is judged as any run is. What the
 * bench knows nothing of, such as pedals and looks, they do not say.
 */
export function samplesOfDrive(
  vehicle: Vehicle,
  layout: Layout,
  exercise: Exercise,
  moments: readonly DrivenMoment[],
): readonly Sample[] {
  let direction = 0;
  const samples = moments.map(({ atMs, placed, speedMps, touching }): Sample => {
    if (speedMps !== 0) direction = Math.sign(speedMps);
    return {
      at: atMs,
      speed: speedMps * 3.6,
      gear: direction === 0 ? 'N' : direction > 0 ? '1' : 'R',
      steering: -wheelOf(vehicle, placed.steerDeg),
      indicator: exercise.startsAt === 'right-indicator' && direction !== 0 ? 'right' : 'off',
      engine: true,
      belt: true,
      door: false,
      parkingBrake: false,
      x: placed.pose.x,
      y: placed.pose.y,
      heading: toDegrees(placed.pose.heading),
      zone: exercise.code,
      inside: insideOf(vehicle, placed, layout),
      line: touching.some((kind) => kind === 'line' || kind === 'kerb'),
      pole: touching.some((kind) => kind === 'pole' || kind === 'cone' || kind === 'wall'),
    };
  });
  return samples;
}
