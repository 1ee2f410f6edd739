import type { Mark } from '../drive/drive';
import { drawKey, useKey, type Draw, type Rules } from './rules';
import type { Cap, Limit } from './standard';

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
  const { rules } = draft;
  const key = drawKey(mark.item, mark.grade);
  if (!rules.draws.has(key)) {
    draft.unplaced = { mark, before: draft.unplaced };
    return;
  }
  const cap = rules.caps.get(key);
  if (cap && !takenByCap(draft.capUses, cap, mark.item)) {
    draft.capped = { mark, before: draft.capped };
    return;
  }
  draw(draft, mark, mark.grade);
}

/** Whether the cap lets one mark more count. */
function takenByCap(capUses: Map<string, number>, cap: Cap, item: string): boolean {
  const key = cap.over === 'each' ? useKey(cap, item) : cap.code;
  const before = capUses.get(key) ?? 0;
  capUses.set(key, before + 1);
  const free = cap.free?.value ?? 0;
  return before >= free && before - free < (cap.atMost?.value ?? Infinity);
}

function draw(draft: Draft, mark: Mark, grade: string): void {
  for (const drawn of draft.rules.draws.get(drawKey(mark.item, grade)) ?? []) {
    const scope = scopeOf(drawn, mark);
    if (scope === undefined) continue;
    const { limit } = drawn;
    const key = drawn.scope === scope ? drawn.key : useKey(limit, scope);
    const crossedBefore = draft.uses.get(key)?.crossedBy !== undefined;
    const { crossedBy } = raise(draft.uses, key, limit, scope, drawn.amount, mark);
    if (limit.effect.kind === 'upgrade' && crossedBy && !crossedBefore) draw(draft, mark, limit.effect.grade);
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
