import type { Mark } from '../drive/drive';
import { cellAt, isGraver, slotFor, type CapGroup, type Cell, type Rules, type Slot } from './rules';
import type { Cap } from './standard';

/** Marks, newest first, sharing their tails: adding one costs the same however many there are. */
export interface MarkChain {
  readonly mark: Mark;
  readonly before: MarkChain | undefined;
}

/** How far one limit is used in one scope. */
export interface Use extends Slot {
  readonly used: number;
  readonly marks: MarkChain | undefined;
  /** How many marks each cap has seen here. */
  readonly capUses: ReadonlyMap<CapGroup, number> | undefined;
  /** The mark that went past what is allowed, once one has. */
  readonly crossedBy: Mark | undefined;
}

/** The state of judging between two marks. Never changed in place. */
export interface Score {
  readonly rules: Rules;
  readonly uses: ReadonlyMap<Slot, Use>;
  /** Marks that a cap kept from counting on some limit. */
  readonly capped: MarkChain | undefined;
  /** Marks that count on a limit which decides something of itself. */
  readonly counted: MarkChain | undefined;
  /** The others: they count for nothing. */
  readonly free: MarkChain | undefined;
  /** Marks whose item or grade this standard does not have. */
  readonly unplaced: MarkChain | undefined;
}

/** A score while it is being made, before anybody else sees it. */
type Draft = { -readonly [K in keyof Score]: Score[K] } & { uses: Map<Slot, Use> };

/** The score of marks in the order of their moments; struck marks are to be left out. */
export function scoreMarks(rules: Rules, marks: Iterable<Mark>): Score {
  const draft: Draft = {
    rules,
    uses: new Map(),
    capped: undefined,
    counted: undefined,
    free: undefined,
    unplaced: undefined,
  };
  for (const mark of marks) enter(draft, mark);
  return draft;
}

/**
 * The score with one mark more, of a later moment than those before it. Its cost depends on the standard, not on
 * how many marks came before.
 */
export function addMark(score: Score, mark: Mark): Score {
  const draft: Draft = { ...score, uses: new Map(score.uses) };
  enter(draft, mark);
  return draft;
}

function enter(draft: Draft, mark: Mark): void {
  const cell = cellAt(draft.rules, mark.item, mark.grade);
  if (!cell) {
    draft.unplaced = { mark, before: draft.unplaced };
    return;
  }
  const { decides, capped } = draw(draft, mark, cell, cell.cap);
  if (capped) draft.capped = { mark, before: draft.capped };
  const list = decides ? 'counted' : 'free';
  draft[list] = { mark, before: draft[list] };
}

/**
 * Draws on every limit that looks at the mark with the grade of this cell. Returns whether it counts on one that decides
 * something of itself, and whether a cap kept it from any.
 */
function draw(draft: Draft, mark: Mark, cell: Cell, group: CapGroup | undefined) {
  let [decides, capped] = [false, false];
  for (const drawn of cell.draws) {
    const slot = slotFor(drawn, mark.exercise);
    if (!slot) continue;
    const { limit } = slot;
    const before = draft.uses.get(slot);
    const seen = group && (before?.capUses?.get(group) ?? 0);
    const capUses = group ? new Map(before?.capUses).set(group, seen! + 1) : before?.capUses;
    const counts = !group || letsCount(group.cap, seen!);
    const used = (before?.used ?? 0) + (counts ? drawn.amount : 0);
    const crossedBy = before?.crossedBy ?? (used > limit.allowed.value ? mark : undefined);
    const marks = counts ? { mark, before: before?.marks } : before?.marks;
    draft.uses.set(slot, { ...slot, used, marks, capUses, crossedBy });
    capped ||= !counts;
    decides ||= counts && limit.effect.kind !== 'ask-upgrade';
    if (!counts || !crossedBy || limit.effect.kind !== 'upgrade') continue;
    // Only to a graver grade, so that one upgrade may lead to another and none in a ring.
    const graver = isGraver(draft.rules, limit.effect.grade, cell.grade)
      ? cellAt(draft.rules, mark.item, limit.effect.grade)
      : undefined;
    if (graver) draw(draft, mark, graver, undefined);
  }
  return { decides, capped };
}

/** Whether a cap lets a mark count that comes after so many others. */
function letsCount({ free, atMost }: Cap, seen: number): boolean {
  const first = free?.value ?? 0;
  return seen >= first && seen - first < (atMost?.value ?? Infinity);
}

/** The chain as a list, oldest first. */
export function marksOf(chain: MarkChain | undefined): readonly Mark[] {
  const marks: Mark[] = [];
  for (let link = chain; link; link = link.before) marks.push(link.mark);
  return marks.reverse();
}
