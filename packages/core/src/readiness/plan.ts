import dayjs from 'dayjs';
import isoWeek from 'dayjs/plugin/isoWeek';
import type { EffectiveStandard } from '../marking/standard';
import { overlaps, type Booking } from './booking';
import type { ReadinessItem } from './checklist';
import type { AreaChange } from './estimate';
import { seekCodes, type LessonGoal, type SeekCode } from './lesson-goal';

dayjs.extend(isoWeek);

const dayMs = 86_400_000;

/** An hour of the week in which an instructor can give lessons; clock times as the instructor's calendar has them. */
export interface FreeHours {
  /** 0 is Sunday, as in `Date`. */
  readonly weekday: number;
  /** `HH:MM`. */
  readonly from: string;
  readonly to: string;
}

export interface PlannedLesson extends Booking {
  readonly goals: readonly LessonGoal[];
}

/**
 * The lessons that fit into free hours between two days, the earliest first.
 * @param until the day of the test, `YYYY-MM-DD`; no lesson on it
 * @param taken what is booked already
 */
export function freeSlots(
  hours: readonly FreeHours[],
  fromDay: string,
  until: string,
  minutes: number,
  taken: readonly Booking[] = [],
): readonly string[] {
  const slots: string[] = [];
  for (let at = Date.parse(`${fromDay}T00:00:00Z`); at < Date.parse(`${until}T00:00:00Z`); at += dayMs) {
    const day = new Date(at);
    for (const { weekday, from, to } of hours) {
      if (day.getUTCDay() !== weekday) continue;
      for (let minute = minuteOf(from); minute + minutes <= minuteOf(to); minute += minutes)
        slots.push(`${day.toISOString().slice(0, 10)}T${clock(minute)}`);
    }
  }
  return slots.filter((start) => !taken.some((one) => overlaps(one, { start, minutes }))).sort();
}

const minuteOf = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));
const clock = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

/**
 * So many of the slots a week, on as many days as there are, evenly over the week. Several fall on one day only where
 * a whole week has too few days, and a week cut short holds accordingly fewer.
 */
export function spreadLessons(slots: readonly string[], perWeek: number): readonly string[] {
  const weeks = new Map<string, string[]>();
  for (const slot of slots) {
    const week = dayjs(slot.slice(0, 10)).startOf('isoWeek').format('YYYY-MM-DD');
    weeks.set(week, [...(weeks.get(week) ?? []), slot]);
  }
  const firstsOf = (week: readonly string[]) =>
    week.filter((slot, i) => slot.slice(0, 10) !== week[i - 1]?.slice(0, 10));
  const perDay = Math.ceil(perWeek / Math.max(1, ...[...weeks.values()].map((week) => firstsOf(week).length)));
  return [...weeks.values()].flatMap((week) => {
    const firsts = firstsOf(week);
    const rest = week.filter((slot, i) => {
      const ofDay = i - week.findIndex((other) => other.slice(0, 10) === slot.slice(0, 10));
      return ofDay > 0 && ofDay < perDay;
    });
    const days = Array.from(
      { length: Math.min(perWeek, firsts.length) },
      (_, i) => firsts[Math.floor((i * firsts.length) / Math.min(perWeek, firsts.length))]!,
    );
    return [...days, ...rest.slice(0, perWeek - days.length)].sort();
  });
}

/**
 * What each lesson should do: the areas that would change most, those more often that would change more; exercises
 * not yet clean; a mock test on strange roads every third lesson and as the last one; questions in every lesson.
 */
export function planLessons(
  standard: EffectiveStandard,
  starts: readonly string[],
  minutes: number,
  changes: readonly AreaChange[],
  checks: readonly ReadinessItem[],
  cleanExercises: readonly string[],
): readonly PlannedLesson[] {
  const areas = changes.slice(0, 4);
  const gains = areas.map(
    ({ chance }, i) => Math.max(chance - Math.min(...changes.map((one) => one.chance)), 0.001) / (i + 1),
  );
  const given = areas.map(() => 0);
  const open = standard.exercises.filter(({ code }) => !cleanExercises.includes(code));
  const questions = checks.some(({ code, ok }) => code === 'questions' && !ok);
  return starts.map((start, i) => {
    const goals: LessonGoal[] = [];
    const mock = i === starts.length - 1 || i % 3 === 2;
    if (mock) goals.push({ kind: 'mock', code: '', name: '', seek: 'new-roads' satisfies SeekCode });
    else {
      // The area that is furthest behind its share.
      const next = areas.reduce(
        (best, _, a) => (gains[a]! / (given[a]! + 1) > gains[best]! / (given[best]! + 1) ? a : best),
        0,
      );
      const area = areas[next];
      if (area) {
        given[next]!++;
        goals.push({ kind: 'area', code: area.category, name: area.name, seek: seekOf(standard, area.category) });
      }
    }
    const exercise = open.length > 0 && !mock ? open[i % open.length] : undefined;
    if (exercise)
      goals.push({
        kind: 'exercise',
        code: exercise.code,
        name: exercise.name,
        seek: 'legal-place' satisfies SeekCode,
      });
    if (questions) goals.push({ kind: 'questions', code: '', name: '', seek: 'due-questions' satisfies SeekCode });
    return { start, minutes, goals };
  });
}

function seekOf({ categories }: EffectiveStandard, code: string): SeekCode {
  const behaviour = categories.find((category) => category.code === code)?.items[0]?.behaviour ?? '';
  return seekCodes.find((known) => known === behaviour.split('.')[0]) ?? 'any-road';
}
