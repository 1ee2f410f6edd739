import { wholeMinutes as fullMinutes } from '@jasperwren/core/drive/clock';
import { t } from '@jasperwren/words/common';
import dayjs from 'dayjs';

/** Minutes and seconds, such as 22:41. */
export function clockTime(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Whole minutes with their unit. */
export function wholeMinutes(ms: number): string {
  return t('msMin', { ms: fullMinutes(ms) });
}

/** A date written out, such as 9 December 2026. */
export function longDate(date: string): string {
  return dayjs(date).format('D MMMM YYYY');
}

/** A date of this year without the year, such as 9 December. */
export function shortDate(date: string): string {
  const day = dayjs(date);
  return day.format(day.isSame(dayjs(), 'year') ? 'D MMMM' : 'D MMMM YYYY');
}

/** The day and hour of a lesson, such as Friday 27 November, 09:00. */
export function lessonTime(start: string): string {
  return dayjs(start).format('dddd D MMMM, HH:mm');
}

/** The same in little room: Fri 27 Nov, 09:00. */
export function shortLessonTime(start: string): string {
  return dayjs(start).format('ddd D MMM, HH:mm');
}

/** The hour of a lesson: 09:00. */
export function timeOfDay(start: string): string {
  return dayjs(start).format('HH:mm');
}

/** A moment with its date: 26 November 2026, 14:05. */
export function dayAndTime(at: string): string {
  return dayjs(at).format('D MMMM YYYY, HH:mm');
}

/** How far a day lies from today: "today", "in 16 days", "3 days ago". */
export function fromToday(date: string): string {
  const days = dayjs(date).startOf('day').diff(dayjs().startOf('day'), 'day');
  if (days === 0) return t('today');
  if (days === 1) return t('tomorrow');
  if (days === -1) return t('yesterday');
  return days > 0 ? t('inDaysDays', { days }) : t('valueDaysAgo', { value: -days });
}

/** The part of a name to call somebody by. */
export function firstName(name: string): string {
  return name.split(/\s+/)[0] ?? name;
}

/** How the learner was helped, in sentences; empty where there was no help. */
export function helpGiven({
  prompts,
  interventions,
}: {
  readonly prompts: number;
  readonly interventions: number;
}): string {
  return [
    ...(prompts > 0 ? [t('prompts', { count: prompts })] : []),
    ...(interventions > 0 ? [t('tookControlTimes', { times: times(interventions) })] : []),
  ].join(' ');
}

/** "once", "twice", "3 times". */
export function times(n: number): string {
  return n === 1 ? t('once') : n === 2 ? t('twice') : t('nTimes', { n });
}
