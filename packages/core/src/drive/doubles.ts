import type { Double, Mark } from './drive';
import type { DriveEvent } from './event';

/** Two people do not look down at the same moment (house default). */
export const doubleWithinMs = 20_000;

/**
 * Marks that may be one fault seen twice: the same item, on two devices, within `doubleWithinMs`, and nobody has
 * said that they are two. Each mark is in one pair at most, the nearest first in time.
 * @param marks in order of their moments; struck ones are passed over
 * @param standing events of the log that are not struck
 */
export function doublesAmong(marks: readonly Mark[], standing: readonly DriveEvent[]): readonly Double[] {
  const apart = saidApart(standing);
  const open = marks.filter(({ struck }) => !struck);
  const near = open.flatMap((first, i) => {
    const pairs: Double[] = [];
    for (const second of open.slice(i + 1)) {
      if (second.atMs - first.atMs > doubleWithinMs) break;
      const may = second.item === first.item && second.device !== first.device;
      if (may && !apart.has(pairKey(first.id, second.id))) pairs.push({ first, second });
    }
    return pairs;
  });
  return eachOnce(near, ({ first, second }) => [first, second]).toSorted((a, b) => a.first.atMs - b.first.atMs);
}

/** Pairs of which each mark is in one at most, the nearest in time first; the sort is stable. */
function eachOnce<T>(pairs: readonly T[], marksOf: (pair: T) => readonly [Mark, Mark]): readonly T[] {
  const taken = new Set<string>();
  const away = (pair: T) => {
    const [one, other] = marksOf(pair);
    return Math.abs(other.atMs - one.atMs);
  };
  return [...pairs]
    .sort((a, b) => away(a) - away(b))
    .filter((pair) => {
      const ids = marksOf(pair).map(({ id }) => id);
      if (ids.some((id) => taken.has(id))) return false;
      for (const id of ids) taken.add(id);
      return true;
    });
}

/**
 * Marks in which those that sensors saw and a person marked as well are one: the person's, with what was measured and
 * seen. It is the same item within `doubleWithinMs`, each with one other at most, the nearest first in time, unless
 * somebody has said that they are two.
 * @param marks in order of their moments
 */
export function withoutRepeats(marks: readonly Mark[], standing: readonly DriveEvent[]): readonly Mark[] {
  const seen = marks.filter(({ struck, detected }) => !struck && detected);
  if (seen.length === 0) return marks;
  const apart = saidApart(standing);
  const persons = marks.filter(({ struck, detected }) => !struck && !detected);
  const near = seen.flatMap((own) =>
    persons
      .filter(({ item, atMs }) => item === own.item && Math.abs(atMs - own.atMs) <= doubleWithinMs)
      .filter(({ id }) => !apart.has(pairKey(own.id, id)))
      .map((other) => ({ own, other })),
  );
  const pairs = eachOnce(near, ({ own, other }) => [own, other]);
  const repeated = new Set(pairs.map(({ own }) => own.id));
  const seenIn = new Map(pairs.map(({ own, other }) => [other.id, own]));
  return marks
    .filter(({ id }) => !repeated.has(id))
    .map((mark) => {
      const own = seenIn.get(mark.id);
      return own ? { ...mark, detected: own.detected, measured: mark.measured ?? own.measured } : mark;
    });
}

/** The pairs of which somebody has said that they are two. */
function saidApart(standing: readonly DriveEvent[]): ReadonlySet<string> {
  const apart = new Set<string>();
  for (const event of standing)
    if (event.type === 'distinct') {
      apart.add(pairKey(event.target, event.other));
      apart.add(pairKey(event.other, event.target));
    }
  return apart;
}

const pairKey = (a: string, b: string) => `${a} ${b}`;
