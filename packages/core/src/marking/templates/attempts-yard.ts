import { commonPractice, houseDefault } from '../provenance';
import type { Category, Limit, Standard } from '../standard';
import type { Exercise } from '../exercise';
import { cockpitDrill, documents, outsideCheck, usualEndings } from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { forExercise, fromCatalogue } from '../template-parts/from-catalogue';

const reverseInto = (side: 'left' | 'right', script: string) =>
  ({
    manoeuvre: 'bay-reverse',
    side,
    startsAt: 'reverse-gear',
    endsWhen: 'the car stands in the bay',
    script,
  }) as const;

const exercises: readonly (Exercise & {
  readonly letter: string;
  readonly attempts: number;
  readonly movements?: number;
})[] = [
  {
    code: 'alley-left',
    name: 'Alley dock left',
    letter: 'A',
    task: 'Reverse into the bay on the left.',
    ...reverseInto('left', 'Please reverse into the bay on your left and stop between the lines.'),
    attempts: 2,
  },
  {
    code: 'alley-right',
    name: 'Alley dock right',
    letter: 'B',
    task: 'Reverse into the bay on the right.',
    ...reverseInto('right', 'Please reverse into the bay on your right and stop between the lines.'),
    attempts: 2,
  },
  {
    code: 'parallel-left',
    name: 'Parallel park left',
    letter: 'P',
    task: 'Park beside the lane on the left.',
    ...reverseInto('left', 'Please park beside the lane on your left, in three movements at most.'),
    attempts: 2,
    movements: 3,
  },
  {
    code: 'parallel-right',
    name: 'Parallel park right',
    letter: 'R',
    task: 'Park beside the lane on the right.',
    ...reverseInto('right', 'Please park beside the lane on your right, in three movements at most.'),
    attempts: 2,
    movements: 3,
  },
  {
    code: 'incline',
    name: 'Incline start',
    letter: 'N',
    task: 'Stop on the incline and move off without rolling.',
    manoeuvre: 'slope',
    startsAt: 'entry',
    endsWhen: 'the car has moved off',
    script: 'Please stop on the incline and apply the parking brake. Then move off without rolling back.',
    attempts: 1,
  },
  {
    code: 'left-turn',
    name: 'Left turn',
    letter: 'L',
    task: 'From the incline turn left into the lane: mirror, signal, shoulder.',
    manoeuvre: 'corner',
    side: 'left',
    startsAt: 'left-indicator',
    endsWhen: 'the car is straight in the lane',
    script: 'Please turn left into the lane at the foot of the incline.',
    attempts: 1,
  },
  {
    code: 'turn-in-road',
    name: 'Turn in the road',
    letter: 'T',
    task: 'Turn the car round between the kerbs.',
    manoeuvre: 'turn',
    startsAt: 'rolling',
    endsWhen: 'the car faces the other way',
    script: 'Please turn the car round between the kerbs, in three movements at most.',
    attempts: 1,
    movements: 3,
  },
];

const penaltyOnly = { grades: ['penalty'] } as const;

/** What is watched where the car drives on, and does not turn to and fro. */
const underWay: Readonly<Record<string, Parameters<typeof forExercise>[3]>> = {
  incline: [
    ['O', 'look', 'moving-off.observation', 'Not looking all round', penaltyOnly],
    ['C', 'control', 'moving-off.control', 'Speed or steering not in control', penaltyOnly],
  ],
  'left-turn': [
    ['O', 'look', 'mirrors.blind-spot', 'Left shoulder not checked', penaltyOnly],
    ['C', 'control', 'controls.steering', 'Speed or steering not in control', penaltyOnly],
  ],
};

const categories: readonly Category[] = [
  fromCatalogue('checks', [['outside', { name: 'Inspection outside', grades: ['penalty'] }]], 'Inspection outside'),
  {
    ...fromCatalogue('set-up', [], 'Inspection inside'),
    items: fromCatalogue('set-up', ['doors', 'seat', 'mirrors', 'belts', 'start']).items.map((item) => ({
      ...item,
      grades: ['penalty'],
    })),
  },
  ...exercises.map(({ code, name, letter }) =>
    forExercise(code, name, letter, [
      ...(code in underWay
        ? underWay[code]!
        : ([
            ['O', 'look', 'reversing.observation', 'Not looking all round', penaltyOnly],
            ['C', 'control', 'reversing.control', 'Speed or steering not in control', penaltyOnly],
          ] as const)),
      ['E', 'stalled', 'yard.stalled', 'Engine stopped', { ...penaltyOnly, sensors: ['stalled'] }],
      ...(code === 'incline'
        ? ([['R', 'roll-back', 'yard.roll-back', 'Rolled back', { grades: ['penalty', 'ends'] }]] as const)
        : []),
      ...(code === 'left-turn' ? ([['S', 'signal', 'signals.missed', 'No signal', penaltyOnly]] as const) : []),
      ...(code in underWay
        ? []
        : ([
            [
              'D',
              'dry',
              'yard.dry-steering',
              'Wheel turned standing still',
              { ...penaltyOnly, sensors: ['dry-steering'] },
            ],
          ] as const)),
      ['L', 'line', 'yard.line', 'Wheel on a line', { grades: ['ends'], sensors: ['line'] }],
      ['T', 'obstacle', 'yard.obstacle', 'Obstacle or kerb touched', { grades: ['ends'], sensors: ['pole'] }],
    ]),
  ),
];

/** An inspection, then exercises with a number of attempts; touching a line or an obstacle ends the test. */
export const attemptsYard: Standard = {
  id: 'attempts-yard',
  version: 6,
  name: 'Attempts yard',
  summary: 'An inspection outside and inside, then seven exercises with set attempts; a touched line ends the test.',
  trafficSide: 'left',
  units: 'metric',
  length: { totalMin: houseDefault(30, 'A usual length; this standard has no time limit.') },
  grades: [
    {
      code: 'penalty',
      name: 'penalty point',
      plural: 'penalty points',
      short: 'penalty',
      sign: 'counted',
      meaning: 'Added up at the end.',
      points: houseDefault(1, 'Every penalty weighs the same until your authority’s table says otherwise.'),
    },
    {
      code: 'ends',
      name: 'ending fault',
      plural: 'ending faults',
      short: 'ends it',
      sign: 'outright',
      meaning: 'Ends the test at once.',
    },
  ],
  categories,
  limits: [
    {
      code: 'penalties',
      name: 'Penalty points',
      scope: { kind: 'test' },
      measure: { kind: 'points', grades: ['penalty'] },
      allowed: houseDefault(20, 'The points are totted up at the end; set what your authority allows.'),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'touched',
      name: 'Line, obstacle or kerb touched',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['ends'] },
      allowed: commonPractice(0),
      effect: { kind: 'fail-test' },
    },
    ...exercises.map(({ code, name, attempts }): Limit => ({
      code: `attempts-${code}`,
      name: `Attempts at ${name.toLowerCase()}`,
      scope: { kind: 'exercise', exercise: code },
      measure: { kind: 'attempts' },
      allowed: commonPractice(attempts),
      effect: { kind: 'fail-exercise' },
    })),
    ...exercises.map(({ code, name, attempts }): Limit => ({
      code: `failed-${code}`,
      name: `Failed attempts at ${name.toLowerCase()}`,
      scope: { kind: 'exercise', exercise: code },
      measure: { kind: 'failed-attempts' },
      allowed: commonPractice(attempts - 1, 'The last attempt has to succeed.'),
      effect: { kind: 'fail-exercise' },
    })),
    ...exercises.flatMap(({ code, name, movements }): readonly Limit[] =>
      movements === undefined
        ? []
        : [
            {
              code: `movements-${code}`,
              name: `Movements of ${name.toLowerCase()}`,
              scope: { kind: 'exercise', exercise: code },
              measure: { kind: 'steps', step: 'movement' },
              allowed: commonPractice(movements, 'One more fails the attempt.'),
              effect: { kind: 'fail-attempt' },
            },
          ],
    ),
    {
      code: 'exercises',
      name: 'Exercises failed',
      scope: { kind: 'test' },
      measure: { kind: 'failed-exercises' },
      allowed: houseDefault(0, 'Each exercise has to be passed.'),
      effect: { kind: 'fail-test' },
    },
  ],
  caps: [],
  requirements: exercises.map(({ code }) => ({ kind: 'exercise', exercise: code })),
  exercises: withItems(
    categories,
    exercises.map(({ code, name, task, manoeuvre, side, startsAt, endsWhen, script }) => ({
      code,
      name,
      task: task!,
      manoeuvre: manoeuvre!,
      ...(side && { side }),
      startsAt: startsAt!,
      endsWhen: endsWhen!,
      script: script!,
      looks: [
        code === 'left-turn'
          ? { code: 'shoulder', name: 'Over the left shoulder before turning', item: `${code}.look` }
          : { code: 'all-round', name: 'All round before moving', item: `${code}.look` },
      ],
    })),
  ),
  course: {},
  questions: [],
  briefing: [documents, outsideCheck, cockpitDrill(categories, 'doors')],
  endings: usualEndings,
  options: [
    settled('reverse-look', 'mirrors', 'Mirrors with looks all round are taught here.'),
    settled('handbrake-stops', 'every', 'It proves the stop before the next movement.'),
  ],
};
