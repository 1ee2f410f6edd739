import type { BriefingStep } from '../briefing';
import type { Exercise } from '../exercise';
import type { Cap, Category, ErrorClass, Grade, Item, Limit, Measured, QuestionRule, Standard } from '../standard';

/**
 * What the language of standards has, field by field: how each is written where it stands in a sentence. Each table holds
 * every field of its kind of entry, so that one which the language gets is not forgotten here; codes are given, not written.
 */

/** Where the values of a choice come from: a list of the standard, or words of the language. */
export type Source =
  | 'grades'
  | 'items'
  | 'exercises'
  | 'classes'
  | 'sides'
  | 'unitSystems'
  | 'signs'
  | 'manoeuvres'
  | 'clockTriggers'
  | 'sensors'
  | 'questionKinds'
  | 'capReaches';

export type Unit = 'min' | 's' | 'm' | 'points' | 'questions' | 'tries' | 'faults';

export type Field = { readonly optional?: true } & (
  | { readonly kind: 'text' | 'long' | 'letter' }
  /** A number with its provenance. */
  | { readonly kind: 'number'; readonly unit: Unit }
  | { readonly kind: 'one' | 'some'; readonly of: Source }
  /** Short texts in their order. */
  | { readonly kind: 'words' }
  /** Written in a way of its own. */
  | { readonly kind: 'own' }
);

type Fields<T, Given extends string = never> = { readonly [F in Exclude<keyof T, 'code' | Given>]-?: Field };

const text = { kind: 'text' } as const;
const long = { kind: 'long' } as const;
const own = { kind: 'own' } as const;
const optional = { optional: true } as const;

export const headFields = {
  name: text,
  summary: long,
  trafficSide: { kind: 'one', of: 'sides' },
  units: { kind: 'one', of: 'unitSystems' },
  length: own,
  startScore: { kind: 'number', unit: 'points', ...optional },
  retestExtraS: { kind: 'number', unit: 's', ...optional },
  course: own,
} as const satisfies Fields<
  Standard,
  | 'id'
  | 'version'
  | 'basedOn'
  | 'grades'
  | 'categories'
  | 'classes'
  | 'limits'
  | 'caps'
  | 'requirements'
  | 'exercises'
  | 'questions'
  | 'options'
  | 'briefing'
  | 'endings'
>;

export const exerciseFields = {
  name: text,
  task: { ...long, ...optional },
  usual: own,
  clockStarts: { ...text, ...optional },
  items: { kind: 'some', of: 'items', ...optional },
  manoeuvre: { kind: 'one', of: 'manoeuvres', ...optional },
  side: { kind: 'one', of: 'sides', ...optional },
  script: { ...long, ...optional },
  startsAt: { kind: 'one', of: 'clockTriggers', ...optional },
  endsWhen: { ...text, ...optional },
  looks: own,
  next: { kind: 'some', of: 'exercises', ...optional },
} as const satisfies Fields<Exercise>;

export const categoryFields = {
  name: text,
  letter: { kind: 'letter' },
  items: own,
} as const satisfies Fields<Category>;

export const itemFields = {
  name: text,
  letter: { kind: 'letter' },
  grades: own,
  class: { kind: 'one', of: 'classes', ...optional },
  exercise: { kind: 'one', of: 'exercises', ...optional },
  points: own,
  measured: own,
  sequence: { kind: 'words', ...optional },
  sensors: { kind: 'some', of: 'sensors', ...optional },
} as const satisfies Fields<Item, 'behaviour'>;

export const measuredFields = {
  quantity: text,
  unit: own,
  bands: own,
  counts: own,
} as const satisfies Fields<Measured>;

export const gradeFields = {
  name: text,
  plural: text,
  short: text,
  sign: { kind: 'one', of: 'signs' },
  meaning: long,
  points: { kind: 'number', unit: 'points', ...optional },
} as const satisfies Fields<Grade>;

export const classFields = { name: text } as const satisfies Fields<ErrorClass>;

export const limitFields = {
  name: text,
  scope: own,
  measure: own,
  allowed: own,
  effect: own,
} as const satisfies Fields<Limit>;

export const capFields = {
  name: text,
  items: { kind: 'some', of: 'items' },
  grades: { kind: 'some', of: 'grades' },
  over: { kind: 'one', of: 'capReaches' },
  free: { kind: 'number', unit: 'faults', ...optional },
  atMost: { kind: 'number', unit: 'faults', ...optional },
} as const satisfies Fields<Cap>;

export const questionFields = {
  kind: { kind: 'one', of: 'questionKinds' },
  name: text,
  item: { kind: 'one', of: 'items' },
  perTest: { kind: 'number', unit: 'questions' },
  tries: { kind: 'number', unit: 'tries' },
} as const satisfies Fields<QuestionRule>;

type StepOf<K extends BriefingStep['kind']> = Extract<BriefingStep, { readonly kind: K }>;
const step = { name: text, task: long } as const;

export const stepFields = {
  confirm: step,
  eyesight: {
    ...step,
    distanceM: { kind: 'number', unit: 'm' },
    widePlateM: { kind: 'number', unit: 'm', ...optional },
  },
  checklist: { ...step, parts: own, otherOrder: own },
  calls: { ...step, parts: own },
  questions: { ...step, items: { kind: 'some', of: 'items' } },
} as const satisfies { readonly [K in BriefingStep['kind']]: Fields<StepOf<K>, 'kind'> };
