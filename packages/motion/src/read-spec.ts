import { checkSpace, exerciseCodes, layOut, type ExerciseCode, type ExerciseSpec, type Side } from './layout/exercises';
import type { Layout } from './layout/layout';
import { layoutSchema, readLayout } from './layout/read-layout';
import { spaceNames } from './layout/space';
import { checkerOf } from './schema';
import { ruleFeatures, type Rule } from './sight/rule-of-thumb';
import { checkVehicle, isOnlyStrange } from './vehicle/check-vehicle';
import { vehicleClasses } from './vehicle/classes';
import { allMeasures, boundsOf, withMeasures, type Measures } from './vehicle/measures';
import type { Vehicle, VehicleKind } from './vehicle/vehicle';

const metres = { type: 'number' } as const;
const measures = Object.fromEntries(
  allMeasures.map((name) => {
    const { least, most } = boundsOf(name);
    return [name, { ...metres, minimum: least, maximum: most }];
  }),
);

const until = {
  oneOf: [
    {
      type: 'object',
      required: ['kind', 'feature', 'thing'],
      additionalProperties: false,
      properties: { kind: { const: 'level' }, feature: { enum: [...ruleFeatures] }, thing: { type: 'string' } },
    },
    {
      type: 'object',
      required: ['kind'],
      additionalProperties: false,
      properties: { kind: { enum: ['in-line', 'in-place'] } },
    },
    {
      type: 'object',
      required: ['kind', 'metres'],
      additionalProperties: false,
      properties: { kind: { const: 'metres' }, metres: { ...metres, minimum: 0, maximum: 30 } },
    },
  ],
} as const;

/** A rule of thumb: what is done until something lines up, part by part. */
export const ruleSchema = {
  type: 'array',
  minItems: 1,
  maxItems: 8,
  items: {
    type: 'object',
    required: ['lock', 'back', 'until'],
    additionalProperties: false,
    properties: {
      lock: { ...metres, minimum: -1, maximum: 1, description: 'The share of full lock; below 0 to the right.' },
      back: { type: 'boolean' },
      until,
    },
  },
} as const;

/** A question to the planner or the set-out, as a file holds it. */
export const specSchema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  title: 'A vehicle, an exercise and the ground for it',
  type: 'object',
  required: ['vehicle'],
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
    exercise: { enum: [...exerciseCodes], description: 'One of the usual exercises; or a layout of your own.' },
    layout: layoutSchema,
    side: { enum: ['left', 'right'], description: 'On which side of the vehicle. Right where it is left out.' },
    space: {
      type: 'object',
      description: 'Metres of ground; what is usual for the vehicle where one is left out.',
      additionalProperties: false,
      properties: Object.fromEntries(spaceNames.map((name) => [name, metres])),
    },
    clearanceM: { ...metres, minimum: 0, maximum: 2, description: 'Metres that every part keeps. 0.1 where left out.' },
    mostMovements: { type: 'integer', minimum: 1, maximum: 15 },
    rule: ruleSchema,
  },
} as const;

/** A vehicle by itself, as a file holds it. */
export interface VehicleFile {
  readonly vehicle: VehicleKind;
  readonly measures?: Measures;
}

export interface SpecFile extends VehicleFile {
  readonly exercise?: ExerciseCode;
  readonly layout?: unknown;
  readonly side?: Side;
  readonly space?: ExerciseSpec['space'];
  readonly clearanceM?: number;
  readonly mostMovements?: number;
  readonly rule?: Rule;
}

export interface Spec {
  readonly vehicle: Vehicle;
  /** Missing where the ground is a layout of its own. */
  readonly exercise?: ExerciseSpec;
  readonly layout: Layout;
  readonly clearanceM: number;
  readonly mostMovements: number;
  readonly rule?: Rule;
}

const checkSpec = checkerOf(specSchema);

/** The vehicle of a file: what is usual for its class, and what was measured. */
export const vehicleOf = ({ vehicle, measures = {} }: VehicleFile): Vehicle =>
  withMeasures(vehicleClasses[vehicle], measures);

const wrongWith = (vehicle: Vehicle): readonly string[] =>
  checkVehicle(vehicle)
    .filter((problem) => !isOnlyStrange(problem))
    .map(({ code }) => `/measures ${code}`);

/** A question from what a file holds, or all that is wrong with it, each with its place. */
export function readSpec(file: unknown): { readonly spec: Spec } | { readonly problems: readonly string[] } {
  const problems = checkSpec(file);
  if (problems.length > 0) return { problems };
  const value = file as SpecFile;
  const vehicle = vehicleOf(value);
  const wrong = wrongWith(vehicle);
  if (wrong.length > 0) return { problems: wrong };
  const { clearanceM = 0.1, mostMovements = 9, rule } = value;
  const rest = { vehicle, clearanceM, mostMovements, ...(rule && { rule }) };
  if ((value.exercise === undefined) === (value.layout === undefined))
    return { problems: ['/ asks for one of exercise and layout'] };
  if (value.exercise === undefined) {
    const read = readLayout(value.layout);
    return 'layout' in read ? { spec: { ...rest, layout: read.layout } } : { problems: read.problems };
  }
  const exercise: ExerciseSpec = { code: value.exercise, side: value.side ?? 'right', space: value.space ?? {} };
  const tight = checkSpace(exercise, vehicle);
  if (tight.length > 0)
    return {
      problems: tight.map(
        ({ measure, value: have, leastM, mostM }) =>
          `/space/${measure} ${have} m is not within ${leastM} to ${mostM} m`,
      ),
    };
  return { spec: { ...rest, exercise, layout: layOut(exercise, vehicle) } };
}

/** What a school keeps by a name: its vehicles, its grounds, and questions with all they ask. */
export const keptKinds = ['vehicle', 'ground', 'question'] as const;
export type KeptKind = (typeof keptKinds)[number];

export type KeptBody = VehicleFile | Layout | SpecFile;

const checkVehicleFile = checkerOf({
  type: 'object',
  required: ['vehicle'],
  additionalProperties: false,
  properties: { vehicle: specSchema.properties.vehicle, measures: specSchema.properties.measures },
});

/** A kept thing from its JSON, or all that is wrong with it. */
export function readKept(
  kind: KeptKind,
  json: string,
): { readonly body: KeptBody } | { readonly problems: readonly string[] } {
  let value: unknown;
  try {
    value = JSON.parse(json);
  } catch {
    return { problems: ['/ is no JSON'] };
  }
  if (kind === 'ground') {
    const read = readLayout(value);
    return 'layout' in read ? { body: read.layout } : read;
  }
  if (kind === 'question') {
    const read = readSpec(value);
    return 'spec' in read ? { body: value as SpecFile } : read;
  }
  const problems = checkVehicleFile(value);
  if (problems.length > 0) return { problems };
  const file = value as VehicleFile;
  const wrong = wrongWith(vehicleOf(file));
  return wrong.length > 0 ? { problems: wrong } : { body: file };
}
