import * as fields from '@jasperwren/core/marking/edit/fields';
import { resource } from '@jasperwren/words/editor-sentences';

type Key = keyof typeof resource;

const holesOf = (keys: readonly Key[]) =>
  new Set(keys.flatMap((key) => [...resource[key].matchAll(/\{\{(\w+)\}\}/g)].map(([, hole]) => hole)));

/** The sentences of each kind of entry, and what of it stands elsewhere: in sentences of its own, one an entry. */
const written: readonly (readonly [
  what: string,
  table: object,
  sentences: readonly Key[],
  elsewhere: readonly string[],
])[] = [
  ['a standard', fields.headFields, ['called', 'length', 'roads', 'order', 'repeat', 'score'], ['length']],
  [
    'an exercise',
    fields.exerciseFields,
    ['exercise', 'exerciseReads', 'exerciseDoes', 'exerciseClock', 'exerciseBrings'],
    ['looks'],
  ],
  ['an area', fields.categoryFields, ['area'], ['items']],
  ['a fault type', fields.itemFields, ['item', 'itemSteps', 'itemCosts', 'worth'], ['measured']],
  ['a measurement', fields.measuredFields, ['measured'], ['bands']],
  ['a grade', fields.gradeFields, ['grade'], []],
  ['a class', fields.classFields, [], ['name']],
  ['a limit', fields.limitFields, ['limitOfMarks'], []],
  ['a cap', fields.capFields, ['cap'], []],
  ['a question', fields.questionFields, ['question'], []],
  ...Object.entries(fields.stepFields).map(
    ([kind, table]) => [`a step: ${kind}`, table, ['step', 'stepPlate', 'stepAsks', 'otherOrder'], ['parts']] as const,
  ),
];

it.each(written)('every field of %s stands in a sentence', (_, table, sentences, elsewhere) => {
  const holes = holesOf(sentences);
  const missing = Object.keys(table).filter((field) => !holes.has(field) && !elsewhere.includes(field));
  expect(missing).toEqual([]);
});
