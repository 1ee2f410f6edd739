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
  const apart = new Set<string>();
  for (const event of standing)
    if (event.type === 'distinct') {
      apart.add(pairKey(event.target, event.other));
      apart.add(pairKey(event.other, event.target));
    }
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

const pairKey = (a: string, b: string) => `${a} ${b}`;
