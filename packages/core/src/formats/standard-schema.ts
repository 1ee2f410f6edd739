import { endingCauses, exerciseStepKinds, sectionKinds } from '../drive/event-kinds';
import { measuredUnits, sensorSigns } from '../marking/standard';
import { clockTriggers, leavingSteps, manoeuvres } from '../marking/exercise';

const text = { type: 'string', minLength: 1, maxLength: 200 } as const;
/** No white space: codes are put side by side to make keys. */
const code = { type: 'string', pattern: '^(?!__proto__$)\\S{1,200}$' } as const;
const words = { type: 'string', maxLength: 1000 } as const;
const codes = { type: 'array', maxItems: 400, items: text } as const;
const sourced = { $ref: '#/$defs/sourced' } as const;

/** An object with these fields, the first `required` of them needed, and no others. */
function object(required: Readonly<Record<string, unknown>>, optional: Readonly<Record<string, unknown>> = {}) {
  return {
    type: 'object',
    required: Object.keys(required),
    additionalProperties: false,
    properties: { ...required, ...optional },
  };
}

const listOf = (items: object, maxItems = 100) => ({ type: 'array', maxItems, items });

/** One of several shapes, told apart by their `kind`. */
function byKind(shapes: Readonly<Record<string, readonly [required: object, optional?: object]>>) {
  return {
    type: 'object',
    required: ['kind'],
    properties: { kind: { enum: Object.keys(shapes) } },
    allOf: Object.entries(shapes).map(([kind, [required, optional]]) => ({
      if: { properties: { kind: { const: kind } }, required: ['kind'] },
      then: object({ kind: true, ...required }, { ...optional }),
    })),
  };
}

const item = object(
  { code, behaviour: text, name: text, letter: text },
  {
    grades: codes,
    class: text,
    exercise: text,
    points: { type: 'object', additionalProperties: sourced },
    measured: object(
      { quantity: text, unit: { enum: measuredUnits }, bands: listOf({ $ref: '#/$defs/band' }, 10) },
      { counts: { enum: ['value', 'grade'] } },
    ),
    sequence: { type: 'array', maxItems: 20, items: text },
    sensors: { type: 'array', maxItems: sensorSigns.length, uniqueItems: true, items: { enum: sensorSigns } },
  },
);

const exercise = object(
  { code, name: text },
  {
    task: words,
    clockStarts: text,
    items: codes,
    manoeuvre: { enum: manoeuvres },
    side: { enum: ['left', 'right'] },
    script: words,
    usual: object({
      fromS: { type: 'number', minimum: 1 },
      toS: { type: 'number', minimum: 1 },
      provenance: { $ref: '#/$defs/provenance' },
    }),
    startsAt: { enum: clockTriggers },
    endsWhen: text,
    looks: listOf(object({ code, name: text, item: text }), 20),
    next: { type: 'array', maxItems: 20, items: text },
  },
);

const course = object(
  {},
  {
    leaving: object({
      order: {
        type: 'array',
        minItems: 2,
        maxItems: leavingSteps.length,
        uniqueItems: true,
        items: { enum: leavingSteps },
      },
      item: text,
    }),
  },
);

const choice = object(
  { code, name: text },
  {
    sets: listOf(
      byKind({
        limit: [{ limit: text, allowed: { type: 'number' } }],
        grades: [{ item: text, grades: codes }],
        bands: [{ item: text, bands: listOf({ $ref: '#/$defs/band' }, 10) }],
      }),
    ),
  },
);

const part = object({ name: text }, { item: text });

const briefingStep = byKind({
  confirm: [{ code, name: text, task: words }],
  eyesight: [{ code, name: text, task: words, distanceM: sourced }, { widePlateM: sourced }],
  checklist: [
    { code, name: text, task: words, parts: listOf(part, 20) },
    { otherOrder: { type: 'array', maxItems: 20, items: text } },
  ],
  calls: [{ code, name: text, task: words, parts: listOf(part, 20) }],
  questions: [{ code, name: text, task: words, items: codes }],
});

const limit = object({
  code,
  name: text,
  scope: byKind({
    test: [{}],
    category: [{}, { category: text }],
    item: [{}, { item: text }],
    class: [{}, { class: text }],
    exercise: [{}, { exercise: text }],
  }),
  measure: byKind({
    count: [{ grades: codes }, { items: codes }],
    points: [{ grades: codes }, { items: codes }],
    time: [{}],
    attempts: [{}],
    'failed-attempts': [{}],
    steps: [{ step: { enum: exerciseStepKinds } }],
    'failed-exercises': [{}],
  }),
  allowed: sourced,
  effect: byKind({
    'fail-test': [{}],
    'fail-exercise': [{}],
    'fail-attempt': [{}],
    'ask-upgrade': [{ grade: text }],
    upgrade: [{ grade: text }],
  }),
});

const standard = object(
  {
    id: { type: 'string', pattern: '^[a-z0-9][a-z0-9-]{0,59}$' },
    version: { type: 'integer', minimum: 1, maximum: Number.MAX_SAFE_INTEGER },
    name: text,
    summary: words,
    trafficSide: { enum: ['left', 'right'] },
    units: { enum: ['imperial', 'metric'] },
    length: object({ totalMin: sourced }, { independentMin: sourced }),
    grades: listOf(
      object(
        {
          code,
          name: text,
          plural: text,
          short: text,
          sign: { enum: ['noted', 'counted', 'outright', 'highest'] },
          meaning: words,
        },
        { points: sourced },
      ),
    ),
    categories: listOf(object({ code, name: text, letter: text, items: listOf(item) })),
    limits: listOf(limit),
    caps: listOf(
      object(
        { code, name: text, items: codes, grades: codes, over: { enum: ['together', 'each'] } },
        { free: sourced, atMost: sourced },
      ),
    ),
    requirements: listOf(
      byKind({
        'driving-time': [{ atLeastMin: sourced }],
        'section-time': [{ section: { enum: sectionKinds }, atLeastMin: sourced }],
        exercise: [{ exercise: text }],
      }),
    ),
    exercises: listOf(exercise),
    questions: listOf(
      object({ kind: { enum: ['tell', 'show', 'oral'] }, name: text, item: text, perTest: sourced, tries: sourced }),
    ),
    options: listOf(object({ code, name: text, choices: listOf(choice), chosen: text, reason: words })),
  },
  {
    startScore: sourced,
    course,
    briefing: listOf(briefingStep, 20),
    endings: listOf(
      object({
        cause: { enum: endingCauses },
        outcome: { enum: ['fail', 'incomplete'] },
        provenance: { $ref: '#/$defs/provenance' },
      }),
      10,
    ),
    retestExtraS: sourced,
    basedOn: object({ id: text, version: { type: 'integer', minimum: 1 } }),
    classes: listOf(object({ code, name: text })),
  },
);

/** JSON Schema (2020-12) of a marking standard as an open file. Documented in docs/formats. */
export const standardFileSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Marking standard',
  description: 'What is watched, how it is graded, and what fails: one version of a marking standard.',
  ...object({
    format: { const: 'jasperwren-standard' },
    formatVersion: { const: 1 },
    standard: { $ref: '#/$defs/standard' },
  }),
  $defs: {
    standard,
    sourced: {
      description: 'A number together with where it comes from.',
      ...object({ value: { type: 'number' }, provenance: { $ref: '#/$defs/provenance' } }),
    },
    provenance: object(
      { kind: { enum: ['published', 'common practice', 'from memory', 'house default', 'set by the school'] } },
      { source: words },
    ),
    band: object(
      { grade: text, provenance: { $ref: '#/$defs/provenance' } },
      { over: { type: 'number' }, atLeast: { type: 'number' }, below: { type: 'number' } },
    ),
  },
};
