import FlatQueue from 'flatqueue';
import { seenFrom, wrapAngle, type Pose } from '../geometry';
import type { Layout } from '../layout/layout';
import { afterArc, alongArc, arcOf, standing, type Arc } from '../moves/roll';
import { driveSteps, type Step } from '../moves/steps';
import { leastRadius } from '../vehicle/turning';
import { lengthOf, type Vehicle } from '../vehicle/vehicle';
import { directWays, type DirectPart } from './direct-ways';
import {
  costOf,
  leastToGoal,
  merged,
  movementM,
  steeringM,
  type NoPlan,
  type PlanOptions,
  type Searched,
} from './search';
import { obstaclesOf } from './obstacles';
import { placesOf } from './places';
import { fullLeft, fullRight, radii, shares, steeringOf, straight } from './steering';

// Looked up once: they are asked for millions of times.
const { PI, abs, ceil, max, min } = Math;

/** Progress is told every so many positions. */
const tellEvery = 250;
/** The direct way to the goal is tried from every so many positions, around the least radius and around wider ones. */
const [tryEvery, tryWiderEvery] = [6, 30] as const;
const [leastOnly, someRadii] = [[0], [0, 2, 4, 6]] as const;
/** After a way was found, so many more positions of as many movements are looked at for a shorter one. */
const lookFurther = 2500;
/** Metres straight on or back before the first curve. */
const rollM = 6;
/** Positions are tested every so many metres of way while searching, and of a way that is found. */
const [sampleM, fineM] = [0.21, 0.02] as const;

/** How finely a search looks: the cells of its positions, and the metres that are rolled at once. */
interface Fineness {
  readonly cellM: number;
  readonly cellRad: number;
  /** The metres of a cell along x where they are others. */
  readonly alongM?: number;
  readonly stepsM: readonly number[];
  /** Which of the shares of full lock are tried. */
  readonly steers: readonly number[];
}

/**
 * Between kerbs every finger of road counts, and where a vehicle stands along the road makes no difference: what is left to
 * search are places across it and directions.
 */
function finenessFor(vehicle: Vehicle, layout: Layout): Fineness {
  const size = lengthOf(vehicle) > 6 ? 1.5 : 1;
  const fullLockOnly = { steers: [fullRight, straight, fullLeft] };
  if (isAlikeAlong(layout)) {
    const stepsM = [0.5, 0.25, 0.125, 0.06, 0.03].map((metres) => metres * size);
    return { cellM: 0.03 * size, alongM: Infinity, cellRad: PI / 240, stepsM, ...fullLockOnly };
  }
  if (layout.goal.kind === 'heading') {
    const stepsM = [0.5, 0.25, 0.125].map((metres) => metres * size);
    return { cellM: 0.12 * size, cellRad: PI / 60, stepsM, ...fullLockOnly };
  }
  return { cellM: 0.25 * size, cellRad: PI / 30, stepsM: [0.5 * size], steers: [...shares.keys()] };
}

/** Whether it is the same wherever along x a vehicle stands, and only where it points matters: a road between kerbs. */
const isAlikeAlong = ({ goal, markers, edges, area }: Layout): boolean =>
  goal.kind === 'heading' &&
  markers.length === 0 &&
  edges.every(
    ({ from, to }) => from.y === to.y && min(from.x, to.x) < area.left - 10 && max(from.x, to.x) > area.right + 10,
  );

/** A position of a search, and how it was come by. */
interface Node {
  readonly pose: Pose;
  /** 1 forwards, -1 backwards. */
  readonly gear: 1 | -1;
  readonly steer: number;
  readonly movements: number;
  readonly cost: number;
  readonly parent: Node | undefined;
  readonly distanceM: number;
}

/**
 * The way with the least movements, then the least way and steering, from the start of a layout to its goal, keeping a
 * clearance. A search over positions, directions and movements (hybrid A*: D. Dolgov, S. Thrun, M. Montemerlo, J. Diebel,
 * "Practical search techniques in path planning for autonomous driving", 2008) guided by the length of the way where
 * nothing stands (Reeds and Shepp 1990). A trailer is left at home: `search-trailer` takes it along.
 */
export function searchCar(vehicle: Vehicle, layout: Layout, options: PlanOptions): Searched | NoPlan {
  const { clearanceM, mostMovements, onProgress } = options;
  const { start, goal, area } = layout;
  const radius = leastRadius(vehicle);
  const steering = steeringOf(vehicle);
  const { cellM, cellRad, alongM, stepsM, steers } = finenessFor(vehicle, layout);
  const obstacles = obstaclesOf(vehicle, layout, steering.anglesDeg, clearanceM);
  if (!obstacles.isFree(start, straight)) return { found: false, why: 'start-blocked', looked: 0 };
  if (goal.kind === 'poses' && !goal.poses.some((pose) => obstacles.isFree(pose, straight)))
    return { found: false, why: 'goal-blocked', looked: 0 };

  /** What is rolled at once, forwards and backwards by each steering, the longest first. */
  const rolls = [1, -1].map((gear) =>
    steering.curvatures.map((curvature) =>
      stepsM.map((wayM) => ({ distanceM: gear * wayM, arcs: arcsAlong(curvature, gear * wayM, sampleM) })),
    ),
  );
  const places = placesOf(area, cellM, cellRad, alongM);
  /** The least cost of each place by direction, and the metres from each to the goal; below 0 where not asked yet. */
  const best = new Float64Array(places.count * 2).fill(Infinity);
  const lengths = new Float64Array(places.count).fill(-1);
  const keyOf = (place: number, gear: Node['gear']) => place * 2 + (gear === 1 ? 1 : 0);
  const queue = new FlatQueue<Node>();
  let answer: Searched | undefined;
  let [looked, further, capped] = [0, 0, false];

  function stillToGo(pose: Pose, place: number): number {
    const known = lengths[place]!;
    if (known >= 0) return known;
    return (lengths[place] = leastToGoal(pose, goal, radius));
  }

  const isFreeAlong = (from: Pose, { steer, distanceM }: DirectPart, everyM: number): boolean =>
    obstacles.isFreeAlong(from, steer, arcsAlong(steering.curvatures[steer]!, distanceM, everyM));

  function areFree(from: Pose, parts: readonly DirectPart[], everyM: number): boolean {
    let at = from;
    return parts.every((part) => {
      const before = at;
      at = alongArc(at, steering.curvatures[part.steer]!, part.distanceM);
      return isFreeAlong(before, part, everyM);
    });
  }

  /** The parts of the way to a position from the start. */
  function partsTo(node: Node): readonly DirectPart[] {
    const parts: DirectPart[] = [];
    for (let at: Node | undefined = node; at?.parent; at = at.parent) parts.push(at);
    return parts.reverse();
  }

  /** Takes a way from a position to the goal for the answer, if nothing is in it and it is better than what is known. */
  function offer(node: Node, parts: readonly DirectPart[]): void {
    if (!areFree(node.pose, parts, sampleM)) return;
    const before = partsTo(node);
    const steps = merged(
      [...before, ...parts].map(({ steer, distanceM }) => ({ steerDeg: steering.anglesDeg[steer]!, distanceM })),
    );
    const { movements, cost } = costOf(steps, vehicle);
    if (movements > mostMovements || (answer && cost >= answer.cost)) return;
    if (areFree(node.pose, parts, fineM) && areFree(start, before, fineM)) answer = { steps, movements, cost, looked };
  }

  /** Tries to go from a position straight to the goal. */
  function tryToEnd(node: Node, nthRadii: readonly number[]): void {
    for (const { lengthM, changes, begins, parts } of directWays(node.pose, goal, radius, steering, nthRadii)) {
      const more = changes + (node.parent !== undefined && begins !== node.gear ? 1 : 0);
      // One movement more is an answer to fall back on; further ones are found from further on.
      if (more > 1 && node.movements + more > 2) continue;
      if (!answer || node.cost + more * movementM + lengthM < answer.cost) offer(node, parts());
    }
  }

  /** Puts into the queue where a vehicle can roll to from a position in one direction. */
  function rollOn(node: Node, gear: Node['gear'], movements: number): void {
    for (const steer of steers) {
      const halfLocks = abs(shares[steer]! - shares[node.steer]!) * 2;
      const before = node.cost + halfLocks * steeringM + (gear === node.gear ? 0 : movementM);
      for (const { distanceM, arcs } of rolls[gear === 1 ? 0 : 1]![steer]!) {
        const pose = afterArc(node.pose, arcs.at(-1)!);
        const place = places.of(pose);
        const key = keyOf(place, gear);
        const cost = before + abs(distanceM);
        // Where it was known better already nothing is looked for; outside the area there is no such place.
        if (!(best[key]! > cost + 1e-9)) break;
        // Up to what stands there a shorter step may go.
        if (!obstacles.isFreeAlong(node.pose, steer, arcs)) continue;
        best[key] = cost;
        queue.push({ steer, distanceM, pose, gear, movements, cost, parent: node }, cost + stillToGo(pose, place));
        break;
      }
    }
  }

  const first = { pose: start, steer: straight, movements: 1, cost: movementM, parent: undefined, distanceM: 0 };
  for (const gear of [1, -1] as const) {
    best[keyOf(places.of(start), gear)] = movementM;
    queue.push({ ...first, gear }, 0);
  }
  onProgress?.({ looked, movements: 1, at: start });
  // Straight on or back first, then one curve: what is easiest to remember, where it can be done.
  for (let metres = -rollM; metres <= rollM; metres += 0.2) {
    const part = { steer: straight, distanceM: metres };
    if (abs(metres) < 0.1 || !isFreeAlong(start, part, sampleM)) continue;
    const gear = metres > 0 ? 1 : -1;
    const node = { ...first, ...part, gear, pose: alongArc(start, 0, metres), cost: movementM + abs(metres) } as const;
    tryToEnd({ ...node, parent: { ...first, gear } }, [...radii.keys()]);
  }
  for (let node = queue.pop(); node !== undefined; node = queue.pop()) {
    // A better way to the same place may have come after it was put in the queue.
    if (node.cost > best[keyOf(places.of(node.pose), node.gear)]! + 1e-9) continue;
    const isLate = answer !== undefined && node.movements === answer.movements && ++further > lookFurther;
    if (answer && (node.movements > answer.movements || isLate)) break;
    if (looked % tellEvery === 0) onProgress?.({ looked, movements: node.movements, at: node.pose });
    if (looked % tryEvery === 0)
      tryToEnd(node, node.movements === 1 || looked % tryWiderEvery === 0 ? someRadii : leastOnly);
    looked++;
    for (const gear of [1, -1] as const) {
      if (gear !== node.gear && node.parent === undefined) continue;
      const movements = node.movements + (gear === node.gear ? 0 : 1);
      if (movements > mostMovements) capped = true;
      else if (!answer || movements <= answer.movements) rollOn(node, gear, movements);
    }
  }
  if (!answer) return { found: false, why: capped ? 'too-many-movements' : 'none', looked };
  return { ...answer, steps: tidied(vehicle, layout, answer.steps), looked };
}

/** Arcs to places along a way that are no further from one another than so many metres, the end of it last. */
function arcsAlong(curvature: number, distanceM: number, everyM: number): readonly Arc[] {
  const parts = max(1, ceil(abs(distanceM) / everyM));
  const arcs: Arc[] = [];
  for (let i = 1; i <= parts; i++) arcs.push(arcOf(curvature, (distanceM * i) / parts));
  return arcs;
}

/** A last step that only straightens the vehicle up is left out where it stands well enough without it. */
const [smallM, besideM, askewRad] = [0.2, 0.03, PI / 120];

function tidied(vehicle: Vehicle, { start, goal }: Layout, steps: readonly Step[]): readonly Step[] {
  const last = steps.at(-1)!;
  if (goal.kind !== 'poses' || steps.length < 2 || abs(last.distanceM) > smallM) return steps;
  const fewer = steps.slice(0, -1);
  const { pose } = driveSteps(vehicle, standing(start), fewer, Infinity).at(-1)!;
  const standsWell = goal.poses.some((to) => {
    const off = seenFrom(to, pose);
    return abs(off.x) <= smallM && abs(off.y) <= besideM && abs(wrapAngle(pose.heading - to.heading)) <= askewRad;
  });
  return standsWell ? fewer : steps;
}
