import type { FromSchema } from 'json-schema-to-ts';
import { checkerOf } from '../schema';
import { areaOf, type Layout } from './layout';

/** No layout reaches further from its middle than this, in metres, and none has more things than so many. */
const [furthestM, mostThings] = [200, 200] as const;

const coordinate = { type: 'number', minimum: -furthestM, maximum: furthestM } as const;
const point = {
  type: 'object',
  required: ['x', 'y'],
  additionalProperties: false,
  properties: { x: coordinate, y: coordinate },
} as const;
const heading = { type: 'number', minimum: -6.3, maximum: 6.3, description: 'Radians, anticlockwise from x.' } as const;
const pose = {
  type: 'object',
  required: ['x', 'y', 'heading'],
  additionalProperties: false,
  properties: { x: coordinate, y: coordinate, heading },
} as const;
const id = { type: 'string', minLength: 1, maxLength: 24, pattern: '^[\\p{L}\\p{N} _-]+$' } as const;
const length = { type: 'number', exclusiveMinimum: 0, maximum: furthestM } as const;

/** A place to set up and drive an exercise, as a file holds it: metres, x to the right, y upwards. */
export const layoutSchema = {
  title: 'The ground of an exercise',
  type: 'object',
  required: ['markers', 'edges', 'start', 'goal'],
  additionalProperties: false,
  properties: {
    name: { type: 'string', maxLength: 60 },
    markers: {
      type: 'array',
      maxItems: mostThings,
      items: {
        type: 'object',
        required: ['id', 'kind', 'x', 'y'],
        additionalProperties: false,
        properties: { id, kind: { enum: ['cone', 'pole'] }, x: coordinate, y: coordinate },
      },
    },
    edges: {
      type: 'array',
      maxItems: mostThings,
      items: {
        type: 'object',
        required: ['id', 'kind', 'from', 'to'],
        additionalProperties: false,
        properties: { id, kind: { enum: ['line', 'kerb', 'wall'] }, from: point, to: point },
      },
    },
    start: pose,
    goal: {
      oneOf: [
        {
          type: 'object',
          required: ['kind', 'poses'],
          additionalProperties: false,
          properties: {
            kind: { const: 'poses' },
            poses: { type: 'array', minItems: 1, maxItems: 4, items: pose },
            bay: {
              type: 'object',
              required: ['mouth', 'widthM', 'depthM'],
              additionalProperties: false,
              properties: { mouth: pose, widthM: length, depthM: length },
            },
          },
        },
        {
          type: 'object',
          required: ['kind', 'heading'],
          additionalProperties: false,
          properties: { kind: { const: 'heading' }, heading },
        },
      ],
    },
    area: {
      type: 'object',
      description: 'Left out, it is what the layout reaches to.',
      required: ['left', 'right', 'bottom', 'top'],
      additionalProperties: false,
      properties: { left: coordinate, right: coordinate, bottom: coordinate, top: coordinate },
    },
  },
} as const;

type LayoutFile = Omit<Layout, 'name' | 'area'> & Partial<Pick<Layout, 'name' | 'area'>>;
// What the schema says is what the layout is: the compiler holds one against the other.
export type SameAsSchema = FromSchema<typeof layoutSchema> extends LayoutFile ? true : never;

const checkLayout = checkerOf(layoutSchema);

export type LayoutRead = { readonly layout: Layout } | { readonly problems: readonly string[] };

/** A layout from what a file holds, or all that is wrong with it, each with its place. */
export function readLayout(file: unknown): LayoutRead {
  const wrong = checkLayout(file);
  if (wrong.length > 0) return { problems: wrong };
  const value = file as LayoutFile;
  const ids = [...value.markers, ...value.edges].map(({ id: own }) => own);
  const twice = ids.filter((own, i) => ids.indexOf(own) !== i);
  const none = value.edges.filter(({ from, to }) => from.x === to.x && from.y === to.y);
  const problems = [
    ...twice.map((own) => `/ ${own} stands for two things`),
    ...none.map(({ id: own }) => `/edges ${own} has no length`),
  ];
  const { area } = value;
  if (area && !(area.left < area.right && area.bottom < area.top)) problems.push('/area has no inside');
  return problems.length > 0
    ? { problems }
    : { layout: { ...value, name: value.name ?? '', area: area ?? areaOf(value) } };
}
