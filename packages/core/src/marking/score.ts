import type { Mark } from '../drive/drive';
import { drawKey, useKey, type Draw, type Rules } from './rules';
import type { Limit } from './standard';

/** Marks, newest first, sharing their tails: adding one costs the same however many there are. */
export interface MarkChain {
  readonly mark: Mark;
  readonly before: MarkChain | undefined;
}

/** How far one limit is used in one scope. */
export interface Use {
  readonly limit: Limit;
  /** The category, item, class or exercise; empty for the whole test. */
  readonly scope: string;
  readonly used: number;
  readonly marks: MarkChain | undefined;
  /** The mark that went past what is allowed, once one has. */
  readonly crossedBy: Mark | undefined;
}

/** The state of judging between two marks. Never changed in place. */
export interface Score {
  readonly rules: Rules;
  readonly uses: ReadonlyMap<string, Use>;
  readonly capUses: ReadonlyMap<string, number>;
  /** Marks that a cap kept from counting. */
  readonly capped: MarkChain | undefined;
  /** Marks whose item or grade this standard does not have. */
  readonly unplaced: MarkChain | undefined;
}

/** A score while it is being made, before anybody else sees it. */
type Draft = { -readonly [K in keyof Score]: Score[K] } & { uses: Map<string, Use>; capUses: Map<string, number> };

/** The score of marks in the order of their moments; struck marks are to be left out. */
export function scoreMarks(rules: Rules, marks: Iterable<Mark>): Score {
  const draft: Draft = { rules, uses: new Map(), capUses: new Map(), capped: undefined, unplaced: undefined };
  for (const mark of marks) enter(draft, mark);
  return draft;
}

/**
 * The score with one mark more, of a later moment than those before it. Its cost depends on the standard, not on
 * how many marks came before.
 */
export function addMark(score: Score, mark: Mark): Score {
  const draft: Draft = { ...score, uses: new Map(score.uses), capUses: new Map(score.capUses) };
  enter(draft, mark);
  return draft;
}

function enter(draft: Draft, mark: Mark): void {
  const { rules, uses, capUses } = draft;
  const key = drawKey(mark.item, mark.grade);
  const draws = rules.draws.get(key);
  if (!draws) {
    draft.unplaced = { mark, before: draft.unplaced };
    return;
  }
  const cap = rules.caps.get(key);
  if (cap) {
    const used = capUses.get(cap.code) ?? 0;
    if (used >= cap.atMost.value) {
      draft.capped = { mark, before: draft.capped };
      return;
    }
    capUses.set(cap.code, used + 1);
  }
  for (const draw of draws) {
    const scope = scopeOf(draw, mark);
    if (scope === undefined) continue;
    const useAt = draw.scope === scope ? draw.key : useKey(draw.limit, scope);
    const raised = raise(uses, useAt, draw.limit, scope, draw.amount, mark);
    if (draw.limit.effect.kind === 'fail-exercise' && raised.crossedBy === mark) {
      for (const limit of rules.standard.limits) {
        if (limit.measure.kind === 'failed-exercises') raise(uses, useKey(limit, ''), limit, '', 1, mark);
      }
    }
  }
}

function raise(uses: Map<string, Use>, key: string, limit: Limit, scope: string, amount: number, mark: Mark): Use {
  const before = uses.get(key);
  const used = (before?.used ?? 0) + amount;
  const crossedBy = before?.crossedBy ?? (used > limit.allowed.value ? mark : undefined);
  const use = { limit, scope, used, marks: { mark, before: before?.marks }, crossedBy };
  uses.set(key, use);
  return use;
}

function scopeOf(draw: Draw, mark: Mark): string | undefined {
  if (draw.scope !== 'by-mark') return draw.scope;
  const { scope } = draw.limit;
  if (scope.kind !== 'exercise' || mark.exercise === undefined) return undefined;
  return (scope.exercise ?? mark.exercise) === mark.exercise ? mark.exercise : undefined;
}

/** The chain as a list, oldest first. */
export function marksOf(chain: MarkChain | undefined): readonly Mark[] {
  const marks: Mark[] = [];
  for (let link = chain; link; link = link.before) marks.push(link.mark);
  return marks.reverse();
}
