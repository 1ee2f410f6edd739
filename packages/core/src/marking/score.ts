import type { Mark } from '../drive/drive';
import { drawKey, isGraver, tallyKey, type Draw, type Rules } from './rules';
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
  /** How many marks each cap has seen here. */
  readonly capUses: ReadonlyMap<string, number> | undefined;
  /** The mark that went past what is allowed, once one has. */
  readonly crossedBy: Mark | undefined;
}

/** The state of judging between two marks. Never changed in place. */
export interface Score {
  readonly rules: Rules;
  readonly uses: ReadonlyMap<string, Use>;
  /** Marks that a cap kept from counting on some limit. */
  readonly capped: MarkChain | undefined;
  /** Marks whose item or grade this standard does not have. */
  readonly unplaced: MarkChain | undefined;
}

/** A score while it is being made, before anybody else sees it. */
type Draft = { -readonly [K in keyof Score]: Score[K] } & { uses: Map<string, Use> };

/** The score of marks in the order of their moments; struck marks are to be left out. */
export function scoreMarks(rules: Rules, marks: Iterable<Mark>): Score {
  const draft: Draft = { rules, uses: new Map(), capped: undefined, unplaced: undefined };
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
  const { rules } = draft;
  const key = drawKey(mark.item, mark.grade);
  if (!rules.draws.has(key)) {
    draft.unplaced = { mark, before: draft.unplaced };
    return;
  }
  const counted = draw(draft, mark, mark.grade, rules.caps.get(key));
  if (!counted) draft.capped = { mark, before: draft.capped };
}

/** Draws on every limit that looks at the mark with this grade. Returns whether it counts on all of them. */
function draw(draft: Draft, mark: Mark, grade: string, cap: Cap | undefined): boolean {
  let counted = true;
  for (const drawn of draft.rules.draws.get(drawKey(mark.item, grade)) ?? []) {
    const scope = scopeOf(drawn, mark);
    if (scope === undefined) continue;
    const { limit } = drawn;
    const key = drawn.scope === scope ? drawn.key : tallyKey(limit, scope);
    const before = draft.uses.get(key);
    const seen = cap && (before?.capUses?.get(capKey(cap, mark)) ?? 0);
    const capUses = cap ? new Map(before?.capUses).set(capKey(cap, mark), seen! + 1) : before?.capUses;
    const counts = !cap || letsCount(cap, seen!);
    const used = (before?.used ?? 0) + (counts ? drawn.amount : 0);
    const crossedBy = before?.crossedBy ?? (used > limit.allowed.value ? mark : undefined);
    const marks = counts ? { mark, before: before?.marks } : before?.marks;
    draft.uses.set(key, { limit, scope, used, marks, capUses, crossedBy });
    counted &&= counts;
    // Only to a graver grade, so that one upgrade may lead to another and none in a ring.
    if (counts && crossedBy && limit.effect.kind === 'upgrade' && isGraver(draft.rules, limit.effect.grade, grade))
      draw(draft, mark, limit.effect.grade, undefined);
  }
  return counted;
}

const capKey = (cap: Cap, { item }: Mark): string => (cap.over === 'each' ? tallyKey(cap, item) : cap.code);

/** Whether a cap lets a mark count that comes after so many others. */
function letsCount({ free, atMost }: Cap, seen: number): boolean {
  const first = free?.value ?? 0;
  return seen >= first && seen - first < (atMost?.value ?? Infinity);
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
