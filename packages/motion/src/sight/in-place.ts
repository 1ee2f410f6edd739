import { distanceBetween, seenFrom, wrapAngle, type Point } from '../geometry';
import type { Bay, Goal, Layout } from '../layout/layout';
import { standing, type Placed } from '../moves/roll';
import { bodyOf, type BodyName, type Part } from '../vehicle/parts';
import type { Vehicle } from '../vehicle/vehicle';

/** In what way a vehicle that has ended does not stand where it should, the worst of it. */
export type OffPlace =
  /** It is turned by so many degrees. */
  | { readonly kind: 'turned'; readonly degrees: number }
  /** It is out over a side of its bay, as seen looking in, or not there where no bay says it; in metres. */
  | { readonly kind: BaySide | 'elsewhere'; readonly metres: number };

export const baySides = ['left', 'right', 'end', 'mouth'] as const;
type BaySide = (typeof baySides)[number];

/** How far off the direction a vehicle may stand in the end, in radians, and off its place where no bay says it, in metres. */
const [offRadians, offM] = [(3 * Math.PI) / 180, 0.4] as const;
/** A vehicle may stand so far out of the mouth of a bay, beyond what it does where it should be, in metres. */
const outOfMouthM = 0.05;

/** The direction that an exercise ends in. */
export const headingOf = (goal: Goal): number => (goal.kind === 'heading' ? goal.heading : goal.poses[0]!.heading);

const isOfBody = ({ name }: Part<BodyName>): boolean => name === 'body' || name === 'trailer-body';

function middleOf(points: readonly Point[]): Point {
  const sum = (pick: (point: Point) => number) => points.reduce((all, point) => all + pick(point), 0) / points.length;
  return { x: sum(({ x }) => x), y: sum(({ y }) => y) };
}

/** Where the parts that belong in a bay lie, as seen from its mouth: a trailer alone where only that goes in. */
function partsIn(vehicle: Vehicle, placed: Placed, { mouth, depthM }: Bay, goal: Placed) {
  const seen = (at: Placed) =>
    bodyOf(vehicle, at)
      .filter(isOfBody)
      .map(({ name, outline }) => ({ name, outline: outline.map((corner) => seenFrom(mouth, corner)) }));
  const planned = seen(goal).filter(({ outline }) => {
    const { x } = middleOf(outline);
    return x > 0 && x < depthM;
  });
  const belong = new Set(planned.map(({ name }) => name));
  return {
    corners: seen(placed)
      .filter(({ name }) => belong.has(name))
      .flatMap(({ outline }) => outline),
    // A vehicle wider than a row of parked cars stands out of it even where it should be.
    standsOutM: Math.max(0, ...planned.flatMap(({ outline }) => outline.map(({ x }) => -x))),
  };
}

/**
 * How a vehicle does not stand where an exercise should end: turned by more than three degrees, out over a side of its bay, or
 * elsewhere. Of a vehicle of which only a part goes into the bay, that part counts.
 * @returns undefined where it stands as it should
 */
export function offPlace(vehicle: Vehicle, placed: Placed, { goal }: Pick<Layout, 'goal'>): OffPlace | undefined {
  const turned = Math.abs(wrapAngle(placed.pose.heading - headingOf(goal)));
  if (turned > offRadians) return { kind: 'turned', degrees: (turned * 180) / Math.PI };
  if (goal.kind === 'heading') return undefined;
  const away = Math.min(...goal.poses.map((one) => distanceBetween([one], [placed.pose])));
  const elsewhere: OffPlace | undefined = away < offM ? undefined : { kind: 'elsewhere', metres: away };
  if (!goal.bay) return elsewhere;
  const { widthM, depthM } = goal.bay;
  const { corners, standsOutM } = partsIn(vehicle, placed, goal.bay, standing(goal.poses[0]!));
  if (corners.length === 0) return elsewhere;
  const most = (out: (corner: Point) => number) => Math.max(...corners.map(out));
  const over: Readonly<Record<BaySide, number>> = {
    left: most(({ y }) => y - widthM / 2),
    right: most(({ y }) => -y - widthM / 2),
    end: most(({ x }) => x - depthM),
    mouth: most(({ x }) => -x) - standsOutM - outOfMouthM,
  };
  const worst = baySides.reduce((one, other) => (over[other] > over[one] ? other : one));
  return over[worst] > 1e-9 ? { kind: worst, metres: over[worst] } : undefined;
}
