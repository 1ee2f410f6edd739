/**
 * The events of a drive. A drive is nothing but its log of events: they are appended, never changed and never
 * taken out; taking something back is an event of its own. Their shapes stand in `event-schema.ts`.
 */
import type { FromSchema, JSONSchema } from 'json-schema-to-ts';
import type {
  attemptResults,
  checkResults,
  endingCauses,
  endings,
  exerciseStepKinds,
  familiarities,
  sectionKinds,
  stepKinds,
} from './event-kinds';
import { eventBodies, type stamp } from './event-schema';

/** As it is read: nothing of an event is ever changed. */
type Kept<T> = T extends object ? { readonly [K in keyof T]: Kept<T[K]> } : T;
type Shape<S> = S extends JSONSchema ? Kept<FromSchema<S>> : never;

export type EventType = keyof typeof eventBodies;

/** Every type of event a log can hold. */
export const eventTypes = Object.keys(eventBodies) as readonly EventType[];

/** What every event carries. */
export type EventStamp = Shape<{
  readonly type: 'object';
  readonly properties: typeof stamp;
  readonly required: readonly (keyof typeof stamp)[];
  readonly additionalProperties: false;
}>;

type EventOf<T extends EventType> = T extends EventType
  ? EventStamp & { readonly type: T } & Shape<(typeof eventBodies)[T]>
  : never;

export type DriveEvent = EventOf<EventType>;
export type StartedEvent = EventOf<'started'>;
export type MarkEvent = EventOf<'mark'>;
export type StrikeEvent = EventOf<'strike'>;
export type RegradeEvent = EventOf<'regrade'>;
export type PlaceEvent = EventOf<'place'>;
export type MissedStepEvent = EventOf<'missed-step'>;
export type HelpForEvent = EventOf<'help-for'>;
export type CheckEvent = EventOf<'check'>;
export type AdviceEvent = EventOf<'advice'>;

export type StandardRef = StartedEvent['standard'];
export type CheckResult = (typeof checkResults)[number];
export type ExerciseStepKind = (typeof exerciseStepKinds)[number];
export type StepKind = (typeof stepKinds)[number];
export type AttemptResult = (typeof attemptResults)[number];
export type SectionKind = (typeof sectionKinds)[number];
export type Ending = (typeof endings)[number];
export type EndingCause = (typeof endingCauses)[number];
/** How well the learner knew the roads. */
export type Familiarity = (typeof familiarities)[number];

/** What a caller says of an event; the stamp is added by whoever keeps the log. */
export type EventBody = DriveEvent extends infer E ? (E extends DriveEvent ? Omit<E, keyof EventStamp> : never) : never;
