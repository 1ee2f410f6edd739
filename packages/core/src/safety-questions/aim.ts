import { recallAt, recallWanted, type Memory } from './memory';

const dayMs = 86_400_000;
/** New questions a day with no test in sight (house default): more would pile up as reviews. */
const newADay = 6;
/** The last day before the test brings nothing new (house default). */
const quietDays = 1;
/** What an answer nobody ever drilled is worth (house default; edit it with evidence). */
export const recallUnseen = 0.35;

/** When a question is to be seen again, and why then. */
export interface Due {
  /** Missing where it need not be seen before the test. */
  readonly at?: Date;
  readonly why: 'schedule' | 'before-test' | 'fresh-enough';
  /** Chance of recall on the day of the test, 0 to 1, without another look; missing without a test ahead. */
  readonly onTestDay?: number;
}

/** The moment of a test that is known by its day only: noon, in UTC. */
export function testMoment(testDate: string): Date {
  return new Date(`${testDate}T12:00:00Z`);
}

/**
 * When to review a question so that it is remembered on the day of the test.
 *
 * A question that will be fresh enough on that day waits until after it. One that would not be is asked when the
 * scheduler wants it, at the latest on the eve of the test: the schedule gives way to the day on both sides.
 * @param test the day of the test, if one is ahead; a past one counts as none
 */
export function dueWith(memory: Memory, now: Date, test: Date | undefined): Due {
  if (!test || test <= now) return { at: memory.due, why: 'schedule' };
  const onTestDay = recallAt(memory, test);
  if (onTestDay >= recallWanted && memory.due > now) return { why: 'fresh-enough', onTestDay };
  const eve = new Date(Math.max(now.getTime(), test.getTime() - dayMs));
  return memory.due <= eve
    ? { at: memory.due, why: 'schedule', onTestDay }
    : { at: eve, why: 'before-test', onTestDay };
}

/**
 * How many questions never seen before to bring in today, so that all have been seen before the eve of the test.
 * @param unseen how many there are
 */
export function newToday(unseen: number, now: Date, test: Date | undefined): number {
  if (unseen === 0) return 0;
  if (!test || test <= now) return Math.min(unseen, newADay);
  const days = Math.max(1, Math.floor((test.getTime() - now.getTime()) / dayMs) - quietDays);
  return Math.min(unseen, Math.max(Math.min(newADay, unseen), Math.ceil(unseen / days)));
}

/** How the drill stands for the questions a learner is to know. */
export interface Outlook {
  readonly seen: number;
  readonly due: number;
  readonly unseen: number;
  /** Mean chance of recall at the moment asked for, 0 to 1; missing where there are no questions. */
  readonly recall?: number;
}

/** How a set of questions stands, with the chance of recall at a moment. */
export function outlook(
  ids: readonly string[],
  memory: ReadonlyMap<string, Memory>,
  now: Date,
  test: Date | undefined,
): Outlook {
  let [seen, due, sum] = [0, 0, 0];
  const at = test && test > now ? test : now;
  for (const id of ids) {
    const known = memory.get(id);
    sum += known ? recallAt(known, at) : recallUnseen;
    if (!known) continue;
    seen++;
    const next = dueWith(known, now, test).at;
    if (next && next <= now) due++;
  }
  return { seen, due, unseen: ids.length - seen, ...(ids.length > 0 && { recall: sum / ids.length }) };
}

/**
 * The chance that every question of a test is answered right: one of each group, drawn without preference.
 * @param recalls for each question asked, the chances of recall of those it is drawn from, 0 to 1
 * @returns 0 to 1; the product of the groups' means, as the draws are independent
 */
export function chanceAllRight(recalls: readonly (readonly number[])[]): number {
  return recalls.reduce(
    (chance, group) => chance * (group.length === 0 ? 1 : group.reduce((sum, one) => sum + one, 0) / group.length),
    1,
  );
}
