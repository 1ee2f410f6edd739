import { leastRadius } from '../vehicle/turning';
import { lengthOf, reversedLengthOf, trailerBehindOf, wholeLengthOf, type Vehicle } from '../vehicle/vehicle';
import { bayLayout, angleBayLayout } from './bays';
import { mirrored, type Layout } from './layout';
import type { Space, SpaceName } from './space';
import { reversingAreaLayout, usualReversingArea } from './reversing-area';
import { cornerLayout, parallelLayout, straightLayout, turnLayout } from './roads';

export const exerciseCodes = [
  'turn-in-road',
  'parallel',
  'bay-reverse',
  'bay-forward',
  'angle-bay',
  'corner-reverse',
  'straight-reverse',
  'alley-dock',
  'reversing-area',
] as const;
export type ExerciseCode = (typeof exerciseCodes)[number];

export type Side = 'left' | 'right';

/** An exercise on its ground: which, on which side of the vehicle, and how much room there is. */
export interface ExerciseSpec {
  readonly code: ExerciseCode;
  readonly side: Side;
  readonly space: Space;
}

interface Kind {
  /** The measures it has, each with what is usual for a vehicle. The first is what there may be too little of. */
  readonly usual: (vehicle: Vehicle) => Readonly<Partial<Record<SpaceName, number>>>;
  /** On the right of the vehicle. */
  readonly lay: (vehicle: Vehicle, space: Required<Space>) => Omit<Layout, 'name'>;
}

const up = (metres: number, to = 0.1) => Math.ceil(metres / to - 1e-9) * to;
const round = (metres: number) => Math.round(metres * 100) / 100;

/** Room that a vehicle needs before a bay beyond what it needs alone, to put its trailer there. */
const moreForTrailer = (vehicle: Vehicle) => (vehicle.trailer ? trailerBehindOf(vehicle) + 1.5 : 0);

const bay = (vehicle: Vehicle, insideM: number) => ({
  aisleM: round(up(Math.max(6, leastRadius(vehicle) + vehicle.widthM + 0.6) + moreForTrailer(vehicle), 0.5)),
  bayM: round(up(vehicle.mirrorWidthM + (vehicle.trailer ? 0.9 : 0.45))),
  depthM: round(up(insideM + 0.6)),
});

const kinds: Readonly<Record<ExerciseCode, Kind>> = {
  'turn-in-road': {
    usual: (vehicle) => ({ roadM: round(up(Math.max(6.5, wholeLengthOf(vehicle) * 1.6), 0.5)) }),
    lay: turnLayout,
  },
  parallel: {
    usual: (vehicle) => ({
      gapM: round(up(wholeLengthOf(vehicle) * 1.5)),
      roadM: round(up(Math.max(6.5, vehicle.widthM * 3.5), 0.5)),
    }),
    lay: parallelLayout,
  },
  'bay-reverse': {
    usual: (vehicle) => bay(vehicle, reversedLengthOf(vehicle)),
    lay: (vehicle, space) => bayLayout(vehicle, space, 'reverse'),
  },
  'bay-forward': {
    usual: (vehicle) => bay(vehicle, wholeLengthOf(vehicle)),
    lay: (vehicle, space) => bayLayout(vehicle, space, 'forward'),
  },
  'angle-bay': { usual: (vehicle) => bay(vehicle, wholeLengthOf(vehicle)), lay: angleBayLayout },
  'corner-reverse': {
    usual: (vehicle) => ({
      sideRoadM: round(up(Math.max(5.5, vehicle.widthM * 3))),
      roadM: round(up(Math.max(6.5, vehicle.widthM * 3.5), 0.5)),
      cornerM: round(up(Math.max(3, leastRadius(vehicle)), 0.5)),
    }),
    lay: cornerLayout,
  },
  // 50 ft; common practice.
  'straight-reverse': {
    usual: (vehicle) => ({ laneM: round(up(vehicle.mirrorWidthM + 0.7)), lengthM: 15.2 }),
    lay: straightLayout,
  },
  'alley-dock': {
    usual: (vehicle) => ({
      aisleM: round(up(leastRadius(vehicle) + lengthOf(vehicle) * 0.8 + moreForTrailer(vehicle), 0.5)),
      bayM: round(up(vehicle.mirrorWidthM + 0.9)),
      depthM: round(up(reversedLengthOf(vehicle) + 1)),
    }),
    lay: (vehicle, space) => bayLayout(vehicle, space, 'dock'),
  },
  'reversing-area': { usual: usualReversingArea, lay: reversingAreaLayout },
};

/** The measures of the ground that an exercise has, each with what is usual for a vehicle, in metres. */
export const usualSpace = (code: ExerciseCode, vehicle: Vehicle): Space => kinds[code].usual(vehicle);

/** The measure of an exercise that there is most often too little of. */
export const tightMeasure = (code: ExerciseCode, vehicle: Vehicle): SpaceName =>
  Object.keys(usualSpace(code, vehicle))[0] as SpaceName;

/** Bays that take in the whole of a vehicle with its trailer. */
const drivenInto: readonly ExerciseCode[] = ['bay-forward', 'angle-bay'];

/** A measure of the ground that cannot be. */
export interface SpaceProblem {
  readonly measure: SpaceName;
  readonly value: number;
  readonly leastM: number;
  readonly mostM: number;
}

/** What of the ground is too small for a vehicle to stand on, or absurd. */
export function checkSpace(spec: ExerciseSpec, vehicle: Vehicle): readonly SpaceProblem[] {
  const least: Record<SpaceName, number> = {
    roadM: vehicle.mirrorWidthM + 0.5,
    bayM: vehicle.widthM,
    depthM: drivenInto.includes(spec.code) ? wholeLengthOf(vehicle) : reversedLengthOf(vehicle),
    aisleM: vehicle.mirrorWidthM + 0.2,
    gapM: wholeLengthOf(vehicle),
    sideRoadM: vehicle.mirrorWidthM,
    cornerM: 0.5,
    laneM: vehicle.mirrorWidthM,
    lengthM: 1,
    areaLongM: wholeLengthOf(vehicle) * 2,
    areaWideM: vehicle.mirrorWidthM * 2.2,
  };
  const mostM = 150;
  return Object.entries(spaceOf(spec, vehicle)).flatMap(([name, value]) => {
    const measure = name as SpaceName;
    const leastM = round(least[measure]);
    return value >= leastM && value <= mostM ? [] : [{ measure, value, leastM, mostM }];
  });
}

/** The measures of an exercise: what is given, and what is usual for the rest. */
export function spaceOf({ code, space }: Pick<ExerciseSpec, 'code' | 'space'>, vehicle: Vehicle): Space {
  const usual = usualSpace(code, vehicle);
  return Object.fromEntries(Object.entries(usual).map(([name, metres]) => [name, space[name as SpaceName] ?? metres]));
}

/**
 * The ground of an exercise for a vehicle.
 * @throws RangeError where `checkSpace` finds a measure that cannot be
 */
export function layOut(spec: ExerciseSpec, vehicle: Vehicle): Layout {
  const [problem] = checkSpace(spec, vehicle);
  if (problem)
    throw new RangeError(`${problem.measure} of ${problem.value} m is outside ${problem.leastM} to ${problem.mostM} m`);
  const layout = { name: spec.code, ...kinds[spec.code].lay(vehicle, spaceOf(spec, vehicle) as Required<Space>) };
  return spec.side === 'right' ? layout : mirrored(layout);
}
