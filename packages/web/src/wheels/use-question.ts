import type { KeptView } from '@jasperwren/contract/wheels';
import {
  checkSpace,
  exerciseCodes,
  layOut,
  type ExerciseCode,
  type ExerciseSpec,
  type SpaceProblem,
} from '@jasperwren/motion/layout/exercises';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { spaceNames, type SpaceName } from '@jasperwren/motion/layout/space';
import type { Ground } from '@jasperwren/motion/planner/plan-exercise';
import type { SpecFile, VehicleFile } from '@jasperwren/motion/read-spec';
import type { Rule } from '@jasperwren/motion/sight/rule-of-thumb';
import { ruleOfText } from '@jasperwren/motion/sight/rule-text';
import { checkVehicle, isOnlyStrange, type VehicleProblem } from '@jasperwren/motion/vehicle/check-vehicle';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { allMeasures, withMeasures } from '@jasperwren/motion/vehicle/measures';
import type { Vehicle, VehicleKind } from '@jasperwren/motion/vehicle/vehicle';
import { exerciseName } from '@jasperwren/words/motion-sentences';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';

export const ways = ['plan', 'rule', 'drive', 'set-out', 'draw', 'run'] as const;
export type Way = (typeof ways)[number];

export interface Question {
  readonly kind: VehicleKind;
  readonly vehicle: Vehicle;
  /** The exercise; missing on a ground of the school's own. */
  readonly exercise: ExerciseSpec | undefined;
  /** The ground and what it is called; missing where its measures cannot be. */
  readonly ground: Ground | undefined;
  readonly groundName: string;
  readonly clearanceM: number;
  readonly rule: Rule | undefined;
  readonly way: Way;
  /** A yard run and its exercise, where the address names one. */
  readonly run: { readonly run: string; readonly zone: string } | undefined;
  /** What is wrong with the measures of the vehicle or the ground, or strange. */
  readonly vehicleProblems: readonly VehicleProblem[];
  readonly spaceProblems: readonly SpaceProblem[];
  /** The kept thing that the address begins with. */
  readonly kept: KeptView | undefined;
  /** As a file holds it, to be kept. */
  readonly file: SpecFile;
  /** Changes what the address says; undefined takes a value out. */
  readonly change: (changes: Readonly<Record<string, string | undefined>>) => void;
  /** The address of another way to look at the same. */
  readonly addressOf: (way: Way) => string;
}

const oneOf = <T extends string>(all: readonly T[], value: string | null | undefined, usual: T): T =>
  all.find((one) => one === value) ?? usual;
const kinds = Object.keys(vehicleClasses) as readonly VehicleKind[];

/** Takes the measures of a vehicle, or of a ground, out of the address. */
export const noMeasures = Object.fromEntries(allMeasures.map((name) => [name, undefined]));
export const noSpace = Object.fromEntries(spaceNames.map((name) => [name, undefined]));

/** What a kept thing asks; a kept vehicle is in the address with its measures. */
const fileOf = (kept: KeptView | undefined): Partial<SpecFile> =>
  kept?.kind === 'question' ? (kept.body as SpecFile) : kept?.kind === 'ground' ? { layout: kept.body } : {};

/**
 * A vehicle, an exercise and its ground, as the address of the page says: it can be passed on. It begins with what is kept
 * under `kept`, if anything is.
 */
export function useQuestion(all: readonly KeptView[]): Question {
  const [params, setParams] = useSearchParams();
  const asked = params.toString();
  return useMemo(() => {
    const of = new URLSearchParams(asked);
    const kept = all.find(({ id }) => id === of.get('kept'));
    const base = fileOf(kept);
    const numbers = <N extends string>(names: readonly N[]) =>
      Object.fromEntries(names.flatMap((name) => (of.has(name) ? [[name, Number(of.get(name))]] : []))) as Partial<
        Record<N, number>
      >;
    const kind = oneOf(kinds, of.get('vehicle') ?? base.vehicle, 'car');
    // Another vehicle has measures of its own.
    const measures: VehicleFile['measures'] = {
      ...(of.has('vehicle') ? {} : base.measures),
      ...numbers(allMeasures),
    };
    // An address may hold anything: what is no measure is told, not computed with.
    const vehicle = withMeasures(vehicleClasses[kind], measures);
    const vehicleProblems = checkVehicle(vehicle);
    const wrong = vehicleProblems.some((problem) => !isOnlyStrange(problem));
    const own = of.has('exercise') ? undefined : (base.layout as Layout | undefined);
    const code: ExerciseCode = oneOf(exerciseCodes, of.get('exercise') ?? base.exercise, 'bay-reverse');
    const exercise: ExerciseSpec = {
      code,
      side: oneOf(['left', 'right'], of.get('side') ?? base.side, 'right'),
      space: { ...(of.has('exercise') ? {} : base.space), ...numbers<SpaceName>(spaceNames) },
    };
    const spaceProblems = wrong || own ? [] : checkSpace(exercise, vehicle);
    const sound = !wrong && spaceProblems.length === 0;
    const clearance = Number(of.get('clearance') ?? (base.clearanceM ?? 0.1) * 100);
    const clearanceM = clearance >= 0 && clearance <= 100 ? clearance / 100 : 0.1;
    const [run, zone] = [of.get('run'), of.get('zone')];
    const text = of.get('rule');
    const rule = text === null ? base.rule : ruleOfText(text);
    const addressWith = (from: string, changes: Readonly<Record<string, string | undefined>>) => {
      const next = new URLSearchParams(from);
      for (const [name, value] of Object.entries(changes)) {
        if (value === undefined) next.delete(name);
        else next.set(name, value);
      }
      return next;
    };
    return {
      kind,
      vehicle,
      exercise: own ? undefined : exercise,
      ground: sound ? (own ? { layout: own } : { exercise, layout: layOut(exercise, vehicle) }) : undefined,
      groundName: own ? own.name || (kept?.name ?? '') : exerciseName(code),
      clearanceM,
      rule,
      way: oneOf(ways, of.get('way'), base.rule ? 'rule' : 'plan'),
      run: run !== null && zone !== null ? { run, zone } : undefined,
      vehicleProblems,
      spaceProblems,
      kept,
      file: {
        vehicle: kind,
        measures,
        ...(own ? { layout: own } : { exercise: code, side: exercise.side, space: exercise.space }),
        clearanceM,
        ...(rule && { rule }),
      },
      // From the address as it is now: while another way to look is being loaded, what is drawn is still the one before.
      change: (changes) => setParams(addressWith(window.location.search, changes), { replace: true }),
      addressOf: (way) => `?${addressWith(asked, { way }).toString()}`,
    };
  }, [asked, all, setParams]);
}
