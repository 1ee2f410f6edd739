import FlatQueue from 'flatqueue';
import { seenFrom, toDegrees, wrapAngle, type Pose } from '../geometry';
import { checkWay, type WayChecked } from '../layout/touch';
import type { Layout } from '../layout/layout';
import { alongArc, curvatureOf, standing } from '../moves/roll';
import { driveSteps, movementsOf, turningOf, wayOf, type Step } from '../moves/steps';
import { leastRadius } from '../vehicle/turning';
import { lengthOf, type Vehicle } from '../vehicle/vehicle';
import { obstaclesOf } from './obstacles';
import { shortestLength, waysBetween } from './reeds-shepp';

const { PI, abs, atan, ceil, max, min, round } = Math;

export interface PlanOptions {
  /** Metres that every part keeps from what it may not touch. */
  readonly clearanceM: number;
  /** No more movements than this are tried. */
  readonly mostMovements: number;
  /** Told now and then how far the search is. */
  readonly onProgress?: (progress: PlanProgress) => void;
}

export interface PlanProgress {
  /** Positions looked at so far. */
  readonly looked: number;
  /** Ways of so many movements are being tried. */
  readonly movements: number;
  /** Where the search is. */
  readonly at: Pose;
}

export interface FoundPlan {
  readonly found: true;
  readonly steps: readonly Step[];
  readonly movements: number;
  readonly wayM: number;
  /** Degrees that the front wheels are turned in all. */
  readonly turningDeg: number;
  /** What the way touches, and its closest point, from exact outlines at every centimetre. */
  readonly check: WayChecked;
  readonly looked: number;
}

export interface NoPlan {
  readonly found: false;
  /** Every position within reach was tried, or only those of so many movements. */
  readonly why: 'none' | 'too-many-movements' | 'start-blocked' | 'goal-blocked';
  readonly looked: number;
}

export type Plan = FoundPlan | NoPlan;

export const usualPlanOptions = { clearanceM: 0.1, mostMovements: 9 } as const;

/** Steering angles that are tried, as parts of full lock to the left. */
const shares = [-1, -0.5, 0, 0.5, 1] as const;
/** Radii that are tried for the way from a position to the goal, as multiples of the least. */
const radii = [1, 1.1, 1.2, 1.35, 1.5, 1.75, 2, 2.5] as const;
/** Of those, what is tried in the middle of a search. */
const fewRadii = [0, 2, 4, 6] as const;
/** One more movement costs as much as this many metres: fewer movements always win. */
const movementM = 400;
/** One more half lock of steering costs as much as this many metres. */
const steeringM = 0.3;
/** One more step to remember costs as much as this many metres. */
const rememberM = 1;
/** The direct way to the goal is tried from every so many positions. */
const tryEvery = 6;
const tryWiderEvery = 30;
/** After a way was found, so many more positions of as many movements are looked at for a shorter one. */
const lookFurther = 2500;
const tellEvery = 2000;
/** Metres straight on or back before the first curve. */
const rollM = 6;
/** Positions are tested every so many metres of way while searching, and of a way that is found. */
const sampleM = 0.21;
const fineM = 0.02;

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
 * nothing stands (Reeds and Shepp 1990). Trailers are not planned for: the car goes alone.
 */
export function planWay(vehicle: Vehicle, layout: Layout, options: PlanOptions): Plan {
  const { clearanceM, mostMovements, onProgress } = options;
  const radius = leastRadius(vehicle);
  const size = lengthOf(vehicle) > 6 ? 1.5 : 1;
  // Between kerbs every hand of road counts, and there is little ground to search.
  const fine = layout.goal.kind === 'heading';
  const [cellM, cellRad, stepM] = [(fine ? 0.12 : 0.25) * size, PI / (fine ? 60 : 30), 0.5 * size];
  const stepsM = fine ? [stepM, stepM / 2, stepM / 4] : [stepM];
  const steers = fine ? [0, 2, 4] : [0, 1, 2, 3, 4];
  const steersDeg = shares.map((share) => share * vehicle.lockDeg);
  const curvatures = steersDeg.map((steerDeg) => curvatureOf(vehicle, steerDeg));
  const extraDeg = radii
    .slice(1)
    .flatMap((times) => [-1, 1].map((sign) => sign * toDegrees(atan(vehicle.wheelbaseM / (radius * times)))));
  const allDeg = [...steersDeg, ...extraDeg];
  const obstacles = obstaclesOf(vehicle, layout, allDeg, clearanceM);
  const straight = steersDeg.indexOf(0);
  const { start, goal } = layout;
  const goals = goal.kind === 'poses' ? goal.poses : [];
  if (!obstacles.isFree(start, straight)) return { found: false, why: 'start-blocked', looked: 0 };
  if (goal.kind === 'poses' && !goals.some((pose) => obstacles.isFree(pose, straight)))
    return { found: false, why: 'goal-blocked', looked: 0 };

  const columns = ceil((layout.area.right - layout.area.left) / cellM) + 2;
  const rows = ceil((layout.area.top - layout.area.bottom) / cellM) + 2;
  const turns = round((2 * PI) / cellRad);
  const placeOf = ({ x, y, heading }: Pose) => {
    const turn = ((round(heading / cellRad) % turns) + turns) % turns;
    return (turn * rows + round((y - layout.area.bottom) / cellM)) * columns + round((x - layout.area.left) / cellM);
  };
  const best = new Float64Array(columns * rows * turns * 2).fill(Infinity);
  const lengths = new Float64Array(columns * rows * turns).fill(-1);
  const queue = new FlatQueue<Node>();
  let answer: { readonly steps: readonly Step[]; readonly movements: number; readonly cost: number } | undefined;
  let [looked, further, capped] = [0, 0, false];

  const stillToGo = (pose: Pose, place: number): number => {
    if (goal.kind === 'heading') return radius * abs(wrapAngle(goal.heading - pose.heading));
    const known = lengths[place]!;
    if (known >= 0) return known;
    let least = Infinity;
    for (const to of goals) least = min(least, shortestLength(pose, to, radius));
    lengths[place] = least;
    return least;
  };

  const keyOf = (place: number, gear: Node['gear']) => place * 2 + (gear === 1 ? 1 : 0);

  function freeAlong(from: Pose, steer: number, curvature: number, distanceM: number, everyM = sampleM): boolean {
    const parts = max(1, ceil(abs(distanceM) / everyM));
    for (let i = 1; i <= parts; i++)
      if (!obstacles.isFree(alongArc(from, curvature, (distanceM * i) / parts), steer)) return false;
    return true;
  }

  /** The way from a position straight to the goal, if it is better than what is known. */
  function tryToEnd(node: Node, nths: readonly number[]): void {
    const isFree = (pieces: readonly Step[], steers: readonly number[], everyM: number) => {
      let at = node.pose;
      return pieces.every(({ steerDeg, distanceM }, i) => {
        const curvature = curvatureOf(vehicle, steerDeg);
        const from = at;
        at = alongArc(at, curvature, distanceM);
        return freeAlong(from, steers[i]!, curvature, distanceM, everyM);
      });
    };
    const offer = (pieces: readonly Step[], steers: readonly number[]) => {
      if (!isFree(pieces, steers, sampleM)) return;
      const steps = merged([...stepsTo(node), ...pieces]);
      const movements = movementsOf(steps);
      const cost =
        movements * movementM +
        wayOf(steps) +
        (turningOf(steps) / vehicle.lockDeg) * 2 * steeringM +
        steps.length * rememberM;
      if (movements > mostMovements || (answer && cost >= answer.cost)) return;
      if (isFree(pieces, steers, fineM) && isFreeTo(node)) answer = { steps, movements, cost };
    };
    if (goal.kind === 'heading') {
      const left = wrapAngle(goal.heading - node.pose.heading);
      for (const steer of [0, 4])
        for (const turned of [left, left > 0 ? left - 2 * PI : left + 2 * PI])
          if (abs(turned) < 1.2 * PI)
            offer([{ steerDeg: steersDeg[steer]!, distanceM: turned / curvatures[steer]! }], [steer]);
      return;
    }
    for (const to of goals)
      for (const nth of nths) {
        const times = radii[nth]!;
        for (const { pieces, length, changes, begins } of waysBetween(node.pose, to, radius * times)) {
          const more = changes + (node.parent !== undefined && begins !== node.gear ? 1 : 0);
          // One movement more is an answer to fall back on; further ones are found from further on.
          if (more > 1 && node.movements + more > 2) continue;
          if (answer && node.cost + more * movementM + length * radius * times >= answer.cost) continue;
          const tight = toDegrees(atan(vehicle.wheelbaseM / (radius * times)));
          const steerOf = (turn: number) =>
            turn === 0 ? straight : nth === 0 ? (turn > 0 ? 4 : 0) : 5 + (nth - 1) * 2 + (turn > 0 ? 1 : 0);
          offer(
            pieces().map(({ turn, length: radii }) => ({ steerDeg: turn * tight, distanceM: radii * radius * times })),
            pieces().map(({ turn }) => steerOf(turn)),
          );
        }
      }
  }

  /** Whether the way to a position is free at every fine step too. */
  function isFreeTo(node: Node): boolean {
    for (let at: Node = node; at.parent; at = at.parent)
      if (!freeAlong(at.parent.pose, at.steer, curvatures[at.steer]!, at.distanceM, fineM)) return false;
    return true;
  }

  const stepsTo = (node: Node): readonly Step[] => {
    const steps: Step[] = [];
    for (let at: Node | undefined = node; at?.parent; at = at.parent)
      steps.push({ steerDeg: steersDeg[at.steer]!, distanceM: at.distanceM });
    return steps.reverse();
  };

  const from: Node = {
    pose: start,
    gear: 1,
    steer: straight,
    movements: 1,
    cost: movementM,
    parent: undefined,
    distanceM: 0,
  };
  for (const gear of [1, -1] as const) {
    best[keyOf(placeOf(start), gear)] = movementM;
    queue.push(
      { pose: start, gear, steer: straight, movements: 1, cost: movementM, parent: undefined, distanceM: 0 },
      0,
    );
  }
  // Straight on or back first, then one curve: what is easiest to remember, where it can be done.
  for (let metres = -rollM; metres <= rollM; metres += 0.2) {
    if (abs(metres) < 0.1 || !freeAlong(start, straight, 0, metres)) continue;
    const gear = metres > 0 ? 1 : -1;
    const pose = alongArc(start, 0, metres);
    tryToEnd({ ...from, pose, gear, parent: { ...from, gear }, distanceM: metres, cost: movementM + abs(metres) }, [
      ...radii.keys(),
    ]);
  }
  for (let node = queue.pop(); node !== undefined; node = queue.pop()) {
    // A better way to the same place may have come after it was put in the queue.
    if (node.cost > best[keyOf(placeOf(node.pose), node.gear)]! + 1e-9) continue;
    if (
      answer &&
      (node.movements > answer.movements || (node.movements === answer.movements && ++further > lookFurther))
    )
      break;
    if (looked % tellEvery === 0) onProgress?.({ looked, movements: node.movements, at: node.pose });
    if (looked % tryEvery === 0) tryToEnd(node, node.movements === 1 || looked % tryWiderEvery === 0 ? fewRadii : [0]);
    looked++;
    for (const gear of [1, -1] as const) {
      const movements = node.movements + (gear === node.gear ? 0 : 1);
      if (gear !== node.gear && node.parent === undefined) continue;
      if (movements > mostMovements) {
        capped = true;
        continue;
      }
      if (answer && movements > answer.movements) continue;
      for (const steer of steers) {
        const turned = abs(shares[steer]! - shares[node.steer]!) * 2;
        const before = node.cost + turned * steeringM + (gear === node.gear ? 0 : movementM);
        for (const wayM of stepsM) {
          const distanceM = gear * wayM;
          const pose = alongArc(node.pose, curvatures[steer]!, distanceM);
          const place = placeOf(pose);
          const key = keyOf(place, gear);
          const cost = before + wayM;
          // Outside the area there is no such place.
          if (!(best[key]! > cost + 1e-9)) break;
          // Up to what stands there a shorter step may go.
          if (!freeAlong(node.pose, steer, curvatures[steer]!, distanceM)) continue;
          best[key] = cost;
          queue.push({ pose, gear, steer, movements, cost, parent: node, distanceM }, cost + stillToGo(pose, place));
          break;
        }
      }
    }
  }
  if (!answer) return { found: false, why: capped ? 'too-many-movements' : 'none', looked };
  const { movements } = answer;
  const steps = tidied(vehicle, layout, answer.steps);
  return {
    found: true,
    steps,
    movements,
    wayM: wayOf(steps),
    turningDeg: turningOf(steps),
    check: checkWay(vehicle, driveSteps(vehicle, standing(start), steps, 0.01), layout),
    looked,
  };
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

/** Steps with the same steering and direction as one. */
function merged(steps: readonly Step[]): readonly Step[] {
  const all: Step[] = [];
  for (const step of steps) {
    const last = all.at(-1);
    if (last && abs(last.steerDeg - step.steerDeg) < 1e-9 && last.distanceM > 0 === step.distanceM > 0)
      all[all.length - 1] = { ...last, distanceM: last.distanceM + step.distanceM };
    else all.push(step);
  }
  return all;
}
