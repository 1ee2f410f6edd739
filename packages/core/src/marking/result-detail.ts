import type { Mark } from '../drive/drive';
import type { Reason } from './reason';
import { countsMarks, rulesOf } from './rules';
import { nearestNarrow } from './room';
import type { EffectiveStandard, Limit, LimitMeasure } from './standard';
import { isNotJudged, testHeadroom, type Headroom, type Missing, type Stop, type Verdict } from './verdict';

/** So much of what a limit counts: by the names of the grades where it counts those, else `n` of its measure. */
export type Amount =
  | { readonly grades: readonly { readonly name: string; readonly n: number }[] }
  | { readonly measure: LimitMeasure; readonly n: number };

/** Where within a test a limit holds: an item with its area, or an area, a class, an exercise. */
export interface ScopeName {
  readonly area?: string;
  readonly name: string;
}

/** A limit that was crossed, in the terms of its standard. */
export type Crossed =
  | { readonly kind: 'time'; readonly usedS: number; readonly limitS: number }
  | { readonly kind: 'score'; readonly left: number; readonly needed: number }
  | { readonly kind: 'amount'; readonly amount: Amount; readonly allowed: number; readonly where?: ScopeName };

/** How much was used on the way to a pass: of the tightest limit over the whole test, or else of one within it. */
export type Spent =
  | { readonly kind: 'score'; readonly left: number; readonly start: number; readonly needed: number }
  | { readonly kind: 'amount'; readonly n: number; readonly allowed: Amount }
  | { readonly kind: 'part'; readonly amount: Amount; readonly nearest: NearestLimit };

/** A limit within a part of the test, by its name and where it holds. */
export interface NearestLimit {
  readonly name: string;
  readonly where?: ScopeName;
  readonly n: number;
  readonly allowed: number;
}

/** What was marked on the way to a pass. */
export interface Marked {
  /** Missing where nothing was used. */
  readonly spent?: Spent;
  /** How many faults were marked that count for nothing; missing where none were. */
  readonly free?: number;
}

/** What a result rests on, with all the names it takes to say it: no standard is needed to read it. */
export type ResultDetail =
  | { readonly outcome: 'fail'; readonly stops: readonly Stop[]; readonly crossed: readonly Crossed[] }
  | ({ readonly outcome: 'pass'; readonly short?: true } & Marked)
  /** `soFar` is what would be a pass already if nothing were missing; absent where nothing was driven or can be judged. */
  | { readonly outcome: 'incomplete'; readonly missing: readonly Missing[]; readonly soFar?: Marked };

/** What a verdict under a standard rests on. */
export function resultDetail(standard: EffectiveStandard, verdict: Verdict): ResultDetail {
  const { outcome, stops, missing } = verdict;
  switch (outcome) {
    case 'fail':
      return { outcome, stops, crossed: verdict.reasons.map((reason) => crossedBy(standard, reason)) };
    case 'pass':
      return { outcome, ...(verdict.short && { short: true }), ...markedIn(standard, verdict) };
    case 'incomplete': {
      const none = isNotJudged(verdict) || missing.some(({ kind }) => kind === 'not-moved-off');
      return { outcome, missing, ...(!none && { soFar: markedIn(standard, verdict) }) };
    }
  }
}

function markedIn(standard: EffectiveStandard, verdict: Verdict): Marked {
  const spent = spentOf(standard, verdict);
  const free = verdict.free.length;
  return { ...(spent && { spent }), ...(free > 0 && { free }) };
}

function spentOf(standard: EffectiveStandard, verdict: Verdict): Spent | undefined {
  const [tightest] = testHeadroom(verdict)
    .filter(({ allowed, limit, used }) => allowed > 0 && used > 0 && countsMarks(limit.measure))
    .sort((a, b) => a.left / a.allowed - b.left / b.allowed);
  if (!tightest) return partOf(standard, verdict);
  const { limit, used, allowed } = tightest;
  const score = standard.startScore;
  if (score && limit.measure.kind === 'points')
    return { kind: 'score', left: score.value - used, start: score.value, needed: score.value - allowed };
  return { kind: 'amount', n: used, allowed: amountIn(standard, tightest, allowed) };
}

function partOf(standard: EffectiveStandard, verdict: Verdict): Spent | undefined {
  const [nearest] = nearestNarrow(verdict, 1);
  if (!nearest) return undefined;
  const where = isFixed(nearest.limit) ? undefined : scopeOf(standard, nearest);
  return {
    kind: 'part',
    amount: marksAmount(standard, verdict.counted),
    nearest: {
      name: nearest.limit.name,
      ...(where && { where }),
      n: nearest.used,
      allowed: nearest.allowed,
    },
  };
}

/** Whether a limit holds in one place only, which its name says, as against in each area, item, class or exercise. */
export const isFixed = ({ scope }: Limit): boolean => scope.kind === 'test' || Object.keys(scope).length > 1;

function crossedBy(standard: EffectiveStandard, reason: Reason): Crossed {
  const { measure, allowed } = reason.limit;
  const overTest = reason.scope === undefined;
  if (measure.kind === 'time' && overTest) return { kind: 'time', usedS: reason.used, limitS: allowed.value };
  const score = standard.startScore;
  if (score && measure.kind === 'points' && overTest)
    return { kind: 'score', left: score.value - reason.used, needed: score.value - allowed.value };
  const where = measure.kind === 'count' ? undefined : scopeOf(standard, reason);
  return { kind: 'amount', amount: usedOf(standard, reason), allowed: allowed.value, ...(where && { where }) };
}

/** How much of its limit a reason used: the marks by grade where it counts those. */
export const usedOf = (standard: EffectiveStandard, reason: Reason): Amount =>
  reason.limit.measure.kind === 'count' ? marksAmount(standard, reason.marks) : amountIn(standard, reason, reason.used);

/** So much of what a limit counts. */
function amountIn(standard: EffectiveStandard, { limit }: Pick<Headroom, 'limit'>, n: number): Amount {
  const { measure } = limit;
  const [grade, ...more] = measure.kind === 'count' ? measure.grades : [];
  return grade !== undefined && more.length === 0 ? { grades: [gradeAmount(standard, grade, n)] } : { measure, n };
}

/** Marks by grade, the most serious first. */
export function marksAmount(standard: EffectiveStandard, marks: readonly Mark[]): Amount {
  return {
    grades: [...standard.grades]
      .reverse()
      .map(({ code }) => gradeAmount(standard, code, marks.filter(({ grade }) => grade === code).length))
      .filter(({ n }) => n > 0),
  };
}

/** A number of marks of one grade, with the grade's name in that number; its code where the standard lacks it. */
export function gradeAmount({ grades }: EffectiveStandard, grade: string, n: number) {
  const known = grades.find(({ code }) => code === grade);
  return { name: (n === 1 ? known?.name : known?.plural) ?? grade, n };
}

/** Where a limit holds; nothing for the whole test. */
export function scopeOf(
  standard: EffectiveStandard,
  { limit, scope }: Pick<Headroom, 'limit' | 'scope'>,
): ScopeName | undefined {
  if (scope === undefined) return undefined;
  const named = (list: readonly { readonly code: string; readonly name: string }[] | undefined): ScopeName => ({
    name: list?.find(({ code }) => code === scope)?.name ?? scope,
  });
  switch (limit.scope.kind) {
    case 'test':
      return undefined;
    case 'item': {
      const found = rulesOf(standard).items.get(scope);
      return found ? { area: found.category.name, name: found.item.name } : { name: scope };
    }
    case 'category':
      return named(standard.categories);
    case 'exercise':
      return named(standard.exercises);
    case 'class':
      return named(standard.classes);
  }
}
