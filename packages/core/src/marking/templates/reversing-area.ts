import { commonPractice, houseDefault } from '../provenance';
import type { Category, Standard } from '../standard';
import { documents, outsideCheck, usualEndings } from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { forExercise, fromCatalogue } from '../template-parts/from-catalogue';

const faultOnly = { grades: ['fault'] } as const;
const seriousOnly = { grades: ['serious'] } as const;

const categories: readonly Category[] = [
  fromCatalogue(
    'checks',
    [['outside', { name: 'Walk round the vehicle', grades: ['noted', 'fault'] }]],
    'Before the reverse',
  ),
  forExercise('reverse', 'Reverse into the bay', 'V', [
    ['S', 'shunt', 'reversing.shunt', 'Pull-forward', { grades: ['noted', 'fault'], sensors: ['pull-forward'] }],
    ['W', 'walk', 'reversing.walk', 'Look from outside with the vehicle unsecured', { grades: ['fault', 'serious'] }],
    ['O', 'look', 'reversing.observation', 'Not looking all round'],
    ['C', 'control', 'reversing.control', 'Control of speed and steering'],
    [
      'D',
      'dry',
      'yard.dry-steering',
      'Wheel turned standing still',
      { grades: ['noted', 'fault'], sensors: ['dry-steering'] },
    ],
    ['P', 'stop', 'yard.stop-mark', 'Not stopped at the A line', { grades: ['fault', 'serious'] }],
    ['A', 'end', 'reversing.accuracy', 'Rear end short of the stopping area', seriousOnly],
  ]),
  {
    code: 'touch',
    name: 'Lines and markers',
    letter: 'L',
    items: [
      {
        code: 'touch.line',
        behaviour: 'yard.line',
        name: 'Tyre across a boundary line',
        letter: 'L',
        exercise: 'reverse',
        sensors: ['line'],
        ...seriousOnly,
      },
      {
        code: 'touch.marker',
        behaviour: 'yard.obstacle',
        name: 'Cone or barrier touched',
        letter: 'T',
        exercise: 'reverse',
        sensors: ['pole'],
        ...seriousOnly,
      },
      {
        code: 'touch.overhang',
        behaviour: 'reversing.contact',
        name: 'Bodywork over a line, tyres inside',
        letter: 'B',
        exercise: 'reverse',
        grades: ['noted'],
      },
    ],
  },
  fromCatalogue(
    'stopping',
    [
      ['securing', faultOnly],
      ['doors', faultOnly],
    ],
    'At the end',
  ),
];

/** Reversing a trailer or a large vehicle through markers into a bay. */
export const reversingArea: Standard = {
  id: 'reversing-area',
  version: 5,
  name: 'Reversing area',
  summary: 'One reverse with a trailer or a large vehicle, with two pull-forwards and one look from outside.',
  trafficSide: 'left',
  units: 'metric',
  length: { totalMin: houseDefault(20, 'This standard has no time limit; long enough for coupling and reversing.') },
  grades: [
    {
      code: 'noted',
      name: 'note',
      plural: 'notes',
      short: 'note',
      sign: 'noted',
      meaning: 'Written down to be talked about; counts for nothing.',
    },
    {
      code: 'fault',
      name: 'fault',
      plural: 'faults',
      short: 'fault',
      sign: 'counted',
      meaning: 'Not good enough to happen again and again.',
    },
    {
      code: 'serious',
      name: 'failing fault',
      plural: 'failing faults',
      short: 'failing',
      sign: 'outright',
      meaning: 'Fails the reverse at once.',
    },
  ],
  categories,
  limits: [
    {
      code: 'shunts',
      name: 'Pull-forwards',
      scope: { kind: 'exercise', exercise: 'reverse' },
      measure: { kind: 'count', grades: ['noted', 'fault'], items: ['reverse.shunt'] },
      allowed: commonPractice(2),
      effect: { kind: 'fail-exercise' },
    },
    {
      code: 'looks',
      name: 'Looks from outside',
      scope: { kind: 'exercise', exercise: 'reverse' },
      measure: { kind: 'steps', step: 'look' },
      allowed: commonPractice(1, 'One, before the final adjustment.'),
      effect: { kind: 'fail-exercise' },
    },
    {
      code: 'serious',
      name: 'Failing faults',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['serious'] },
      allowed: commonPractice(0),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'faults',
      name: 'Faults',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['fault'] },
      allowed: houseDefault(
        5,
        'The reverse is a small part of a test; more than five would not leave room for the road.',
      ),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'exercises',
      name: 'Exercises failed',
      scope: { kind: 'test' },
      measure: { kind: 'failed-exercises' },
      allowed: commonPractice(0),
      effect: { kind: 'fail-test' },
    },
  ],
  caps: [],
  requirements: [{ kind: 'exercise', exercise: 'reverse' }],
  exercises: withItems(categories, [
    {
      code: 'reverse',
      name: 'Reverse into the bay',
      task: 'From the A markers back past B into the bay, the rear end past the black line and short of the barrier. The belt may be off; there is no clock.',
      manoeuvre: 'bay-reverse',
      side: 'left',
      startsAt: 'reverse-gear',
      endsWhen: 'the rear end stands past the black line',
      script:
        'Please drive up with B on your left and stop with the front at the A line. Then reverse past B into the bay. You may pull forward twice and get out once to look.',
      looks: [
        { code: 'all-round', name: 'All round before reversing', item: 'reverse.look' },
        { code: 'mirrors', name: 'Both mirrors while reversing', item: 'reverse.look' },
        { code: 'right-mirror', name: 'Along the way: twice in the right mirror', item: 'reverse.look' },
        { code: 'left-mirror', name: 'Along the way: once in the left mirror', item: 'reverse.look' },
      ],
    },
  ]),
  course: {},
  questions: [],
  briefing: [documents, outsideCheck],
  endings: usualEndings,
  options: [
    settled('shunt', 'costs', 'Allowed, but the first line was not good enough.', {
      costs: [{ kind: 'grades', item: 'reverse.shunt', grades: ['fault'] }],
      free: [{ kind: 'grades', item: 'reverse.shunt', grades: ['noted'] }],
    }),
    settled('a-line', 'up-to', 'Kept left, the view from A to B stays open.'),
    settled('reverse-look', 'mirrors', 'With a trailer the mirrors show what the rear window cannot.'),
  ],
};
