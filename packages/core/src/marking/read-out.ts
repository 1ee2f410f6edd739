import { countsMarks } from './rules';
import type { Cap, Limit, Requirement, EffectiveStandard } from './standard';
import { inWords, joinWords, secondsWords, unitOf } from './wording';

/**
 * What fails a learner under this standard, in a few plain sentences: limits that fail the test first, then those
 * of exercises, then caps and what has to be driven at all.
 */
export function whatFails(standard: EffectiveStandard): readonly string[] {
  const ofEffect = (kind: Limit['effect']['kind']) => standard.limits.filter(({ effect }) => effect.kind === kind);
  return [
    ...ofEffect('fail-test').map((limit) => `You fail ${limitWords(standard, limit)}.`),
    ...grouped(standard, 'exercise', ofEffect('fail-exercise')),
    ...grouped(standard, 'attempt', ofEffect('fail-attempt')),
    ...ofEffect('ask-upgrade').map(
      (limit) => `Your examiner may treat it as a ${gradeName(standard, limit)} ${limitWords(standard, limit)}.`,
    ),
    ...ofEffect('upgrade').map(
      (limit) => `It counts as a ${gradeName(standard, limit)} as well ${limitWords(standard, limit)}.`,
    ),
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
  what: 'exercise' | 'attempt',
  limits: readonly Limit[],
): readonly string[] {
  const single = (limit: Limit) => limit.scope.kind === 'exercise' && limit.scope.exercise !== undefined;
  const kinds = new Map<string, Limit[]>();
  for (const limit of limits) {
    const key = single(limit) && !countsMarks(limit.measure) ? JSON.stringify(limit.measure) : limit.code;
    kinds.set(key, [...(kinds.get(key) ?? []), limit]);
  }
  return [...kinds.values()].map((group) => {
    if (group.length === 1) return `An ${what} is failed ${limitWords(standard, group[0]!)}.`;
    const amounts = [...new Set(group.map(amount))];
    const each = amounts.map((words) => {
      const names = group.filter((limit) => amount(limit) === words).map((limit) => exerciseName(standard, limit));
      return `${words} (${names.join(', ')})`;
    });
    return `An ${what} is failed with more than ${joinWords(each)}.`;
  });
}

function exerciseName(standard: EffectiveStandard, { scope, name }: Limit): string {
  const code = scope.kind === 'exercise' ? scope.exercise : undefined;
  return (standard.exercises.find((exercise) => exercise.code === code)?.name ?? name).toLowerCase();
}

function amount(limit: Limit): string {
  const n = limit.allowed.value;
  if (limit.measure.kind === 'time') return secondsWords(n);
  return `${inWords(n)} ${unitOf(limit.measure, n)}`;
}

/** "with more than 15 driving faults in all", "with one serious fault or dangerous fault". */
function limitWords(standard: EffectiveStandard, limit: Limit): string {
  const { measure, allowed, scope } = limit;
  const where = whereWords(standard, limit);
  const n = allowed.value;
  if (measure.kind === 'points') {
    const score = standard.startScore;
    if (score && scope.kind === 'test') return `with fewer than ${score.value - n} of ${score.value} points left`;
    return `with more than ${n} ${unitOf(measure, n)}${where}`;
  }
  if (!countsMarks(measure)) {
    if (n === 0) return `with one ${unitOf(measure, 1)}${where}`;
    return `with more than ${amount(limit)}${where}`;
  }
  const grades = standard.grades.filter(({ code }) => measure.grades.includes(code));
  const of = measure.items ? ` (${limit.name.toLowerCase()})` : '';
  return n === 0
    ? `with a single ${grades.map(({ name }) => name).join(' or ')}${of}${where}`
    : `with more than ${inWords(n)} ${grades.map((grade) => (n === 1 ? grade.name : grade.plural)).join(' or ')}${of}${where}`;
}

function whereWords(standard: EffectiveStandard, { scope, measure, allowed, effect }: Limit): string {
  const name = (list: readonly { readonly code: string; readonly name: string }[], code: string) =>
    list.find((entry) => entry.code === code)?.name.toLowerCase() ?? code;
  switch (scope.kind) {
    case 'test':
      return (countsMarks(measure) && allowed.value > 0) || measure.kind === 'time' ? ' in all' : '';
    case 'category':
      return scope.category === undefined ? ' in one category' : ` in ${name(standard.categories, scope.category)}`;
    case 'item':
      return scope.item === undefined
        ? ' for one and the same thing'
        : ` for ${name(
            standard.categories.flatMap(({ items }) => items),
            scope.item,
          )}`;
    case 'class':
      return scope.class === undefined ? ' in one class of error' : ` in ${name(standard.classes ?? [], scope.class)}`;
    case 'exercise':
      if (effect.kind === 'fail-exercise' && scope.exercise === undefined) return '';
      return scope.exercise === undefined ? ' in one exercise' : ` in ${name(standard.exercises, scope.exercise)}`;
  }
}

function capWords({ name, free, atMost }: Cap): string {
  const parts = [
    free && `the first ${inWords(free.value)} ${free.value === 1 ? 'is' : 'are'} free`,
    atMost && `${inWords(atMost.value)} at most ${atMost.value === 1 ? 'counts' : 'count'}`,
  ].filter(Boolean) as string[];
  return `${name}: ${joinWords(parts)}.`;
}

function requirementWords(standard: EffectiveStandard, requirements: readonly Requirement[]): readonly string[] {
  const exercises = requirements.flatMap((requirement) =>
    requirement.kind === 'exercise'
      ? [standard.exercises.find(({ code }) => code === requirement.exercise)?.name ?? requirement.exercise]
      : [],
  );
  const times = requirements.flatMap((requirement) => {
    if (requirement.kind === 'exercise') return [];
    const of = requirement.kind === 'section-time' ? ` of ${requirement.section} driving` : '';
    return [`${requirement.atLeastMin.value} min${of}`];
  });
  return [
    ...(exercises.length > 0 ? [`There is no pass without: ${joinWords(exercises).toLowerCase()}.`] : []),
    ...(times.length > 0 ? [`There is no verdict on less than ${joinWords(times)}.`] : []),
  ];
}
