import { seenFrom, wrapAngle, type Point } from '../geometry';
import type { Layout } from '../layout/layout';
import { checkWay, leastGap, type Near, type Touch } from '../layout/touch';
import { roll, standing, type Placed } from '../moves/roll';
import { driveSteps, type Step } from '../moves/steps';
import type { Vehicle } from '../vehicle/vehicle';
import { headingOf, offPlace, type OffPlace } from './in-place';
import { aheadOfPart, levelFeatures } from './lines-up';

/** What a rule may call level with something: what the driver sees, and what stands outside the driver's sight. */
export const ruleFeatures = [...levelFeatures, 'front-wheel', 'rear-wheel', 'rear-end'] as const;
export type RuleFeature = (typeof ruleFeatures)[number];

/** When a part of a rule ends. */
export type Until =
  /** A part of the vehicle is level with a marker, or with an end of a wall by the wall's id. */
  | { readonly kind: 'level'; readonly feature: RuleFeature; readonly thing: string }
  /** The vehicle points as it should in the end. */
  | { readonly kind: 'in-line' }
  /** It is as far in as it should be in the end. */
  | { readonly kind: 'in-place' }
  | { readonly kind: 'metres'; readonly metres: number };

/** What a driver does until something lines up. */
export interface RulePart {
  /** The share of full lock, from -1 (right) to 1 (left). */
  readonly lock: number;
  readonly back: boolean;
  readonly until: Until;
}

export type Rule = readonly RulePart[];

/** What becomes of a rule that is followed to the letter. */
export type Followed = {
  /** The steps that it comes to, up to where it failed. */
  readonly steps: readonly Step[];
  /** The closest that anything came; undefined where there is nothing to touch. */
  readonly closest: Near | undefined;
} & (
  | { readonly outcome: 'works' }
  /** Nothing was touched, and it does not stand where it should. */
  | { readonly outcome: 'outside'; readonly off: OffPlace }
  /** A part, by its place from 0, in which something was touched, and where on the whole way. */
  | { readonly outcome: 'touches'; readonly part: number; readonly touch: Touch }
  /** A part that never ended. */
  | { readonly outcome: 'never'; readonly part: number }
);

const everyM = 0.02;
/** No part of a rule is followed further than this, in metres. */
const furthestM = 30;

function level(vehicle: Vehicle, placed: Placed, feature: RuleFeature, at: Point): number {
  switch (feature) {
    case 'front-wheel':
      return seenFrom(placed.pose, at).x - vehicle.wheelbaseM;
    case 'rear-wheel':
      return seenFrom(placed.pose, at).x;
    case 'rear-end':
      return seenFrom(placed.pose, at).x + vehicle.rearOverhangM;
    default:
      return aheadOfPart(vehicle, placed, feature, at);
  }
}

/** The ids that a rule can name on a layout: its markers, and the walls by their first end. */
export const thingsOf = ({ markers, edges }: Pick<Layout, 'markers' | 'edges'>): readonly string[] => [
  ...markers.map(({ id }) => id),
  ...edges.filter(({ kind }) => kind === 'wall').map(({ id }) => id),
];

const placeOf = ({ markers, edges }: Pick<Layout, 'markers' | 'edges'>, thing: string): Point | undefined =>
  markers.find(({ id }) => id === thing) ?? edges.find(({ id, kind }) => kind === 'wall' && id === thing)?.from;

/** What a part of a rule watches: it ends where this changes its sign. Undefined where the layout has no such thing. */
function watched(vehicle: Vehicle, layout: Layout, until: Until): ((at: Placed) => number) | undefined {
  const { goal } = layout;
  switch (until.kind) {
    case 'level': {
      const thing = placeOf(layout, until.thing);
      return thing && ((at) => level(vehicle, at, until.feature, thing));
    }
    case 'in-line':
      return ({ pose }) => wrapAngle(pose.heading - headingOf(goal));
    case 'in-place': {
      if (goal.kind === 'heading') return undefined;
      const [pose] = goal.poses;
      return (at) => seenFrom(pose!, at.pose).x;
    }
    default:
      return undefined;
  }
}

/** Metres of way until a part of a rule ends; undefined where it never does. */
function lengthOfPart(vehicle: Vehicle, layout: Layout, from: Placed, { back, until }: RulePart): number | undefined {
  if (until.kind === 'metres') return until.metres;
  const watch = watched(vehicle, layout, until);
  if (!watch) return undefined;
  const sign = back ? -1 : 1;
  let before = watch(from);
  if (Math.abs(before) < 1e-6) return 0;
  for (let way = everyM; way <= furthestM; way += everyM) {
    const now = watch(roll(vehicle, from, sign * way));
    // An angle that leaps from one side to the other has not gone through zero.
    if (before > 0 !== now > 0 && Math.abs(before - now) < 1)
      return way - everyM + (everyM * Math.abs(before)) / (Math.abs(before) + Math.abs(now));
    before = now;
  }
  return undefined;
}

/** Follows a rule of thumb to the letter, the wheel turned standing, and says what becomes of it. */
export function followRule(vehicle: Vehicle, layout: Layout, rule: Rule): Followed {
  const steps: Step[] = [];
  let closest: Near | undefined = leastGap(vehicle, standing(layout.start), layout);
  let at: Placed = standing(layout.start);
  let wayM = 0;
  for (const [part, one] of rule.entries()) {
    const turned = { ...at, steerDeg: one.lock * vehicle.lockDeg };
    const metres = lengthOfPart(vehicle, layout, turned, one);
    const step: Step = { steerDeg: turned.steerDeg, distanceM: (one.back ? -1 : 1) * (metres ?? furthestM) };
    const way = driveSteps(vehicle, at, [step], everyM);
    const check = checkWay(vehicle, way, layout);
    if (check.closest && (!closest || check.closest.gapM < closest.gapM)) closest = check.closest;
    const [touch] = check.touches;
    // What never ends is driven on, until it touches something.
    if (touch) {
      const where = { ...touch, step: part, wayM: wayM + touch.wayM };
      return { outcome: 'touches', part, touch: where, closest, steps: [...steps, step] };
    }
    if (metres === undefined) return { outcome: 'never', part, closest, steps };
    steps.push(step);
    at = way.at(-1)!;
    wayM += Math.abs(step.distanceM);
  }
  const off = offPlace(vehicle, at, layout);
  return off ? { outcome: 'outside', off, steps, closest } : { outcome: 'works', steps, closest };
}

/** A change of a rule, or of the vehicle, with which it works. */
export type Helps =
  /** The part, by its place from 0, ends so many metres later; below 0 earlier. */
  | { readonly kind: 'later'; readonly part: number; readonly laterM: number }
  /** The lock is so many degrees more; below 0 less. */
  | { readonly kind: 'lock'; readonly moreDeg: number };

/** What is tried, and how finely: metres and degrees. */
const [mostLaterM, laterStepM, mostLockDeg] = [2, 0.05, 12] as const;

/**
 * The least change with which a rule that fails in a vehicle works: one of its parts ended earlier or later, by up to two metres;
 * where that does not help, more or less lock, by up to twelve degrees.
 * @returns undefined where neither helps, or where it works as it is
 */
export function whatHelps(vehicle: Vehicle, layout: Layout, rule: Rule): Helps | undefined {
  const followed = followRule(vehicle, layout, rule);
  if (followed.outcome === 'works') return undefined;
  const { lengths } = ends(vehicle, layout, rule);
  // Where it ends is known without asking what is touched, which takes much longer.
  const works = (changed: Rule, of = vehicle) => {
    const { lengths: all, at } = ends(of, layout, changed);
    return (
      all.length === changed.length && !offPlace(of, at, layout) && followRule(of, layout, changed).outcome === 'works'
    );
  };
  for (let by = laterStepM; by <= mostLaterM + 1e-9; by += laterStepM)
    for (let part = 0; part < lengths.length; part++)
      for (const laterM of [by, -by]) {
        const metres = lengths[part]! + laterM;
        if (metres < 0) continue;
        const changed = rule.map((one, i): RulePart =>
          i === part ? { ...one, until: { kind: 'metres', metres } } : one,
        );
        if (works(changed)) return { kind: 'later', part, laterM: Math.round(laterM * 100) / 100 };
      }
  for (let by = 1; by <= mostLockDeg; by++)
    for (const moreDeg of [by, -by]) {
      const lockDeg = vehicle.lockDeg + moreDeg;
      if (lockDeg > 10 && lockDeg < 60 && works(rule, { ...vehicle, lockDeg })) return { kind: 'lock', moreDeg };
    }
  return undefined;
}

/** How long each part of a rule is, as far as they end, whatever is touched, and where the vehicle stands then. */
function ends(
  vehicle: Vehicle,
  layout: Layout,
  rule: Rule,
): { readonly lengths: readonly number[]; readonly at: Placed } {
  const lengths: number[] = [];
  let at: Placed = standing(layout.start);
  for (const part of rule) {
    const turned = { ...at, steerDeg: part.lock * vehicle.lockDeg };
    const metres = lengthOfPart(vehicle, layout, turned, part);
    if (metres === undefined) break;
    lengths.push(metres);
    at = roll(vehicle, turned, (part.back ? -1 : 1) * metres);
  }
  return { lengths, at };
}

/** The same rule on the other side. */
export const mirroredRule = (rule: Rule): Rule =>
  rule.map((part) => ({ ...part, lock: part.lock === 0 ? 0 : -part.lock }));
