import { wordsOf } from './words';

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
