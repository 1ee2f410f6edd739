import { t } from '@jasperwren/words/common';
import dayjs from 'dayjs';

/** Minutes and seconds, such as 22:41. */
export function clockTime(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Whole minutes with their unit. */
export function wholeMinutes(ms: number): string {
  return t('msMin', { ms: Math.round(ms / 60_000) });
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

/** How far a day lies from today: "today", "in 16 days", "3 days ago". */
export function fromToday(date: string): string {
  const days = dayjs(date).startOf('day').diff(dayjs().startOf('day'), 'day');
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 0 ? t('inDaysDays', { days }) : t('valueDaysAgo', { value: -days });
}

/** "1 drive", "2 drives". */
export function counted(n: number, one: string, many: string): string {
  return `${n} ${n === 1 ? one : many}`;
}

/** The part of a name to call somebody by. */
export function firstName(name: string): string {
  return name.split(/\s+/)[0] ?? name;
}

/** What the learner was helped with, in a sentence; empty where there was nothing. */
export function helpGiven({
  prompts,
  interventions,
}: {
  readonly prompts: number;
  readonly interventions: number;
}): string {
  const parts = [
    prompts > 0 && t('spokeTimes', { times: times(prompts) }),
    interventions > 0 && t('tookControlTimes', { times: times(interventions) }),
  ].filter(Boolean);
  return parts.length > 0 ? t('youParts', { parts: parts.join(' and ') }) : '';
}

/** "once", "twice", "3 times". */
export function times(n: number): string {
  return n === 1 ? 'once' : n === 2 ? 'twice' : t('nTimes', { n });
}
