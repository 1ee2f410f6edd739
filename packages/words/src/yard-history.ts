import type { ExerciseResult } from '@jasperwren/core/yard/exercise-history';
import { wordsOf } from './words';
import { clockWords } from './yard-runs';

export const resource = {
  weakest: 'Weakest: {{name}}, passed {{passed}} of {{count}} times.',
  wholeCourse: 'The whole course next time: about {{chance}}, if one exercise does not affect the next.',
  tightest: 'Tightest for time: {{name}}, {{seconds}} of {{allowed}} s last time.',
  usedUp: 'faults {{used}} of {{allowed}}',
  movements_one: '{{count}} movement',
  movements_other: '{{count}} movements',
  exercise: 'Exercise',
  passed: 'Passed',
  nextTime: 'Chance next time',
  times: 'Last times',
  passedOf: '{{passed}} of {{count}}',
  chance: 'about {{mean}} ({{low}} to {{high}})',
  timeLeft: '{{time}} ({{left}} s left)',
  timeOver: '{{time}} ({{over}} s over)',
  caution: 'The latest mock tests count most. With few of them the range is wide: it holds 90 times out of 100.',
} as const;

export const t = wordsOf('yard-history', resource);

/** Which exercise takes most of its time: "Tightest for time: Slope, 64 of 90 s last time." */
export const tightestWords = ({ name, timeMs, allowedS }: ExerciseResult): string =>
  allowedS === undefined ? '' : t('tightest', { name, seconds: Math.ceil(timeMs / 1000), allowed: allowedS });

/** "1:12 (18 s left), faults 2 of 5, 3 movements". */
export function resultWords({ timeMs, allowedS, used, allowed, movements }: ExerciseResult): string {
  return [
    timeWords(timeMs, allowedS),
    ...(used !== undefined && allowed !== undefined ? [t('usedUp', { used, allowed })] : []),
    ...(movements === undefined ? [] : [t('movements', { count: movements })]),
  ].join(', ');
}

function timeWords(timeMs: number, allowedS: number | undefined): string {
  const time = clockWords(timeMs);
  if (allowedS === undefined) return time;
  const leftS = allowedS - Math.ceil(timeMs / 1000);
  return leftS >= 0 ? t('timeLeft', { time, left: leftS }) : t('timeOver', { time, over: -leftS });
}
