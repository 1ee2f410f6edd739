import type { Mark } from '../drive/drive';
import { cellAt, countsMarks, rulesOf, slotFor } from './rules';
import type { EffectiveStandard, LimitEffect } from './standard';
import type { Headroom, Verdict } from './verdict';

/** What a limit leads to once it is crossed, the gravest first. */
const gravity: readonly LimitEffect['kind'][] = ['fail-test', 'fail-exercise', 'fail-attempt', 'upgrade'];

const graver = (a: Headroom, b: Headroom) =>
  gravity.indexOf(a.limit.effect.kind) - gravity.indexOf(b.limit.effect.kind);

/** The narrower of two limits says more of one mark than that of the whole test. */
const narrower = (a: Headroom, b: Headroom) => Number(a.scope === undefined) - Number(b.scope === undefined);

/** Limits that decide something of themselves; those that ask a person are told where they ask. */
const decides = ({ limit }: Headroom) => limit.effect.kind !== 'ask-upgrade';

/**
 * Of all limits that a mark drew on, over the test, an area, a fault type, a class or an exercise, the one that is
 * tightest now: with what it crossed first, the gravest before the others, else the one that fewest more marks like it
 * would cross.
 * @returns undefined where it draws on none
 */
export function tightestFor(standard: EffectiveStandard, verdict: Verdict, mark: Mark): Headroom | undefined {
  const draws = cellAt(rulesOf(standard), mark.item, mark.grade)?.draws ?? [];
  const rooms = draws.flatMap((draw) => {
    const slot = slotFor(draw, mark.exercise);
    const room = slot && verdict.headroom.find(({ limit, scope }) => limit === slot.limit && scope === slot.scope);
    return room && decides(room) ? [{ room, more: Math.max(-1, Math.floor(room.left / draw.amount)) }] : [];
  });
  const [tightest] = rooms.sort((a, b) => a.more - b.more || graver(a.room, b.room) || narrower(a.room, b.room));
  return tightest?.room;
}

/** A share of a limit that is left, from 1 where nothing is used to 0 and below. */
const share = ({ left, allowed }: Headroom) => (left < 0 ? left : left / Math.max(1, allowed));

/**
 * The limits on marks within a part of the test that came nearest to being crossed, or were: all that fail the test
 * first, then those of which the smallest share is left.
 * @param most how many there are to be at most
 */
export function nearestNarrow(verdict: Verdict, most: number): readonly Headroom[] {
  return verdict.headroom
    .filter((room) => decides(room) && room.scope !== undefined && room.used > 0 && countsMarks(room.limit.measure))
    .sort((a, b) => Number(a.left >= 0) - Number(b.left >= 0) || (a.left < 0 ? graver(a, b) : 0) || share(a) - share(b))
    .slice(0, most);
}
