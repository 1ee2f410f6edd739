import { exerciseName } from '@jasperwren/core/marking/exercise';
import { countsMarks } from '@jasperwren/core/marking/rules';
import type { Cap, EffectiveStandard, Limit, Requirement } from '@jasperwren/core/marking/standard';
import { capital, joinWords } from '../lists';
import { wordsOf } from '../words';
import { amountOf } from './amounts';
import { countOfGrade } from './names';

export const resource = {
  failTest: 'Fail: {{what}}.',
  failExercise: 'An exercise fails with {{what}}.',
  failAttempt: 'An attempt fails with {{what}}.',
  mayUpgrade: '{{what}} may be graded {{grade}}.',
  upgrade: '{{what}}: the last one also counts as {{grade}}.',
  moreThan: 'more than {{amount}}{{where}}',
  single: '1 {{grade}}{{of}}{{where}}',
  one: '{{amount}}{{where}}',
  fewerPoints: 'fewer than {{needed}} of {{start}} points left',
  only: ' ({{limit}})',
  inAll: ' in the whole test',
  inArea: ' in one area',
  inNamed: ' in {{name}}',
  ofType: ' of one type',
  ofNamed: ' for {{name}}',
  inClass: ' in one class of fault',
  inExercise: ' in one exercise',
  first: 'first {{n}} free',
  atMost: 'counts at most {{n}}',
  cap: '{{cap}}: {{what}}.',
  eitherOr: '{{grades}} or {{last}}',
  amountFor: '{{amount}} ({{exercises}})',
  exercises: 'Required exercises: {{exercises}}.',
  minimum: 'Minimum for a result: {{times}}.',
  minutes: '{{n}} minutes',
  independentMinutes: '{{n}} minutes of independent driving',
  guidedMinutes: '{{n}} minutes with directions',
} as const;

const t = wordsOf('read-out', resource);

/**
 * What fails a learner under this standard, in a few plain sentences: limits that fail the test first, then those
 * of exercises, then caps and what has to be driven at all.
 */
export function whatFails(standard: EffectiveStandard): readonly string[] {
  const ofEffect = (kind: Limit['effect']['kind']) => standard.limits.filter(({ effect }) => effect.kind === kind);
  const upgraded = (key: 'mayUpgrade' | 'upgrade', limit: Limit) =>
    capital(t(key, { what: limitWords(standard, limit), grade: gradeName(standard, limit) }));
  return [
    ...ofEffect('fail-test').map((limit) => t('failTest', { what: limitWords(standard, limit) })),
    ...grouped(standard, 'failExercise', ofEffect('fail-exercise')),
    ...grouped(standard, 'failAttempt', ofEffect('fail-attempt')),
    ...ofEffect('ask-upgrade').map((limit) => upgraded('mayUpgrade', limit)),
    ...ofEffect('upgrade').map((limit) => upgraded('upgrade', limit)),
    ...standard.caps.map((cap) => capWords(cap)),
    ...requirementWords(standard, standard.requirements),
  ];
}

function gradeName(standard: EffectiveStandard, { effect }: Limit): string {
  if (!('grade' in effect)) return '';
  return standard.grades.find(({ code }) => code === effect.grade)?.name ?? effect.grade;
}

/** Limits of single exercises that differ in their number only share a sentence. */
function grouped(
  standard: EffectiveStandard,
  key: 'failExercise' | 'failAttempt',
  limits: readonly Limit[],
): readonly string[] {
  const single = (limit: Limit) => limit.scope.kind === 'exercise' && limit.scope.exercise !== undefined;
  const kinds = new Map<string, Limit[]>();
  for (const limit of limits) {
    const kind = single(limit) && !countsMarks(limit.measure) ? JSON.stringify(limit.measure) : limit.code;
    kinds.set(kind, [...(kinds.get(kind) ?? []), limit]);
  }
  return [...kinds.values()].map((group) => {
    if (group.length === 1) return t(key, { what: limitWords(standard, group[0]!) });
    const amounts = [...new Set(group.map(amount))];
    const each = amounts.map((words) => {
      const names = group.filter((limit) => amount(limit) === words).map((limit) => nameOfLimit(standard, limit));
      return t('amountFor', { amount: words, exercises: names.join(', ') });
    });
    return t(key, { what: t('moreThan', { amount: joinWords(each), where: '' }) });
  });
}

/** The exercise that a limit holds in, else what the limit is called. */
function nameOfLimit(standard: EffectiveStandard, { scope, name }: Limit): string {
  const code = scope.kind === 'exercise' ? scope.exercise : undefined;
  return (code === undefined ? name : exerciseName(standard, code)).toLowerCase();
}

const amount = (limit: Limit): string => amountOf(limit.measure, limit.allowed.value);

/** "more than 15 driving faults in the whole test", "1 serious fault or dangerous fault". */
function limitWords(standard: EffectiveStandard, limit: Limit): string {
  const { measure, allowed, scope } = limit;
  const where = whereWords(standard, limit);
  const n = allowed.value;
  const score = standard.startScore;
  if (measure.kind === 'points' && score && scope.kind === 'test')
    return t('fewerPoints', { needed: score.value - n, start: score.value });
  if (measure.kind !== 'count')
    return n === 0 && measure.kind !== 'points'
      ? t('one', { amount: amountOf(measure, 1), where })
      : t('moreThan', { amount: amount(limit), where });
  const grades = standard.grades.filter(({ code }) => measure.grades.includes(code));
  const of = measure.items ? t('only', { limit: limit.name.toLowerCase() }) : '';
  if (n === 0) return t('single', { grade: either(grades.map(({ name }) => name)), of, where });
  const [grade, ...more] = grades;
  const counted =
    grade && more.length === 0
      ? countOfGrade(standard, grade.code, n)
      : `${n} ${either(grades.map(({ name, plural }) => (n === 1 ? name : plural)))}`;
  return t('moreThan', { amount: counted + of, where });
}

function either(names: readonly string[]): string {
  const last = names.at(-1) ?? '';
  return names.length < 2 ? last : t('eitherOr', { grades: names.slice(0, -1).join(', '), last });
}

function whereWords(standard: EffectiveStandard, { scope, measure, allowed, effect }: Limit): string {
  const name = (list: readonly { readonly code: string; readonly name: string }[], code: string) =>
    list.find((entry) => entry.code === code)?.name.toLowerCase() ?? code;
  switch (scope.kind) {
    case 'test':
      return (countsMarks(measure) && allowed.value > 0) || measure.kind === 'time' ? t('inAll') : '';
    case 'category':
      return scope.category === undefined
        ? t('inArea')
        : t('inNamed', { name: name(standard.categories, scope.category) });
    case 'item': {
      const items = standard.categories.flatMap((category) => category.items);
      return scope.item === undefined ? t('ofType') : t('ofNamed', { name: name(items, scope.item) });
    }
    case 'class':
      return scope.class === undefined
        ? t('inClass')
        : t('inNamed', { name: name(standard.classes ?? [], scope.class) });
    case 'exercise':
      if (effect.kind === 'fail-exercise' && scope.exercise === undefined) return '';
      return scope.exercise === undefined
        ? t('inExercise')
        : t('inNamed', { name: name(standard.exercises, scope.exercise) });
  }
}

function capWords({ name, free, atMost }: Cap): string {
  const parts = [
    ...(free ? [t('first', { n: free.value })] : []),
    ...(atMost ? [t('atMost', { n: atMost.value })] : []),
  ];
  return t('cap', { cap: name, what: joinWords(parts) });
}

function requirementWords(standard: EffectiveStandard, requirements: readonly Requirement[]): readonly string[] {
  const exercises = requirements.flatMap((requirement) =>
    requirement.kind === 'exercise' ? [exerciseName(standard, requirement.exercise)] : [],
  );
  const times = requirements.flatMap((requirement) => {
    if (requirement.kind === 'exercise') return [];
    const n = requirement.atLeastMin.value;
    if (requirement.kind !== 'section-time') return [t('minutes', { n })];
    return [requirement.section === 'independent' ? t('independentMinutes', { n }) : t('guidedMinutes', { n })];
  });
  return [
    ...(exercises.length > 0 ? [t('exercises', { exercises: joinWords(exercises).toLowerCase() })] : []),
    ...(times.length > 0 ? [t('minimum', { times: joinWords(times) })] : []),
  ];
}
