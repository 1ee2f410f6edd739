import { layOut, spaceOf, tightMeasure, type ExerciseSpec } from '../layout/exercises';
import type { Layout } from '../layout/layout';
import { reversingGate } from '../layout/reversing-area';
import { checkWay } from '../layout/touch';
import { standing } from '../moves/roll';
import { driveSteps } from '../moves/steps';
import type { SpaceName } from '../layout/space';
import type { Vehicle } from '../vehicle/vehicle';
import { planWay, type Plan } from './plan';
import type { PlanOptions } from './search';

/**
 * The way with the least movements through an exercise. The same on both sides: it is sought on the right and mirrored.
 * @throws RangeError where a measure of the ground cannot be
 */
export function planExercise(vehicle: Vehicle, spec: ExerciseSpec, options: PlanOptions): Plan {
  const layout = layOut({ ...spec, side: 'right' }, vehicle);
  const right =
    spec.code === 'reversing-area' ? pastTheGate(vehicle, layout, options) : planWay(vehicle, layout, options);
  if (spec.side === 'right' || !right.found) return right;
  return {
    ...right,
    steps: right.steps.map((step) => ({ ...step, steerDeg: -step.steerDeg })),
    check: mirroredCheck(right.check),
  };
}

/** The way back past the pole half-way on its other side than the way there, as the exercise is. */
function pastTheGate(vehicle: Vehicle, layout: Layout, options: PlanOptions): Plan {
  const plan = planWay(vehicle, { ...layout, edges: [...layout.edges, reversingGate(layout)] }, options);
  if (!plan.found) return plan;
  // What is told of its gaps is what stands there.
  return { ...plan, check: checkWay(vehicle, driveSteps(vehicle, standing(layout.start), plan.steps, 0.02), layout) };
}

/** The ground of a question: an exercise as it is laid out, or a layout of its own. */
export interface Ground {
  readonly exercise?: ExerciseSpec;
  readonly layout: Layout;
}

/** The way with the least movements on any ground. */
export const planGround = (vehicle: Vehicle, { exercise, layout }: Ground, options: PlanOptions): Plan =>
  exercise ? planExercise(vehicle, exercise, options) : planWay(vehicle, layout, options);

type Check = Extract<Plan, { found: true }>['check'];

/** The same touches and gaps with left and right of the vehicle changed over. */
function mirroredCheck(check: Check): Check {
  const other = <N extends string>(name: N): N =>
    name.replace(/left|right/, (side) => (side === 'left' ? 'right' : 'left')) as N;
  const flip = <T extends { readonly part: string }>(one: T): T => ({ ...one, part: other(one.part) });
  return {
    closest: check.closest && flip(check.closest),
    touches: check.touches.map(flip),
    overhangs: check.overhangs.map(flip),
  };
}

/** How much more of a measure an exercise needs, in metres. */
export interface Needed {
  readonly measure: SpaceName;
  readonly haveM: number;
  readonly needM: number;
  readonly movements: number;
}

/** Steps in which more room is tried, and how finely it is then found out. */
const [coarseM, fineM] = [0.5, 0.05];
const mostMoreM = 4;

/**
 * The least of the measure that there is most often too little of for which there is a way, to 5 cm.
 * @returns undefined where 4 m more do not help
 */
export function roomNeeded(vehicle: Vehicle, spec: ExerciseSpec, options: PlanOptions): Needed | undefined {
  const measure = tightMeasure(spec.code, vehicle);
  const haveM = spaceOf(spec, vehicle)[measure]!;
  const at = (metres: number): Plan =>
    planExercise(vehicle, { ...spec, space: { ...spec.space, [measure]: metres } }, options);
  let [none, enough] = [haveM, haveM];
  let found: Plan | undefined;
  while (!found?.found) {
    if (enough - haveM >= mostMoreM) return undefined;
    none = enough;
    enough += coarseM;
    found = at(enough);
  }
  while (enough - none > fineM + 1e-9) {
    const middle = none + Math.ceil((enough - none) / 2 / fineM - 1e-9) * fineM;
    if (middle >= enough - 1e-9) break;
    const plan = at(middle);
    if (plan.found) [enough, found] = [middle, plan];
    else none = middle;
  }
  return { measure, haveM, needM: Math.round(enough * 100) / 100, movements: found.movements };
}

/** How many movements a width asks for; null where there is no way of so many as may be. */
export interface MovementsAt {
  readonly widthM: number;
  readonly movements: number | null;
}

/**
 * How many movements turning in the road takes for a vehicle, by the width of the road between its kerbs, in metres.
 * @param tell is told each width as it is known
 */
export function movementsByWidth(
  vehicle: Vehicle,
  widthsM: readonly number[],
  options: PlanOptions,
  tell: (at: MovementsAt) => void = () => undefined,
): readonly MovementsAt[] {
  return widthsM.map((widthM) => {
    const plan = planExercise(vehicle, { code: 'turn-in-road', side: 'right', space: { roadM: widthM } }, options);
    const at = { widthM, movements: plan.found ? plan.movements : null };
    tell(at);
    return at;
  });
}
