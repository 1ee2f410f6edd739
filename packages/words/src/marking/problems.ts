import type { FormatProblem } from '@jasperwren/core/formats/parsed';
import type { NoSuch, Problem } from '@jasperwren/core/marking/lint/problem';
import { wordsOf } from '../words';

export const resource = {
  testWithoutLength: 'The test has to last longer than 0 min.',
  independentTooLong: 'The independent part is longer than the whole test.',
  noGrades: 'A standard needs at least one grade.',
  tooManyGrades: 'The marking screen has keys for nine grades at most.',
  negativePoints: 'Points are 0 or more.',
  noCategories: 'A standard needs at least one area.',
  tooManyCategories: 'The marking screen has room for {{room}} areas, this has {{found}}.',
  scoreWithoutStart: 'A score has to start above 0.',
  twice: 'There are two {{things}} with the {{field}} “{{value}}”.',
  notACapital: '“{{letter}}” is not a capital letter.',
  noItems: '{{category}} has no fault types.',
  tooManyItems: 'The marking screen has room for {{room}} fault types in an area, {{category}} has {{found}}.',
  unknownBehaviour: 'The catalogue has no behaviour “{{behaviour}}”.',
  itemWithoutGrade: '{{item}}: choose at least one grade.',
  notMeasured: '{{item}} is not measured.',
  measuredTwice: '{{item}}: a fault type can be measured in one way only.',
  noQuestionOf: 'The standard asks no question of “{{item}}”.',
  emptyBand: 'Nothing is both {{from}} or more and below {{below}}.',
  gradeNotOfItem: 'The fault type cannot have the grade “{{grade}}”.',
  capWithoutItem: '{{cap}}: it names no fault type.',
  capWithoutGrade: '{{cap}}: it names no grade.',
  capOnFailing: '{{cap}}: failing grades cannot be capped.',
  capFreesAll: '{{cap}}: it frees more than {{most}} faults, so that nothing would count.',
  capCountsNone: '{{cap}}: none of its faults would count.',
  capDoesNothing: '{{cap}}: it neither frees faults nor caps them.',
  capMeetsUpgrade:
    '{{cap}}: its faults count for “{{limit}}”, which raises the grade of those beyond it, so that the result would depend on their order.',
  capWeighsUnevenly: '{{cap}}: its faults weigh differently under “{{limit}}”, so it is not clear which of them count.',
  notACount: 'It has to be a whole number, 0 or more.',
  negativeMinutes: 'What is required has to be 0 min or more.',
  requiresTooLong: '{{required}} min are required and the test lasts {{total}} min.',
  plateTooNear: 'A plate is read from further away than 0 m.',
  stepWithoutParts: '{{step}}: there is nothing to check.',
  otherOrderDiffers: '{{step}}: the other order has other parts.',
  tooFewChoices: '{{option}}: an option needs two choices.',
  chosenMissing: '{{option}}: “{{chosen}}” is not among the choices.',
  negativeAllowed: 'What is allowed has to be 0 or more.',
  afterItself: '{{exercise}} cannot come after itself.',
  courseWithoutExercise: 'A course needs at least one exercise.',
  otherUnit: '{{item}}: sensors measure this in {{unit}}, so the fault type needs values in {{unit}}.',
  everybodyPasses: 'No limit fails the test: all would pass.',
  failedExercisesUncounted: 'Exercises can be failed, but no limit says how many failed exercises fail the test.',
  failedAttemptsUncounted: '{{limit}}: it fails an attempt, but no limit says how many attempts may fail.',
  noExerciseFails: '{{limit}}: no effect, no limit fails an exercise.',
  failsNothing: 'One {{grade}} on “{{item}}” would fail nothing: no limit counts it.',
  failsNothingAndMore_one:
    'One {{grade}} on “{{item}}” and {{count}} fault type more would fail nothing: no limit counts it.',
  failsNothingAndMore_other:
    'One {{grade}} on “{{item}}” and {{count}} fault types more would fail nothing: no limit counts it.',
  noSuch: 'The standard has no {{thing}} “{{name}}”.',
  limitNegative: '{{limit}}: what is allowed has to be 0 or more.',
  limitNotWhole: '{{limit}}: what is allowed has to be a whole number.',
  upgradesNothing: '{{limit}}: it makes faults no more serious than they are.',
  countsNoGrade: '{{limit}}: it counts no grade.',
  failsExerciseElsewhere: '{{limit}}: only a limit over an exercise can fail an exercise.',
  failsAttemptByOther: '{{limit}}: only a limit over time or movements can fail an attempt.',
  failsAttemptElsewhere: '{{limit}}: only a limit over an exercise can fail an attempt.',
  reachesNoItem: '{{limit}}: no effect, no fault type it looks at can have such a grade.',
  worthNothing: '{{limit}}: no effect, none of these faults is worth points.',
  allowsTooMuch: '{{limit}}: it allows more than {{most}}, which no test reaches.',
  cappedBelow: '{{limit}}: no effect, caps let at most {{most}} of these faults count.',
  scopeDoesNotFit: '{{limit}}: {{measured}} cannot be limited {{over}}.',
  bindsLater: '{{limit}}: no effect, “{{sooner}}” is always reached first.',
  ofLimit: '{{limit}}: {{problem}}',
  grades: 'grades',
  categories: 'areas',
  limits: 'limits',
  caps: 'caps',
  exercises: 'exercises',
  options: 'options',
  classes: 'classes',
  briefing: 'steps of the briefing',
  items: 'fault types',
  itemsHere: 'fault types of this area',
  looks: 'looks',
  code: 'code',
  name: 'name',
  letter: 'letter',
  grade: 'grade',
  item: 'fault type',
  category: 'area',
  class: 'class',
  exercise: 'exercise',
  limit: 'limit',
  count: 'faults',
  points: 'points',
  time: 'time',
  attempts: 'attempts',
  'failed-attempts': 'failed attempts',
  steps: 'movements and looks',
  'failed-exercises': 'failed exercises',
  overTest: 'over the whole test',
  overCategory: 'by area',
  overItem: 'by fault type',
  overClass: 'by class',
  overExercise: 'by exercise',
} as const;

const t = wordsOf('problems', resource);

const overWords = {
  test: 'overTest',
  category: 'overCategory',
  item: 'overItem',
  class: 'overClass',
  exercise: 'overExercise',
} as const;

const noSuchWords = ({ what, name }: NoSuch) => t('noSuch', { thing: t(what), name });

/** What is wrong with a file or a standard, as a sentence. */
export function problemWords(problem: FormatProblem): string {
  return 'cause' in problem ? problem.cause : sentenceOf(problem.is);
}

function sentenceOf(is: Problem): string {
  switch (is.code) {
    case 'twice':
      return t('twice', { things: t(is.list), field: t(is.field), value: is.value });
    case 'noSuch':
      return 'limit' in is ? t('ofLimit', { limit: is.limit, problem: noSuchWords(is) }) : noSuchWords(is);
    case 'failsNothing':
      return is.others > 0 ? t('failsNothingAndMore', { ...is, count: is.others }) : t('failsNothing', is);
    case 'scopeDoesNotFit':
      return t('scopeDoesNotFit', { limit: is.limit, measured: t(is.measure), over: t(overWords[is.scope]) });
    default:
      return plainSentence(is);
  }
}

/** What holds no more than the values its sentence asks for. */
type Plain = Exclude<Problem, { readonly code: 'twice' | 'noSuch' | 'failsNothing' | 'scopeDoesNotFit' }>;

/** A test has every one of these sentences filled. */
const plainSentence = ({ code, ...values }: Plain) => t(code, values as never);
