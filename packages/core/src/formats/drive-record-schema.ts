import { eventTypes } from '../drive/event';
import { eventBodies, stamp, text, version } from '../drive/event-schema';

const eventSchema = {
  type: 'object',
  required: ['type', ...Object.keys(stamp)],
  properties: { type: { enum: eventTypes } },
  allOf: Object.entries(eventBodies).map(([type, { description, required, properties, additionalProperties }]) => ({
    if: { properties: { type: { const: type } }, required: ['type'] },
    then: { description, required, properties: { type: true, ...stamp, ...properties }, additionalProperties },
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
