import type { Exercise } from './exercise';

/** An exercise with its place in a course. */
type Placed = Pick<Exercise, 'code' | 'next'>;

/** More ways than these through one course are not gone through. */
const mostWays = 256;

/** Codes of all that can come after an exercise, itself included. */
function reachable(exercises: readonly Placed[], from: string): ReadonlySet<string> {
  const found = new Set<string>();
  const open = [from];
  while (open.length > 0) {
    const code = open.pop()!;
    const i = exercises.findIndex((one) => one.code === code);
    if (i < 0 || found.has(code)) continue;
    found.add(code);
    open.push(...followers(exercises, i));
  }
  return found;
}

function followers(exercises: readonly Placed[], i: number): readonly string[] {
  const following = exercises[i + 1];
  return exercises[i]?.next ?? (following ? [following.code] : []);
}

/**
 * Branches that were not taken, with what only they lead to.
 * @param driven codes of the exercises driven, in the order in which they were, each once
 */
export function passedBy(exercises: readonly Placed[], driven: readonly string[]): ReadonlySet<string> {
  const all = new Set<string>();
  driven.forEach((code, i) => {
    const branches = exercises.find((one) => one.code === code)?.next ?? [];
    const taken = driven[i + 1];
    if (taken === undefined || !branches.includes(taken)) return;
    const ahead = reachable(exercises, taken);
    for (const other of branches) for (const lost of reachable(exercises, other)) if (!ahead.has(lost)) all.add(lost);
  });
  return all;
}

/**
 * The exercises of which one comes next on a course: those that may follow the last one, or the first that is left. What
 * stands on a branch that was not taken is no longer left. None where the course is done.
 * @param exercises in the order of the course
 * @param driven codes of those driven, in the order in which they were, each once
 */
export function mayFollow<E extends Placed>(exercises: readonly E[], driven: readonly string[]): readonly E[] {
  const lost = passedBy(exercises, driven);
  const left = exercises.filter(({ code }) => !driven.includes(code) && !lost.has(code));
  const last = exercises.find(({ code }) => code === driven.at(-1));
  const branches = left.filter(({ code }) => last?.next?.includes(code));
  return branches.length > 0 ? branches : left.slice(0, 1);
}

/** Every way through a course, as the codes of its exercises in their order; the first 256 where there are more. */
export function waysThrough(exercises: readonly Placed[]): readonly (readonly string[])[] {
  const ways: (readonly string[])[] = [];
  const go = (driven: readonly string[]): void => {
    if (ways.length >= mostWays) return;
    const next = mayFollow(exercises, driven);
    if (next.length === 0) ways.push(driven);
    for (const { code } of next) go([...driven, code]);
  };
  if (exercises.length > 0) go([]);
  return ways;
}

/** How many exercises a whole course asks for that holds these: the most of the ways through it that do, or of all ways. */
export function exercisesAsked(exercises: readonly Placed[], driven: readonly string[]): number {
  const ways = waysThrough(exercises);
  const holding = ways.filter((way) => driven.every((code) => way.includes(code)));
  return Math.max(0, ...(holding.length > 0 ? holding : ways).map(({ length }) => length));
}
