import type { Mark } from '../drive/drive';
import type { SectionKind } from '../drive/event';
import { marksOf, type Score, type Use } from './score';
import type { Limit, Requirement } from './standard';

export type Outcome = 'pass' | 'fail' | 'incomplete';

/** A limit that was crossed: which, by which marks, and when. */
export interface Reason {
  readonly limit: Limit;
  readonly scope: string;
  readonly used: number;
  readonly marks: readonly Mark[];
  readonly crossedBy: Mark;
}

/** What is left of a limit: `left` is `allowed` less `used`, below 0 where it was crossed. */
export interface Headroom {
  readonly limit: Limit;
  readonly scope: string;
  readonly used: number;
  readonly allowed: number;
  readonly left: number;
}

/** Why a drive without a reason to fail is no pass yet. */
export type Missing =
  | { readonly kind: 'not-ended' }
  | { readonly kind: 'abandoned' }
  | { readonly kind: 'unsettled-pins'; readonly count: number }
  | { readonly kind: 'driving-time'; readonly haveMs: number; readonly needMin: number }
  | { readonly kind: 'section-time'; readonly section: SectionKind; readonly haveMs: number; readonly needMin: number };

/** What a verdict needs to know of a drive besides its marks. */
export interface Circumstances {
  readonly ending: 'completed' | 'abandoned' | 'none';
  readonly unsettledPins: number;
  readonly drivenMs: number;
  readonly sectionMs: Readonly<Record<SectionKind, number>>;
}

export interface Verdict {
  /** Fail as soon as a limit that fails the test is crossed; else incomplete while anything is missing. */
  readonly outcome: Outcome;
  /** In order of the moment of crossing. */
  readonly reasons: readonly Reason[];
  readonly missing: readonly Missing[];
  /** Every limit over the whole test, and every narrower one that was drawn on. */
  readonly headroom: readonly Headroom[];
  /** Limits crossed that ask for a decision and decide nothing themselves. */
  readonly questions: readonly Reason[];
  /** Marks that a cap kept from counting. */
  readonly capped: readonly Mark[];
  /** Marks this standard has no item or grade for: they count for nothing, and somebody should know. */
  readonly unplaced: readonly Mark[];
}

/** The verdict that a score and the circumstances of the drive lead to. */
export function verdictOf(score: Score, circumstances: Circumstances): Verdict {
  const uses = [...score.uses.values()];
  const crossed = uses
    .filter((use) => use.crossedBy !== undefined)
    .map(toReason)
    .sort((a, b) => a.crossedBy.atMs - b.crossedBy.atMs);
  const reasons = crossed.filter((reason) => reason.limit.effect.kind === 'fail-test');
  const missing = missingIn(score.rules.standard.requirements, circumstances);
  return {
    outcome: reasons.length > 0 ? 'fail' : missing.length > 0 ? 'incomplete' : 'pass',
    reasons,
    missing,
    headroom: headroomOf(score),
    questions: crossed.filter((reason) => reason.limit.effect.kind === 'ask-upgrade'),
    capped: marksOf(score.capped),
    unplaced: marksOf(score.unplaced),
  };
}

function toReason(use: Use): Reason {
  return { limit: use.limit, scope: use.scope, used: use.used, marks: marksOf(use.marks), crossedBy: use.crossedBy! };
}

function headroomOf(score: Score): readonly Headroom[] {
  return score.rules.standard.limits.flatMap((limit) => {
    const uses = [...score.uses.values()].filter((use) => use.limit === limit);
    if (uses.length === 0 && limit.scope.kind === 'test') return [room(limit, '', 0)];
    return uses.map((use) => room(limit, use.scope, use.used));
  });
}

function room(limit: Limit, scope: string, used: number): Headroom {
  const allowed = limit.allowed.value;
  return { limit, scope, used, allowed, left: allowed - used };
}

function missingIn(requirements: readonly Requirement[], is: Circumstances): readonly Missing[] {
  const missing: Missing[] = [];
  if (is.ending === 'none') missing.push({ kind: 'not-ended' });
  if (is.ending === 'abandoned') missing.push({ kind: 'abandoned' });
  if (is.unsettledPins > 0) missing.push({ kind: 'unsettled-pins', count: is.unsettledPins });
  for (const requirement of requirements) {
    const needMin = requirement.atLeastMin.value;
    const haveMs = requirement.kind === 'driving-time' ? is.drivenMs : is.sectionMs[requirement.section];
    if (haveMs >= needMin * 60_000) continue;
    missing.push(
      requirement.kind === 'driving-time'
        ? { kind: 'driving-time', haveMs, needMin }
        : { kind: 'section-time', section: requirement.section, haveMs, needMin },
    );
  }
  return missing;
}

/** A limit is near when a fifth of it or less is left. */
const nearShare = 0.2;

/** Limits that were used and not crossed, with so little left that a bad moment would have crossed them. */
export function nearLimits(verdict: Verdict): readonly Headroom[] {
  return verdict.headroom.filter(({ used, allowed, left }) => used > 0 && left >= 0 && left <= allowed * nearShare);
}
