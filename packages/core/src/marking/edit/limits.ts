import { setBySchool } from '../provenance';
import { countsMarks } from '../rules';
import type { Cap, Limit, LimitEffect, LimitMeasure, LimitScope, Standard } from '../standard';
import { added, freeCode, inList, itemsOf, withLimits, type Change } from './change';

/** Changes of what fails: limits and caps. */

export const measureKinds = [
  'count',
  'points',
  'time',
  'attempts',
  'failed-attempts',
  'steps',
  'failed-exercises',
] as const;
type MeasureKind = (typeof measureKinds)[number];
export type ScopeKind = LimitScope['kind'];
export type EffectKind = LimitEffect['kind'];

/** What a limit over this measure can look at; the usual one first. */
export function scopesFor(measure: LimitMeasure): readonly ScopeKind[] {
  switch (measure.kind) {
    case 'time':
      return ['test', 'exercise'];
    case 'attempts':
    case 'failed-attempts':
    case 'steps':
      return ['exercise'];
    case 'failed-exercises':
      return ['test'];
    case 'count':
    case 'points':
      return ['test', 'category', 'item', 'class', 'exercise'];
  }
}

/** What crossing a limit over this measure, in this scope, can do; the usual one first. */
export function effectsFor(measure: LimitMeasure, scope: ScopeKind): readonly EffectKind[] {
  const inExercise: readonly EffectKind[] = scope === 'exercise' ? ['fail-exercise'] : [];
  if (countsMarks(measure)) return [...inExercise, 'fail-test', 'ask-upgrade', 'upgrade'];
  const attempts: readonly EffectKind[] = measure.kind === 'time' || measure.kind === 'steps' ? ['fail-attempt'] : [];
  return scope === 'exercise' ? [...inExercise, ...attempts, 'fail-test'] : ['fail-test'];
}

/** An effect of a kind; a grade that comes of it is the first that fails at once, else the gravest. */
export function effectOf(kind: EffectKind, { grades }: Pick<Standard, 'grades'>): LimitEffect {
  if (kind !== 'ask-upgrade' && kind !== 'upgrade') return { kind };
  const grave = grades.find(({ sign }) => sign === 'outright') ?? grades.at(-1);
  return { kind, grade: grave?.code ?? '' };
}

function measureOf(kind: MeasureKind, { grades }: Pick<Standard, 'grades'>): LimitMeasure {
  if (kind === 'steps') return { kind, step: 'movement' };
  if (kind !== 'count' && kind !== 'points') return { kind };
  return { kind, grades: grades.slice(0, 1).map(({ code }) => code) };
}

/** The limit over another measure; where and what it does stay, as far as they fit it. */
export function withMeasure(limit: Limit, kind: MeasureKind, standard: Pick<Standard, 'grades'>): Limit {
  const was = limit.measure;
  const fresh = measureOf(kind, standard);
  const measure = countsMarks(was) && countsMarks(fresh) ? { ...was, kind: fresh.kind } : fresh;
  const scopes = scopesFor(measure);
  return withScope(
    { ...limit, measure },
    scopes.includes(limit.scope.kind) ? limit.scope : { kind: scopes[0]! },
    standard,
  );
}

/** The limit in another scope; what it does stays where that is possible there. */
export function withScope(limit: Limit, scope: LimitScope, standard: Pick<Standard, 'grades'>): Limit {
  const effects = effectsFor(limit.measure, scope.kind);
  const effect = effects.includes(limit.effect.kind) ? limit.effect : effectOf(effects[0]!, standard);
  return { ...limit, scope, effect };
}

/** Adds a limit over the whole test: one fault of the mildest grade fails it until something else is said. */
export const withNewLimit =
  (name: string): Change =>
  (standard) =>
    added('limits', {
      code: freeCode(standard.limits),
      name,
      scope: { kind: 'test' },
      measure: measureOf('count', standard),
      allowed: setBySchool(0),
      effect: { kind: 'fail-test' },
    })(standard);

/** Takes a limit out, and out of the choices that set it. */
export const withoutLimit =
  (code: string): Change =>
  (standard) =>
    withLimits(
      standard,
      standard.limits.filter((limit) => limit.code !== code),
    );

/** Adds a cap over the first fault type: of its faults one counts. */
export const withNewCap =
  (name: string): Change =>
  (standard) => {
    const item = itemsOf(standard)[0];
    const grade = standard.grades[0];
    if (!item || !grade) return standard;
    const cap: Cap = {
      code: freeCode(standard.caps),
      name,
      items: [item.code],
      grades: [grade.code],
      over: 'together',
      atMost: setBySchool(1),
    };
    return added('caps', cap)(standard);
  };

/** Changes a limit. */
export const inLimit = (code: string, change: (limit: Limit) => Limit): Change => inList('limits', code, change);
