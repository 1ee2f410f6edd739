import {
  attemptResults,
  checkResults,
  endingCauses,
  endings,
  familiarities,
  sectionKinds,
  stepKinds,
} from '../drive/event';

const text = { type: 'string', minLength: 1, maxLength: 200 } as const;
const freeText = { type: 'string', maxLength: 2000 } as const;
/** A whole number that a computer holds exactly. */
const count = { type: 'integer', minimum: 0, maximum: Number.MAX_SAFE_INTEGER } as const;
const version = { type: 'integer', minimum: 1, maximum: Number.MAX_SAFE_INTEGER } as const;
const stamp = {
  id: { ...text, description: 'Made on the device, unique for ever.' },
  device: text,
  seq: { ...count, description: 'Counts the events of this device in this drive.' },
  atMs: {
    ...count,
    description: 'Milliseconds since the start of the drive, from a clock that never jumps.',
  },
  wall: { type: 'string', format: 'date-time', description: 'Wall clock of the device, RFC 3339 in UTC.' },
  by: { ...text, description: 'Account of the person who recorded it.' },
} as const;

/** Fields of each type of event beside the stamp: `required` ones, and the others. */
const bodies = {
  started: {
    required: ['learnerId', 'standard'],
    properties: {
      learnerId: text,
      standard: {
        type: 'object',
        required: ['id', 'version'],
        additionalProperties: false,
        properties: { id: text, version },
      },
      briefing: { type: 'boolean' },
      helpers: {
        type: 'array',
        maxItems: 8,
        items: text,
        description: 'Accounts that mark as well, besides whoever started the drive.',
      },
    },
  },
  check: {
    required: ['check', 'result'],
    properties: { check: text, result: { enum: checkResults }, reason: freeText, detail: freeText },
  },
  'moved-off': { required: [], properties: {} },
  answer: { required: ['item', 'right'], properties: { item: text, right: { type: 'boolean' }, question: text } },
  mark: {
    required: ['item', 'grade'],
    properties: { item: text, grade: text, pin: text, note: freeText, measured: { type: 'number' } },
  },
  pin: { required: [], properties: {} },
  strike: { required: ['target', 'reason'], properties: { target: text, reason: freeText, undo: { type: 'boolean' } } },
  regrade: {
    required: ['target', 'grade'],
    properties: { target: text, grade: text, reason: freeText, measured: { type: 'number' } },
  },
  advice: {
    required: ['target', 'answers', 'proposed'],
    properties: {
      target: text,
      answers: { type: 'object', maxProperties: 20, additionalProperties: text },
      proposed: text,
    },
  },
  attempt: { required: ['result'], properties: { result: { enum: attemptResults }, reason: freeText } },
  step: { required: ['step'], properties: { step: { enum: stepKinds } } },
  prompt: { required: [], properties: {} },
  intervention: { required: [], properties: {} },
  section: {
    required: ['section'],
    properties: { section: { enum: sectionKinds }, exercise: text, retest: { type: 'boolean' } },
  },
  pause: { required: ['state'], properties: { state: { enum: ['paused', 'resumed'] }, reason: freeText } },
  ended: {
    required: ['ending'],
    properties: { ending: { enum: endings }, cause: { enum: endingCauses }, reason: freeText },
  },
  note: {
    required: ['text'],
    properties: { text: { ...freeText, minLength: 1 }, target: text, private: { type: 'boolean' } },
  },
  distinct: { required: ['target', 'other'], properties: { target: text, other: text } },
  roads: { required: ['familiarity'], properties: { familiarity: { enum: familiarities } } },
  debriefed: {
    required: ['workOn'],
    properties: { workOn: { type: 'array', maxItems: 10, items: text } },
  },
} as const;

export type EventType = keyof typeof bodies;

/** Every type of event a log can hold. */
export const eventTypes = Object.keys(bodies) as readonly EventType[];

const eventSchema = {
  type: 'object',
  required: ['type', ...Object.keys(stamp)],
  properties: { type: { enum: eventTypes } },
  allOf: Object.entries(bodies).map(([type, body]) => ({
    if: { properties: { type: { const: type } }, required: ['type'] },
    then: {
      required: body.required,
      properties: { type: true, ...stamp, ...body.properties },
      additionalProperties: false,
    },
  })),
};

/** JSON Schema (2020-12) of the drive record, an open file format. Documented in docs/formats. */
export const driveRecordSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Drive record',
  description: 'One drive: who, under which standard, and its append-only log of events.',
  type: 'object',
  required: ['format', 'formatVersion', 'driveId', 'standard', 'events'],
  additionalProperties: false,
  properties: {
    format: { const: 'jasperwren-drive' },
    formatVersion: { const: 1 },
    driveId: text,
    learner: {
      type: 'object',
      description: 'For people to read; leave it out to hand a drive on without a name.',
      required: ['name'],
      additionalProperties: false,
      properties: { name: text },
    },
    standard: {
      type: 'object',
      description:
        'The version the drive was marked under: a reference of just these two fields, or the standard whole, as in its own file format.',
      required: ['id', 'version'],
      properties: { id: text, version },
    },
    events: { type: 'array', maxItems: 20000, items: { $ref: '#/$defs/event' } },
  },
  $defs: { event: eventSchema },
};
