import Ajv from 'ajv';
import type { FromSchema } from 'json-schema-to-ts';
import { checkSpace, exerciseCodes, type ExerciseSpec } from './layout/exercises';
import { spaceNames } from './layout/space';
import { checkVehicle, isOnlyStrange, possible } from './vehicle/check-vehicle';
import { vehicleClasses } from './vehicle/classes';
import type { Vehicle } from './vehicle/vehicle';

const metres = { type: 'number' } as const;
const measures = Object.fromEntries(
  Object.entries(possible).map(([name, { least, most }]) => [name, { ...metres, minimum: least, maximum: most }]),
);

/** A question to the planner or the set-out, as a file holds it. */
export const specSchema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  title: 'A vehicle, an exercise and the ground for it',
  type: 'object',
  required: ['vehicle', 'exercise'],
  additionalProperties: false,
  properties: {
    vehicle: {
      description: 'The class whose usual measures it has.',
      enum: ['car', 'van', 'rigid', 'car-with-trailer'],
    },
    measures: {
      type: 'object',
      description: 'What was measured of it: metres, degrees, turns.',
      additionalProperties: false,
      properties: measures,
    },
    exercise: { enum: [...exerciseCodes] },
    side: { enum: ['left', 'right'], description: 'On which side of the vehicle. Right where it is left out.' },
    space: {
      type: 'object',
      description: 'Metres of ground; what is usual for the vehicle where one is left out.',
      additionalProperties: false,
      properties: Object.fromEntries(spaceNames.map((name) => [name, metres])),
    },
    clearanceM: { ...metres, minimum: 0, maximum: 2, description: 'Metres that every part keeps. 0.1 where left out.' },
    mostMovements: { type: 'integer', minimum: 1, maximum: 15 },
  },
} as const;

interface SpecFile extends Omit<FromSchema<typeof specSchema>, 'measures' | 'space'> {
  readonly measures?: Readonly<Record<string, number>>;
  readonly space?: ExerciseSpec['space'];
}

export interface Spec {
  readonly vehicle: Vehicle;
  readonly exercise: ExerciseSpec;
  readonly clearanceM: number;
  readonly mostMovements: number;
}

const validate = new Ajv({ allErrors: true }).compile<SpecFile>(specSchema);

/** A question from what a file holds, or all that is wrong with it, each with its place. */
export function readSpec(value: unknown): { readonly spec: Spec } | { readonly problems: readonly string[] } {
  if (!validate(value))
    return {
      problems: (validate.errors ?? []).map(({ instancePath, message }) => `${instancePath || '/'} ${message}`),
    };
  const vehicle: Vehicle = { ...vehicleClasses[value.vehicle], ...value.measures };
  const wrong = checkVehicle(vehicle).filter((problem) => !isOnlyStrange(problem));
  if (wrong.length > 0) return { problems: wrong.map(({ code }) => `/measures ${code}`) };
  const exercise: ExerciseSpec = { code: value.exercise, side: value.side ?? 'right', space: value.space ?? {} };
  const tight = checkSpace(exercise, vehicle);
  if (tight.length > 0)
    return {
      problems: tight.map(
        ({ measure, value: have, leastM, mostM }) =>
          `/space/${measure} ${have} m is not within ${leastM} to ${mostM} m`,
      ),
    };
  return { spec: { vehicle, exercise, clearanceM: value.clearanceM ?? 0.1, mostMovements: value.mostMovements ?? 9 } };
}
