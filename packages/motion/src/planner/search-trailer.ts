import FlatQueue from 'flatqueue';
import type { Pose } from '../geometry';
import type { Layout } from '../layout/layout';
import { alongArc, curvatureOf, type Placed } from '../moves/roll';
import { driveSteps, type Step } from '../moves/steps';
import { leastRadius } from '../vehicle/turning';
import type { Vehicle } from '../vehicle/vehicle';
import { bendsOf, heldUntil, type Gear, type Held } from './bends';
import { obstaclesOf } from './obstacles';
import { placesOf } from './places';
import {
  costOf,
  leastToGoal,
  merged,
  movementM,
  rememberM,
  type NoPlan,
  type PlanOptions,
  type Searched,
} from './search';
import { afterPart, bendBy, gearOf, heldParts, metresOf, trailerWays, type TrailerPart } from './trailer-ways';

const { PI, abs, ceil, max, min } = Math;

/** A position of a search, the trailer in line, and how it was come by. */
interface Node {
  readonly pose: Pose;
  /** 0 where nothing was driven yet. */
  readonly gear: Gear | 0;
  readonly movements: number;
  readonly cost: number;
  readonly parent: Node | undefined;
  readonly driven: readonly Held[];
}

/** Positions are tested every so many metres of way while searching, and of a way that is found. */
const [sampleM, fineM] = [0.25, 0.02] as const;
/** The cells of positions. */
const [cellM, cellRad] = [0.6, PI / 24] as const;
/** Progress is told every so many positions: they take longer than a car's. */
const tellTowing = 25;
/** No more positions than this are looked at, and so many after a way was found. */
const [mostLooked, lookFurther] = [1500, 150] as const;
/** The ways to the goal are tried from every so many positions. */
const tryEvery = 4;
/** Metres that are rolled straight at once, and radians that a bend turns by; 0 is the least it turns by. */
const [straightsM, turnsRad] = [
  [1, 3],
  [0, PI / 12, PI / 5, PI / 3],
] as const;
/** The bends that are rolled along: every so many of them, each to both sides. */
const [bendsStep, bendForms] = [4, 4] as const;
/** A trailer ends no further out of line than this, in radians. */
const inLineRad = 0.005;
/** Metres straight on or back before a way to the goal is tried first. */
const [rollM, rollStepM] = [16, 0.5] as const;

/**
 * A way of a vehicle with its trailer with the least movements, then the least way and steering, out of straight lines and bends
 * in which the trailer is kept at an angle: what a driver can steer by eye. A search over positions with the trailer in line
 * (A*), with ways to the goal worked out from each. What is not made of such parts it does not find.
 */
export function searchTrailer(
  vehicle: Vehicle,
  layout: Layout,
  from: Placed,
  { clearanceM, mostMovements, onProgress }: PlanOptions,
): Searched | NoPlan {
  const { goal } = layout;
  const radius = leastRadius(vehicle);
  const bends = bendsOf(vehicle, sampleM);
  const rolled = bends.filter((_, i) => Math.floor(i / bendForms) % bendsStep === bendsStep - 1);
  const straightening = fromHitch(vehicle, from);
  const anglesDeg = [
    ...new Set([
      0,
      from.steerDeg,
      ...straightening.map(({ steerDeg }) => steerDeg),
      ...bends.flatMap(({ enter, hold, leave }) => [enter.steerDeg, hold.steerDeg, leave.steerDeg]),
    ]),
  ];
  const nthAngle = new Map(anglesDeg.map((degrees, i) => [degrees, i]));
  const obstacles = obstaclesOf(vehicle, layout, anglesDeg, clearanceM);
  if (!obstacles.isFree(from.pose, nthAngle.get(from.steerDeg)!, from.hitch))
    return { found: false, why: 'start-blocked', looked: 0 };
  if (goal.kind === 'poses' && !goal.poses.some((pose) => obstacles.isFree(pose, nthAngle.get(0)!, 0)))
    return { found: false, why: 'goal-blocked', looked: 0 };

  const places = placesOf(layout.area, cellM, cellRad);
  const best = new Map<number, number>();
  const queue = new FlatQueue<Node>();
  let answer: Searched | undefined;
  let [looked, further] = [0, 0];

  /** Whether nothing is in the way along a part, looked at now and then. */
  function isFreeDriven(pose: Pose, { steerDeg, curvature, distanceM, hitches }: Held): boolean {
    const nth = nthAngle.get(steerDeg)!;
    const parts = max(1, hitches.length - 1, ceil(abs(distanceM) / sampleM));
    for (let i = 1; i <= parts; i++) {
      const hitch = hitches[min(hitches.length - 1, Math.round((i * (hitches.length - 1)) / parts))]!;
      if (!obstacles.isFree(alongArc(pose, curvature, (distanceM * i) / parts), nth, hitch)) return false;
    }
    return true;
  }

  function areFree(pose: Pose, driven: readonly Held[]): boolean {
    let at = pose;
    return driven.every((one) => {
      const before = at;
      at = alongArc(at, one.curvature, one.distanceM);
      return isFreeDriven(before, one);
    });
  }

  /** Whether nothing is in the way of steps as they are driven, and the trailer ends in line: backwards what is off it grows. */
  function areFreeFinely(steps: readonly Step[]): boolean {
    const way = driveSteps(vehicle, from, steps, fineM);
    return (
      abs(way.at(-1)!.hitch) < inLineRad &&
      way.every(({ pose, steerDeg, hitch }) => obstacles.isFree(pose, nthAngle.get(steerDeg)!, hitch))
    );
  }

  function drivenTo(node: Node): readonly Held[] {
    const all: Held[] = [];
    for (let at: Node | undefined = node; at; at = at.parent) all.unshift(...at.driven);
    return all;
  }

  function tryToEnd(node: Node, thorough: boolean): void {
    for (const parts of trailerWays(node.pose, goal, bends, thorough)) {
      const gears = parts.map(gearOf);
      let [movements, gear] = [node.movements, node.gear];
      for (const next of gears) {
        if (next !== gear) movements++;
        gear = next;
      }
      const wayM = parts.reduce((sum, part) => sum + metresOf(part), 0);
      const least = node.cost + (movements - node.movements) * movementM + wayM + parts.length * rememberM;
      if (movements > mostMovements || (answer && least >= answer.cost)) continue;
      const driven = parts.flatMap(heldParts);
      if (!areFree(node.pose, driven)) continue;
      const steps = merged([...drivenTo(node), ...driven].map(({ steerDeg, distanceM }) => ({ steerDeg, distanceM })));
      const { movements: all, cost } = costOf(steps, vehicle);
      if ((!answer || cost < answer.cost) && areFreeFinely(steps)) answer = { steps, movements: all, cost, looked };
    }
  }

  /** Puts into the queue where a part leads to, unless it was come to more cheaply. */
  function rollOn(node: Node, part: TrailerPart): boolean {
    const gear = gearOf(part);
    const pose = afterPart(node.pose, part);
    const movements = node.movements + (gear === node.gear ? 0 : 1);
    const cost = node.cost + (gear === node.gear ? 0 : movementM) + metresOf(part) + rememberM;
    const key = places.of(pose) * 2 + (gear === 1 ? 1 : 0);
    if (movements > mostMovements) return false;
    if ((best.get(key) ?? Infinity) <= cost + 1e-9) return true;
    const driven = heldParts(part);
    if (!areFree(node.pose, driven)) return false;
    best.set(key, cost);
    queue.push({ pose, gear, movements, cost, parent: node, driven }, cost + leastToGoal(pose, goal, radius));
    return true;
  }

  onProgress?.({ looked, movements: 1, at: from.pose });
  for (const driven of straightening) {
    const gear = driven.distanceM < 0 ? -1 : driven.distanceM > 0 ? 1 : 0;
    const movements = gear === 0 ? 0 : 1;
    const first = {
      pose: alongArc(from.pose, driven.curvature, driven.distanceM),
      gear,
      movements,
      cost: movements * movementM + abs(driven.distanceM),
      parent: undefined,
      driven: gear === 0 ? [] : [driven],
    } as const;
    if (gear !== 0 && !isFreeDriven(from.pose, driven)) continue;
    queue.push(first, first.cost);
    // Straight on or back first, then the bends: what is easiest to remember, where it can be done.
    for (const way of gear === 0 ? [1, -1] : [gear])
      for (let metres = rollStepM; metres <= rollM; metres += rollStepM) {
        const part = { straightM: way * metres };
        const on = heldParts(part);
        if (!areFree(first.pose, on)) break;
        tryToEnd(
          {
            pose: afterPart(first.pose, part),
            gear: way as Gear,
            movements: 1,
            cost: movementM + abs(driven.distanceM) + metres,
            parent: first,
            driven: on,
          },
          true,
        );
      }
  }
  for (let node = queue.pop(); node !== undefined && looked < mostLooked; node = queue.pop()) {
    const isLate = answer !== undefined && node.movements >= answer.movements && ++further > lookFurther;
    if (answer && (node.movements > answer.movements || isLate)) break;
    if (looked % tellTowing === 0) onProgress?.({ looked, movements: max(1, node.movements), at: node.pose });
    if (node.parent === undefined || looked % tryEvery === 0) tryToEnd(node, node.parent === undefined);
    looked++;
    for (const gear of [1, -1] as const) {
      for (const metres of straightsM) if (!rollOn(node, { straightM: gear * metres })) break;
      for (const bend of rolled)
        for (const turn of bend.gear === gear ? turnsRad : []) {
          const part = turn === 0 ? { bend, holdM: 0 } : bendBy(bend, Math.sign(bend.turnsPerM) * turn);
          if (part && !rollOn(node, part)) break;
        }
    }
  }
  return answer ? { ...answer, looked } : { found: false, why: 'none-of-bends', looked };
}

/** The first parts that bring a trailer in line from where it stands; one of no length where it is in line. */
function fromHitch(vehicle: Vehicle, { hitch }: Placed): readonly Held[] {
  if (abs(hitch) < 1e-9) return [{ steerDeg: 0, curvature: 0, distanceM: 0, hitches: [0] }];
  return ([1, -1] as const).flatMap((gear) =>
    [1, -1, 0.5, -0.5].flatMap((share) => {
      const held = heldUntil(vehicle, hitch, 0, curvatureOf(vehicle, share * vehicle.lockDeg), gear, sampleM);
      return held ? [held] : [];
    }),
  );
}
