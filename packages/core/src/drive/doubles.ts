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
  const taken = new Set<string>();
  const doubles: Double[] = [];
  marks.forEach((first, i) => {
    if (first.struck || taken.has(first.id)) return;
    for (let j = i + 1; j < marks.length; j++) {
      const second = marks[j]!;
      if (second.atMs - first.atMs > doubleWithinMs) break;
      if (second.struck || taken.has(second.id) || second.item !== first.item || second.device === first.device)
        continue;
      if (apart.has(pairKey(first.id, second.id))) continue;
      taken.add(first.id).add(second.id);
      doubles.push({ first, second });
      break;
    }
  });
  return doubles;
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
  const near = seen
    .flatMap((own) =>
      persons
        .filter(({ item, atMs }) => item === own.item && Math.abs(atMs - own.atMs) <= doubleWithinMs)
        .filter(({ id }) => !apart.has(pairKey(own.id, id)))
        .map((other) => ({ own, other, away: Math.abs(other.atMs - own.atMs) })),
    )
    .sort((a, b) => a.away - b.away);
  const repeated = new Set<string>();
  const seenIn = new Map<string, Mark>();
  for (const { own, other } of near)
    if (!repeated.has(own.id) && !seenIn.has(other.id)) {
      repeated.add(own.id);
      seenIn.set(other.id, own);
    }
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
