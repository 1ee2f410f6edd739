import type { Evidence } from './evidence';

const dayMs = 86_400_000;
const weekMs = 7 * dayMs;

/** A lesson of a learner, held or booked. */
export interface Lesson {
  /** When it begins: local time of the school, `YYYY-MM-DDTHH:MM`. */
  readonly start: string;
  /** Areas of the standard that it is for, by code. */
  readonly areas: readonly string[];
}

/** What lies between two moments for a learner. */
export interface Practice {
  readonly lessons: number;
  readonly weeks: number;
}

/** Beyond so many weeks nothing further is expected of them: an old start says nothing of today (house default). */
const mostWeeks = 17;
/** Lessons of the last weeks by which the pace of a learner goes where none are booked (house default). */
const recentWeeks = 4;

/** The days on which a learner had a lesson, a mock test being one, and what lies between two moments of theirs. */
export function practiceOf(evidence: readonly Evidence[], lessons: readonly Lesson[]) {
  const days = [
    ...new Set([...evidence.map(({ at }) => at.slice(0, 10)), ...lessons.map(({ start }) => start.slice(0, 10))]),
  ].sort();
  const starts = days.map((day) => Date.parse(`${day}T00:00:00Z`));
  /** Lessons on days after that of one moment, up to another, both in milliseconds. */
  const lessonsBetween = (from: number, to: number): number => {
    const midnight = Math.floor(from / dayMs) * dayMs;
    let n = 0;
    for (const start of starts) if (start > midnight && start <= to) n++;
    return n;
  };
  return {
    lessonsBetween,
    between: (from: number, to: number): Practice => ({
      lessons: lessonsBetween(from, to),
      weeks: Math.min(mostWeeks, Math.max(0, to - from) / weekMs),
    }),
  };
}

/**
 * How much of the faults has gone after some practice, as a logarithm: the first lessons teach most, and each later one a little less.
 * @param fall what goes with the first lesson, and with a week
 * @param fallsFor lessons after which a further one helps by e less
 */
export const goneAfter = (fall: Practice, { lessons, weeks }: Practice, fallsFor: number): number =>
  fall.lessons * fallsFor * (1 - Math.exp(-lessons / fallsFor)) + fall.weeks * weeks;

/** How often a learner has lessons from now on, and by what that is known. */
export interface Pace {
  readonly perWeek: number;
  readonly by: 'booked' | 'lately';
}

/** What a learner is expected to practise between today and a day. */
export interface Ahead extends Practice {
  readonly pace: Pace;
}

/**
 * What is expected to be practised up to a day: the lessons that are booked, and where none are as many a week as in the last
 * four.
 * @param on the moment from which it counts
 * @param until the end of the time looked at
 */
export function practiceAhead(evidence: readonly Evidence[], lessons: readonly Lesson[], on: Date, until: Date): Ahead {
  const { lessonsBetween } = practiceOf(evidence, lessons);
  const [now, end] = [on.getTime(), Math.max(on.getTime(), until.getTime())];
  const weeks = (end - now) / weekMs;
  const last = Math.max(now, ...lessons.map(({ start }) => Date.parse(`${start}Z`)));
  const booked = lessonsBetween(now, last);
  const pace: Pace =
    booked > 0
      ? { perWeek: booked / Math.max(1, (last - now) / weekMs), by: 'booked' }
      : { perWeek: lessonsBetween(now - recentWeeks * weekMs, now) / recentWeeks, by: 'lately' };
  // Beyond what is booked it goes on at the same pace.
  const within = booked > 0 ? lessonsBetween(now, Math.min(end, last)) : 0;
  const beyond = booked > 0 ? Math.max(0, end - last) / weekMs : weeks;
  return {
    lessons: within + beyond * pace.perWeek,
    weeks: Math.min(mostWeeks, weeks),
    pace,
  };
}
