import { allCells, cellAt, countsMarks, gradesOf, isGraver, rulesOf, type CapGroup, type Slot } from '../rules';
import { noSuch, type Add, type LimitProblem, type NoSuch } from './problem';
import type { Cap, Category, Item, Limit, LimitMeasure, EffectiveStandard } from '../standard';

/** What is wrong with the limits of a standard whose other parts are sound. */
export function checkLimits(standard: EffectiveStandard, add: Add): void {
  if (!standard.limits.some(({ effect }) => effect.kind === 'fail-test')) add('/limits', { code: 'everybodyPasses' });
  standard.limits.forEach((limit, i) => {
    const problem = problemOf(standard, limit);
    if (problem) add(`/limits/${i}${problem.at}`, { ...problem.is, limit: limit.name });
  });
  const failsExercises = standard.limits.some(({ effect }) => effect.kind === 'fail-exercise');
  const countsThem = standard.limits.some(({ measure }) => measure.kind === 'failed-exercises');
  if (failsExercises && !countsThem) add('/limits', { code: 'failedExercisesUncounted' });
  checkAttempts(standard, add);
  if (standard.limits.some(({ effect }) => effect.kind === 'fail-test')) checkOutright(standard, add);
  checkCappedPoints(standard, add);
  checkCappedUpgrades(standard, add);
  standard.limits.forEach((limit, i) => {
    if (limit.measure.kind === 'failed-exercises' && !failsExercises)
      add(`/limits/${i}`, { code: 'noExerciseFails', limit: limit.name });
  });
}

/** An attempt that a limit fails has to lead somewhere. */
function checkAttempts({ limits }: EffectiveStandard, add: Add): void {
  limits.forEach(({ name, effect, scope }, i) => {
    if (effect.kind !== 'fail-attempt' || scope.kind !== 'exercise') return;
    const counted = limits.some(
      (other) =>
        other.measure.kind === 'failed-attempts' &&
        other.scope.kind === 'exercise' &&
        (other.scope.exercise === undefined || other.scope.exercise === scope.exercise),
    );
    if (!counted) add(`/limits/${i}`, { code: 'failedAttemptsUncounted', limit: name });
  });
}

/** A single mark of a grade that fails at once has to fail something, whatever the item. */
function checkOutright(standard: EffectiveStandard, add: Add): void {
  const rules = rulesOf(standard);
  const fails = (item: Item, grade: string) =>
    cellAt(rules, item.code, grade)?.draws.some(
      ({ limit, amount, slot }) =>
        slot !== undefined &&
        amount > limit.allowed.value &&
        (limit.effect.kind === 'fail-test' || limit.effect.kind === 'fail-exercise'),
    );
  standard.grades.forEach(({ code, name, sign }, g) => {
    if (sign !== 'outright' && sign !== 'highest') return;
    const harmless = standard.categories
      .flatMap(({ items }) => items)
      .filter((item) => gradesOf(standard, item).some((grade) => grade.code === code) && !fails(item, code));
    const [first] = harmless;
    if (!first) return;
    add(`/grades/${g}`, { code: 'failsNothing', grade: name, item: first.name, others: harmless.length - 1 });
  });
}

/**
 * Which of several marks a cap lets count must not matter either where marks beyond a limit become graver: the first would
 * count, and one mark more at the beginning could keep a later one from becoming graver.
 */
function checkCappedUpgrades(standard: EffectiveStandard, add: Add): void {
  const rules = rulesOf(standard);
  const told = new Set<Cap>();
  for (const { cap: group, draws, grade } of allCells(rules)) {
    if (!group?.cap.atMost || told.has(group.cap)) continue;
    const graver = draws.find(
      ({ limit: { effect } }) => effect.kind === 'upgrade' && isGraver(rules, effect.grade, grade),
    );
    if (!graver) continue;
    told.add(group.cap);
    add(`/caps/${standard.caps.indexOf(group.cap)}`, {
      code: 'capMeetsUpgrade',
      cap: group.cap.name,
      limit: graver.limit.name,
    });
  }
}

/** Which of several marks a cap lets count must not matter, so they weigh the same within a limit. */
function checkCappedPoints(standard: EffectiveStandard, add: Add): void {
  const worth = new Map<CapGroup, Map<Slot, number>>();
  const told = new Set<Cap>();
  for (const { cap: group, draws } of allCells(rulesOf(standard))) {
    if (!group?.cap.atMost) continue;
    const { cap } = group;
    const ofGroup = worth.get(group) ?? new Map<Slot, number>();
    worth.set(group, ofGroup);
    for (const { slot, byExercise, limit, amount } of draws)
      for (const place of slot ? [slot] : (byExercise?.values() ?? [])) {
        const before = ofGroup.get(place) ?? amount;
        ofGroup.set(place, before);
        if (before === amount || told.has(cap)) continue;
        told.add(cap);
        add(`/caps/${standard.caps.indexOf(cap)}`, { code: 'capWeighsUnevenly', cap: cap.name, limit: limit.name });
      }
  }
}

interface Found {
  readonly at: string;
  readonly is: LimitProblem | NoSuch;
}

function problemOf(standard: EffectiveStandard, limit: Limit): Found | undefined {
  const { measure, effect, allowed, scope } = limit;
  const strange = missingName(standard, limit);
  if (strange) return strange;
  if (!Number.isFinite(allowed.value) || allowed.value < 0) return { at: '/allowed', is: { code: 'limitNegative' } };
  if (measure.kind !== 'points' && measure.kind !== 'time' && !Number.isInteger(allowed.value))
    return { at: '/allowed', is: { code: 'limitNotWhole' } };
  if ((effect.kind === 'ask-upgrade' || effect.kind === 'upgrade') && !hasGrade(standard, effect.grade))
    return { at: '/effect/grade', is: noSuch('grade', effect.grade) };
  if (effect.kind === 'fail-exercise' && scope.kind !== 'exercise')
    return { at: '/effect', is: { code: 'failsExerciseElsewhere' } };
  if (effect.kind === 'fail-attempt' && measure.kind !== 'time' && measure.kind !== 'steps')
    return { at: '/effect', is: { code: 'failsAttemptByOther' } };
  if (effect.kind === 'fail-attempt' && scope.kind !== 'exercise')
    return { at: '/effect', is: { code: 'failsAttemptElsewhere' } };
  if (effect.kind === 'upgrade' && !isGraverThanAll(standard, effect.grade, measure))
    return { at: '/effect/grade', is: { code: 'upgradesNothing' } };
  if (allowed.value > mostAllowed) return { at: '/allowed', is: { code: 'allowsTooMuch', most: mostAllowed } };
  if (!scopeFits(measure, scope.kind))
    return { at: '/scope', is: { code: 'scopeDoesNotFit', measure: measure.kind, scope: scope.kind } };
  return countsMarks(measure) ? neverBinds(standard, limit, measure) : undefined;
}

/** No test lasts a day in seconds, or holds so many marks (house default). */
const mostAllowed = 86_400;

function isGraverThanAll({ grades }: EffectiveStandard, grade: string, measure: LimitMeasure): boolean {
  const rank = (code: string) => grades.findIndex((one) => one.code === code);
  return countsMarks(measure) && measure.grades.every((code) => rank(code) < rank(grade));
}

function scopeFits(measure: LimitMeasure, scope: Limit['scope']['kind']): boolean {
  switch (measure.kind) {
    case 'time':
      return scope === 'test' || scope === 'exercise';
    case 'attempts':
    case 'failed-attempts':
    case 'steps':
      return scope === 'exercise';
    case 'failed-exercises':
      return scope === 'test';
    default:
      return true;
  }
}

function missingName(standard: EffectiveStandard, { scope, measure }: Limit): Found | undefined {
  const named: readonly (readonly [string | undefined, NoSuch['what'], readonly { readonly code: string }[]])[] = [
    [scope.kind === 'category' ? scope.category : undefined, 'category', standard.categories],
    [scope.kind === 'item' ? scope.item : undefined, 'item', standard.categories.flatMap(({ items }) => items)],
    [scope.kind === 'class' ? scope.class : undefined, 'class', standard.classes ?? []],
    [scope.kind === 'exercise' ? scope.exercise : undefined, 'exercise', standard.exercises],
  ];
  for (const [code, what, list] of named) {
    if (code !== undefined && !list.some((entry) => entry.code === code))
      return { at: '/scope', is: noSuch(what, code) };
  }
  if (!countsMarks(measure)) return undefined;
  if (measure.grades.length === 0) return { at: '/measure/grades', is: { code: 'countsNoGrade' } };
  const grade = measure.grades.find((code) => !hasGrade(standard, code));
  if (grade !== undefined) return { at: '/measure/grades', is: noSuch('grade', grade) };
  const items = new Set(standard.categories.flatMap((category) => category.items.map(({ code }) => code)));
  const item = measure.items?.find((code) => !items.has(code));
  return item === undefined ? undefined : { at: '/measure/items', is: noSuch('item', item) };
}

const hasGrade = (standard: EffectiveStandard, grade: string) => standard.grades.some(({ code }) => code === grade);

type MarkMeasure = Extract<LimitMeasure, { readonly grades: unknown }>;

/** Why a limit that adds up marks could never be crossed, or never before another one. */
function neverBinds(standard: EffectiveStandard, limit: Limit, measure: MarkMeasure): Found | undefined {
  const reached = standard.categories.flatMap((category) =>
    category.items.flatMap((item) => {
      if (!inScope(limit, category, item) || (measure.items && !measure.items.includes(item.code))) return [];
      return gradesOf(standard, item)
        .filter(({ code }) => measure.grades.includes(code))
        .map((grade) => ({ item, grade, points: (item.points?.[grade.code] ?? grade.points)?.value ?? 0 }));
    }),
  );
  if (reached.length === 0) return { at: '', is: { code: 'reachesNoItem' } };
  if (measure.kind === 'points' && reached.every(({ points }) => points <= 0))
    return { at: '', is: { code: 'worthNothing' } };
  const most = mostCounted(standard, reached);
  if (measure.kind === 'count' && most <= limit.allowed.value)
    return { at: '/allowed', is: { code: 'cappedBelow', most } };
  const sooner = standard.limits.find((other) => bindsSooner(other, limit, measure));
  return (
    sooner && {
      at: '/allowed',
      is: { code: 'bindsLater', sooner: sooner.name },
    }
  );
}

function inScope({ scope }: Limit, category: Category, item: Item): boolean {
  switch (scope.kind) {
    case 'test':
      return true;
    case 'category':
      return (scope.category ?? category.code) === category.code;
    case 'item':
      return (scope.item ?? item.code) === item.code;
    case 'class':
      return item.class !== undefined && (scope.class ?? item.class) === item.class;
    case 'exercise':
      return item.exercise === undefined || (scope.exercise ?? item.exercise) === item.exercise;
  }
}

/** How many marks on these items and grades can count at most, caps considered. */
function mostCounted(
  standard: EffectiveStandard,
  reached: readonly { readonly item: Item; readonly grade: { readonly code: string } }[],
): number {
  const shared = new Set<string>();
  let most = 0;
  for (const { item, grade } of reached) {
    const cap = standard.caps.find((c) => c.items.includes(item.code) && c.grades.includes(grade.code));
    if (!cap?.atMost) return Infinity;
    if (cap.over === 'together' && shared.has(cap.code)) continue;
    shared.add(cap.code);
    most += cap.atMost.value;
  }
  return most;
}

/** Whether a limit over the whole test fails it before this narrower one could. */
function bindsSooner(other: Limit, limit: Limit, measure: MarkMeasure): boolean {
  return (
    other !== limit &&
    other.scope.kind === 'test' &&
    limit.scope.kind !== 'test' &&
    other.effect.kind === 'fail-test' &&
    limit.effect.kind === 'fail-test' &&
    other.measure.kind === measure.kind &&
    !('items' in other.measure && other.measure.items) &&
    measure.grades.every((grade) => 'grades' in other.measure && other.measure.grades.includes(grade)) &&
    other.allowed.value <= limit.allowed.value
  );
}
