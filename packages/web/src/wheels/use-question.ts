import {
  checkSpace,
  exerciseCodes,
  type ExerciseCode,
  type ExerciseSpec,
  type SpaceProblem,
} from '@jasperwren/motion/layout/exercises';
import { spaceNames, type SpaceName } from '@jasperwren/motion/layout/space';
import {
  checkVehicle,
  isOnlyStrange,
  possible,
  type Measure,
  type VehicleProblem,
} from '@jasperwren/motion/vehicle/check-vehicle';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import type { Vehicle, VehicleKind } from '@jasperwren/motion/vehicle/vehicle';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';

export const ways = ['plan', 'drive', 'set-out'] as const;
export type Way = (typeof ways)[number];

export interface Question {
  readonly kind: VehicleKind;
  readonly vehicle: Vehicle;
  readonly spec: ExerciseSpec;
  readonly clearanceM: number;
  readonly way: Way;
  /** What is wrong with the measures of the vehicle or the ground, or strange. */
  readonly vehicleProblems: readonly VehicleProblem[];
  readonly spaceProblems: readonly SpaceProblem[];
  /** Whether anything can be computed. */
  readonly sound: boolean;
  /** Changes what the address says; undefined takes a value out. */
  readonly change: (changes: Readonly<Record<string, string | undefined>>) => void;
  /** The address of another way to look at the same. */
  readonly addressOf: (way: Way) => string;
}

const oneOf = <T extends string>(all: readonly T[], value: string | null, usual: T): T =>
  all.find((one) => one === value) ?? usual;
const kinds = Object.keys(vehicleClasses) as readonly VehicleKind[];

/** A vehicle, an exercise and its ground, as the address of the page says: it can be kept and passed on. */
export function useQuestion(): Question {
  const [params, setParams] = useSearchParams();
  const asked = params.toString();
  return useMemo(() => {
    const of = new URLSearchParams(asked);
    const kind = oneOf(kinds, of.get('vehicle'), 'car');
    const numbers = <N extends string>(names: readonly N[]) =>
      Object.fromEntries(names.flatMap((name) => (of.has(name) ? [[name, Number(of.get(name))]] : []))) as Partial<
        Record<N, number>
      >;
    // An address may hold anything: what is no measure is told, not computed with.
    const vehicle: Vehicle = { ...vehicleClasses[kind], ...numbers(Object.keys(possible) as Measure[]) };
    const code: ExerciseCode = oneOf(exerciseCodes, of.get('exercise'), 'bay-reverse');
    const spec: ExerciseSpec = {
      code,
      side: oneOf(['left', 'right'], of.get('side'), 'right'),
      space: numbers<SpaceName>(spaceNames),
    };
    const vehicleProblems = checkVehicle(vehicle);
    const wrong = vehicleProblems.some((problem) => !isOnlyStrange(problem));
    const spaceProblems = wrong ? [] : checkSpace(spec, vehicle);
    const clearance = Number(of.get('clearance') ?? 10);
    const addressWith = (changes: Readonly<Record<string, string | undefined>>) => {
      const next = new URLSearchParams(asked);
      for (const [name, value] of Object.entries(changes)) {
        if (value === undefined) next.delete(name);
        else next.set(name, value);
      }
      return next;
    };
    return {
      kind,
      vehicle,
      spec,
      clearanceM: clearance >= 0 && clearance <= 100 ? clearance / 100 : 0.1,
      way: oneOf(ways, of.get('way'), 'plan'),
      vehicleProblems,
      spaceProblems,
      sound: !wrong && spaceProblems.length === 0,
      change: (changes) => setParams(addressWith(changes), { replace: true }),
      addressOf: (way) => `?${addressWith({ way }).toString()}`,
    };
  }, [asked, setParams]);
}
