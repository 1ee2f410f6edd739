import type { Layout } from '@jasperwren/motion/layout/layout';
import type { OnWay } from '@jasperwren/motion/moves/same-hands';
import type { Saved } from '@jasperwren/motion/planner/last-saved';
import type { Plan } from '@jasperwren/motion/planner/plan';
import type { PlanProgress } from '@jasperwren/motion/planner/search';
import type { Ground, MovementsAt, Needed } from '@jasperwren/motion/planner/plan-exercise';
import type { Followed, Helps, Rule } from '@jasperwren/motion/sight/rule-of-thumb';
import type { Reference } from '@jasperwren/motion/sight/tolerance';
import { wholeLengthOf, type Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { proxy } from 'comlink';
import type { Steps } from '../base/work/follow';
import { useWork } from '../base/work/use-work';
import { workersOf } from '../base/work/workers';
import type { WheelsWork } from './wheels.worker';

const wheelsWorkers = workersOf<WheelsWork>(
  () => new Worker(new URL('./wheels.worker.ts', import.meta.url), { type: 'module' }),
);

/** What is asked of the planner; another object where something else is. */
export interface PlanQuestion {
  readonly vehicle: Vehicle;
  readonly ground: Ground;
  readonly clearanceM: number;
}

export const mostMovements = 9;

export interface PlanParts {
  readonly progress: PlanProgress | undefined;
  readonly plan: Plan | undefined;
  /** How much more room would do; null where four metres more would not, missing while that is worked out. */
  readonly needed: Needed | null | undefined;
  /** What each step forgives, and what is level as it ends; missing while that is worked out. */
  readonly references: readonly Reference[] | undefined;
}

const plan: Steps<WheelsWork, PlanQuestion, PlanParts> = async (work, { vehicle, ground, clearanceM }, tell) => {
  tell({ progress: undefined, plan: undefined, needed: undefined, references: undefined });
  const limits = { clearanceM, mostMovements };
  const found = await work.plan(
    vehicle,
    ground,
    limits,
    proxy((progress: PlanProgress) => tell({ progress })),
  );
  tell({ plan: found });
  if (found.found) tell({ references: await work.references(vehicle, ground.layout, found.steps) });
  else if (found.why !== 'start-blocked' && ground.exercise)
    tell({ needed: (await work.needed(vehicle, ground.exercise, limits)) ?? null });
};

/** The way with the fewest movements, sought beside the page. */
export const usePlan = (question: PlanQuestion) => useWork(wheelsWorkers, question, plan);

interface RuleQuestion {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  readonly rule: Rule;
}

interface RuleParts {
  readonly followed: Followed | undefined;
  /** With what it would work; null where nothing helps, missing while that is worked out. */
  readonly helps: Helps | null | undefined;
}

const rule: Steps<WheelsWork, RuleQuestion, RuleParts> = async (work, { vehicle, layout, rule: parts }, tell) => {
  tell({ helps: undefined });
  const followed = await work.follow(vehicle, layout, parts);
  tell({ followed });
  if (followed.outcome !== 'works') tell({ helps: (await work.helps(vehicle, layout, parts)) ?? null });
};

/** What becomes of a rule of thumb, worked out beside the page. */
export const useRule = (question: RuleQuestion) => useWork(wheelsWorkers, question, rule);

interface SavedQuestion {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  readonly way: readonly OnWay[];
  /** The place in the way where something was touched; below 0 where nothing was. */
  readonly touch: number;
}

interface SavedParts {
  /** The last moment from which steering alone would have saved it; null where it never would, missing while worked out. */
  readonly bySteering: Saved | null | undefined;
  /** The same with up to two changes of direction. */
  readonly byCorrecting: Saved | null | undefined;
}

const saved: Steps<WheelsWork, SavedQuestion, SavedParts> = async (work, { vehicle, layout, way, touch }, tell) => {
  tell({ bySteering: undefined, byCorrecting: undefined });
  if (touch < 0) return;
  tell({ bySteering: (await work.saved(vehicle, layout, way, touch, 1)) ?? null });
  tell({ byCorrecting: (await work.saved(vehicle, layout, way, touch, 3)) ?? null });
};

/** Until when a drive that touched something could have been saved. */
export const useSaved = (question: SavedQuestion) => useWork(wheelsWorkers, question, saved);

/** Metres between two widths of the chart, and of what is longer than so many. */
const [widthStepM, longStepM, longM] = [0.5, 1, 8] as const;

const widths: Steps<
  WheelsWork,
  { readonly vehicle: Vehicle },
  { readonly widths: readonly MovementsAt[]; readonly done: boolean }
> = async (work, { vehicle }, tell) => {
  const lengthM = wholeLengthOf(vehicle);
  const stepM = lengthM > longM ? longStepM : widthStepM;
  const from = Math.ceil((vehicle.wheelbaseM + 2) / stepM) * stepM;
  const all = Array.from({ length: Math.ceil((lengthM * 2.2) / stepM) }, (_, i) => from + i * stepM);
  const known: MovementsAt[] = [];
  tell({ widths: [], done: false });
  await work.widths(
    vehicle,
    all,
    { clearanceM: 0.1, mostMovements },
    proxy((at: MovementsAt) =>
      tell({ widths: [...known, at].sort((a, b) => a.widthM - b.widthM), done: known.push(at) === all.length }),
    ),
  );
};

/** How many movements a turn in the road takes, width by width. */
export const useWidths = (question: { readonly vehicle: Vehicle }) => useWork(wheelsWorkers, question, widths);
