import type { Amount, ScopeName } from '@jasperwren/core/marking/result-detail';
import { pointsOf } from '@jasperwren/core/marking/rules';
import type { Grade, Item, LimitMeasure } from '@jasperwren/core/marking/standard';
import { joinWords } from '../lists';
import { wordsOf } from '../words';

export const resource = {
  points_one: '{{count}} point',
  points_other: '{{count}} points',
  attempts_one: '{{count}} attempt',
  attempts_other: '{{count}} attempts',
  failedAttempts_one: '{{count}} failed attempt',
  failedAttempts_other: '{{count}} failed attempts',
  failedExercises_one: '{{count}} failed exercise',
  failedExercises_other: '{{count}} failed exercises',
  movements_one: '{{count}} movement',
  movements_other: '{{count}} movements',
  shunts_one: '{{count}} shunt',
  shunts_other: '{{count}} shunts',
  corrections_one: '{{count}} correction',
  corrections_other: '{{count}} corrections',
  looks_one: '{{count}} look',
  looks_other: '{{count}} looks',
  faults_one: '{{count}} fault',
  faults_other: '{{count}} faults',
  takes: ', {{points}}',
  seconds: '{{seconds}} s',
  minutes: '{{minutes}} min',
  minutesAndSeconds: '{{minutes}} min {{seconds}} s',
  'unit-count_one': 'fault',
  'unit-count_other': 'faults',
  'unit-points_one': 'point',
  'unit-points_other': 'points',
  'unit-attempts_one': 'attempt',
  'unit-attempts_other': 'attempts',
  'unit-failed-attempts_one': 'failed attempt',
  'unit-failed-attempts_other': 'failed attempts',
  'unit-movement_one': 'movement',
  'unit-movement_other': 'movements',
  'unit-shunt_one': 'shunt',
  'unit-shunt_other': 'shunts',
  'unit-correction_one': 'correction',
  'unit-correction_other': 'corrections',
  'unit-look_one': 'look',
  'unit-look_other': 'looks',
  'unit-failed-exercises_one': 'failed exercise',
  'unit-failed-exercises_other': 'failed exercises',
  'unit-time': 's',
  fault: '{{area}}: {{fault}}',
  ofGrade: '{{n}} {{name}}',
} as const;

const t = wordsOf('marking-amounts', resource);

/** That a mark of this grade takes so many points: ", 4 points"; nothing where it takes none. */
export function pointsWords(item: Item, grade: Grade): string {
  const points = pointsOf(item, grade);
  return points > 0 ? t('takes', { points: t('points', { count: points }) }) : '';
}

/** "1 serious fault and 2 driving faults", "12 points", "95 s". */
export function amountWords(amount: Amount): string {
  if ('measure' in amount) return amountOf(amount.measure, amount.n);
  return joinWords(amount.grades.map(({ name, n }) => t('ofGrade', { n, name })));
}

/** "95 s", and from ten minutes on "20 min" or "21 min 5 s". */
export function secondsWords(seconds: number): string {
  return seconds < 600 ? t('seconds', { seconds }) : durationWords(seconds * 1000);
}

/** A duration in minutes and seconds: "2 min 30 s". */
export function durationWords(ms: number): string {
  const seconds = Math.floor(ms / 1000);
  const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60];
  if (minutes === 0) return t('seconds', { seconds: rest });
  return rest > 0 ? t('minutesAndSeconds', { minutes, seconds: rest }) : t('minutes', { minutes });
}

/** So much of what a limit adds up, with its unit: "12 points", "95 s", "2 attempts". */
export function amountOf(measure: LimitMeasure, n: number): string {
  switch (measure.kind) {
    case 'count':
      return t('faults', { count: n });
    case 'points':
      return t('points', { count: n });
    case 'time':
      return secondsWords(n);
    case 'attempts':
      return t('attempts', { count: n });
    case 'failed-attempts':
      return t('failedAttempts', { count: n });
    case 'steps':
      return stepsWords(measure.step, n);
    case 'failed-exercises':
      return t('failedExercises', { count: n });
  }
}

/** The unit alone, for a number that stands in a field or a column of its own. */
export function unitOf(measure: LimitMeasure, n: number): string {
  if (measure.kind === 'time') return t('unit-time');
  return t(`unit-${measure.kind === 'steps' ? measure.step : measure.kind}`, { count: n });
}

const stepKeys = { movement: 'movements', shunt: 'shunts', correction: 'corrections', look: 'looks' } as const;

/** Steps of an exercise with their number: "3 movements". */
export function stepsWords(step: keyof typeof stepKeys, n: number): string {
  return t(stepKeys[step], { count: n });
}

/** "Junctions: observation", "Hill start". */
export const scopeWords = ({ area, name }: ScopeName): string =>
  area === undefined ? name : t('fault', { area, fault: name.toLowerCase() });
