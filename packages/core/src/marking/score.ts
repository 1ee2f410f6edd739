import type { Mark } from '../drive/drive';
import { drawKey, type Draw, type Rules } from './rules';
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

export function emptyScore(rules: Rules): Score {
  return { rules, uses: new Map(), capUses: new Map(), capped: undefined, unplaced: undefined };
}

/**
 * The score with one mark more. Its cost depends on the standard, not on how many marks came before.
 * Marks are to be added in the order of their moments; struck marks are not to be added at all.
 */
export function addMark(score: Score, mark: Mark): Score {
  const key = drawKey(mark.item, mark.grade);
  const draws = score.rules.draws.get(key);
  if (!draws) return { ...score, unplaced: { mark, before: score.unplaced } };
  const cap = score.rules.caps.get(key);
  let { capUses } = score;
  if (cap) {
    const used = capUses.get(cap.code) ?? 0;
    if (used >= cap.atMost.value) return { ...score, capped: { mark, before: score.capped } };
    capUses = new Map(capUses).set(cap.code, used + 1);
  }
  const uses = new Map(score.uses);
  for (const draw of draws) {
    const scope = scopeOf(draw, mark);
    if (scope === undefined) continue;
    const raised = raise(uses, draw.limit, scope, draw.amount, mark);
    if (draw.limit.effect.kind === 'fail-exercise' && raised.crossedBy === mark) {
      for (const limit of score.rules.standard.limits) {
        if (limit.measure.kind === 'failed-exercises') raise(uses, limit, '', 1, mark);
      }
    }
  }
  return { ...score, uses, capUses };
}

function raise(uses: Map<string, Use>, limit: Limit, scope: string, amount: number, mark: Mark): Use {
  const key = `${limit.code} ${scope}`;
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
