import { commonPractice, houseDefault } from '../provenance';
import type { Category, Band, Item, Limit, Measured, Standard } from '../standard';
import type { Exercise } from '../exercise';
import { bayNumber, cockpitDrill, documents, usualEndings } from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { forExercise, itemFor } from '../template-parts/from-catalogue';

const practice = { kind: 'common practice' } as const;
const demeritOnly = { grades: ['demerit'] } as const;
const failOnly = { grades: ['fail'] } as const;
const two = { grades: ['demerit'], points: { demerit: commonPractice(2) } };

/** Before the wheel is turned, and before a reverse. */
const allRound = (item: string, name = 'All round before reversing') => ({ code: 'all-round', name, item });
const whileReversing = (item: string) => ({ code: 'rear', name: 'Mirrors and rear window while reversing', item });
const beforeLeaving = (item: string) => ({ code: 'leaving', name: 'Over the shoulder before leaving', item });

const exercises: readonly Exercise[] = [
  {
    code: 'slope',
    name: 'Slope',
    task: 'Stop on the slope and move off again without rolling back, inside the lines. Advice: about 1,500 rpm.',
    clockStarts: 'on the slope',
    manoeuvre: 'slope',
    startsAt: 'entry',
    endsWhen: 'the car has left the slope',
    script:
      'Please drive onto the slope, stop between the two lines and apply the parking brake. Then move off without rolling back.',
    looks: [{ code: 'shoulder', name: 'Over the left shoulder before moving off', item: 'slope.look' }],
  },
  {
    code: 'brake',
    name: 'Emergency brake',
    task: 'Gather speed and brake on the tone; without a tone, at the first broken line 5 m past the entry.',
    clockStarts: 'at the entry',
    manoeuvre: 'quick-stop',
    startsAt: 'entry',
    endsWhen: 'the car has driven out of the lane',
    script:
      'Please drive up the lane and gather speed. When you hear the tone, stop as in an emergency. Wait, look round, and drive on when it is safe.',
    looks: [{ code: 'round', name: 'Over both shoulders before driving on', item: 'brake.look' }],
  },
  {
    code: 'angle-bay',
    name: 'Angle bay at 60 degrees',
    task: 'Drive into the slanted bay, no faster than 20 km/h between exercises (advice); parking brake once the car has stopped.',
    clockStarts: 'with the right indicator',
    manoeuvre: 'bay-forward',
    startsAt: 'right-indicator',
    endsWhen: 'the car has left the bay',
    script:
      'Please signal, drive into the slanted bay and park. Apply the parking brake once you have stopped. Then reverse out when it is safe.',
    looks: [
      { code: 'head', name: 'Over the right shoulder before turning in', item: 'angle-bay.head-check' },
      allRound('angle-bay.look', 'All round before reversing out'),
    ],
  },
  {
    code: 'garage-bay',
    name: 'Garage bay at 90 degrees',
    task: 'Reverse into the bay at right angles and park inside the lines.',
    clockStarts: 'with reverse gear',
    manoeuvre: 'bay-reverse',
    startsAt: 'reverse-gear',
    endsWhen: 'the car has left the bay',
    script:
      'Please reverse into the bay and park between the lines with the parking brake on. Then drive out when it is safe.',
    looks: [allRound('garage-bay.look'), whileReversing('garage-bay.look'), beforeLeaving('garage-bay.look')],
  },
  {
    code: 'parallel-bay',
    name: 'Parallel bay',
    task: 'Reverse into the bay beside the lane and park inside the lines.',
    clockStarts: 'with reverse gear',
    manoeuvre: 'bay-reverse',
    startsAt: 'reverse-gear',
    endsWhen: 'the car has left the bay',
    script:
      'Please reverse into the bay beside the lane and park with the parking brake on. Then signal and drive out when it is safe.',
    looks: [
      allRound('parallel-bay.look'),
      { code: 'left', name: 'Over the left shoulder before steering right', item: 'parallel-bay.shoulder' },
      whileReversing('parallel-bay.look'),
      beforeLeaving('parallel-bay.look'),
    ],
  },
];

/** The time each may take, in seconds. */
const seconds: Readonly<Record<string, number>> = {
  slope: 90,
  brake: 90,
  'angle-bay': 120,
  'garage-bay': 180,
  'parallel-bay': 300,
};

const rollBack: Measured = {
  quantity: 'distance rolled back',
  unit: 'cm',
  bands: [
    { over: 15, below: 30, grade: 'demerit', provenance: practice },
    { atLeast: 30, grade: 'fail', provenance: practice },
  ],
};

const revs: Measured = {
  quantity: 'highest engine speed',
  unit: 'rpm',
  bands: [{ over: 3000, grade: 'fail', provenance: practice }],
};

const brakeSpeed = (most: number): readonly Band[] => [
  { below: 20, grade: 'fail', provenance: practice },
  { over: most, grade: 'fail', provenance: practice },
];

const overspeed = (most: number): readonly Band[] => [{ over: most, grade: 'fail', provenance: practice }];

const inBay = [
  ['O', 'look', 'reversing.observation', 'Mirror or rear window not checked', demeritOnly],
  [
    'W',
    'in-gear',
    'stopping.securing',
    'Not in P after parking (automatic)',
    { ...demeritOnly, sensors: ['not-in-park'] },
  ],
  ['D', 'dry', 'yard.dry-steering', 'Wheel turned standing still', { ...demeritOnly, sensors: ['dry-steering'] }],
  ['B', 'brake-on', 'yard.brake-on', 'Moved with the parking brake on', { ...demeritOnly, sensors: ['brake-on'] }],
  ['L', 'line', 'yard.line', 'Line touched or parked outside', { ...failOnly, sensors: ['line', 'parked-outside'] }],
] as const;

/** Where the parking brake goes on once the car stands: what was left out is named by its step. */
const secured = inBay.map((row) =>
  row[1] === 'in-gear'
    ? ([
        'W',
        'in-gear',
        'stopping.securing',
        'Not secured after stopping',
        { ...row[4], sequence: ['parking brake', 'P'] },
      ] as const)
    : row,
);
const brakeOnEntering = [
  'E',
  'brake-entering',
  'controls.parking-brake',
  'Parking brake while entering',
  demeritOnly,
] as const;

const whole: readonly Item[] = [
  itemFor('whole.overspeed', 'yard.overspeed', {
    ...failOnly,
    name: 'Too fast in the yard',
    measured: { quantity: 'highest speed', unit: 'km/h', bands: overspeed(35) },
    sensors: ['speed'],
  }),
  itemFor('whole.stalled', 'yard.stalled', {
    ...demeritOnly,
    points: { demerit: houseDefault(0, 'Counted by itself, not in points.') },
    sensors: ['stalled'],
  }),
  itemFor('whole.belts', 'set-up.belts', { ...failOnly, name: 'Belt off', letter: 'B', sensors: ['belt'] }),
  itemFor('whole.doors', 'set-up.doors', { ...failOnly, name: 'Door open', letter: 'D', sensors: ['door'] }),
  itemFor('whole.finish', 'yard.finish', {
    grades: ['demerit'],
    name: 'Finish out of order',
    sequence: ['parking brake', 'neutral or park', 'belt', 'door'],
    sensors: ['leaving-order'],
  }),
];

const testLimit = (code: string, name: string, limit: Pick<Limit, 'measure' | 'allowed'>): Limit => ({
  code,
  name,
  scope: { kind: 'test' },
  effect: { kind: 'fail-test' },
  ...limit,
});

const categories: readonly Category[] = [
  forExercise('slope', 'Slope', 'S', [
    ['R', 'roll-back', 'yard.roll-back', 'Rolled back', { measured: rollBack, sensors: ['roll-back'] }],
    ['G', 'revs', 'yard.revs', 'Engine raced', { ...failOnly, measured: revs, sensors: ['revs'] }],
    ['O', 'look', 'moving-off.observation', 'Shoulder not checked', demeritOnly],
    ['B', 'brake-on', 'yard.brake-on', 'Moved with the parking brake on', { ...demeritOnly, sensors: ['brake-on'] }],
    ['L', 'line', 'yard.line', 'Line touched', { ...failOnly, sensors: ['line'] }],
  ]),
  forExercise('brake', 'Emergency brake', 'E', [
    [
      'S',
      'speed',
      'emergency-stop.speed',
      'Speed at the tone',
      {
        ...failOnly,
        measured: { quantity: 'speed reached', unit: 'km/h', bands: brakeSpeed(30) },
        sensors: ['tone-speed'],
      },
    ],
    ['R', 'reaction', 'emergency-stop.reaction', 'Did not brake at once', { ...failOnly, sensors: ['late-braking'] }],
    ['F', 'footwork', 'emergency-stop.footwork', 'Clutch before brake', { sensors: ['clutch-first'] }],
    ['O', 'look', 'emergency-stop.moving-on', 'Moved on without a look', demeritOnly],
    ['L', 'line', 'yard.line', 'Line touched', { ...failOnly, sensors: ['line'] }],
    ['T', 'before-tone', 'emergency-stop.reaction', 'Braked before the tone', {}],
  ]),
  forExercise('angle-bay', 'Angle bay', 'A', [
    ['H', 'head-check', 'mirrors.blind-spot', 'No head check', demeritOnly],
    [
      'P',
      'early-brake',
      'controls.parking-brake',
      'Parking brake while still rolling in',
      { ...demeritOnly, sensors: ['early-brake'] },
    ],
    ['X', 'extra', 'reversing.shunt', 'Reversed to correct', { ...demeritOnly, sensors: ['extra-reverse'] }],
    ...secured,
  ]),
  forExercise('garage-bay', 'Garage bay', 'G', [
    [
      'X',
      'extra',
      'reversing.shunt',
      'Extra reverse, before half the car is in',
      { ...two, sensors: ['extra-reverse'] },
    ],
    [
      'V',
      'late-extra',
      'yard.movements',
      'Extra reverse with half the car in',
      { ...failOnly, sensors: ['late-extra-reverse'] },
    ],
    ...inBay,
    brakeOnEntering,
  ]),
  forExercise('parallel-bay', 'Parallel bay', 'P', [
    ['H', 'shoulder', 'mirrors.blind-spot', 'No left shoulder look before steering right', two],
    ['X', 'extra', 'reversing.shunt', 'Extra reverse', { ...demeritOnly, sensors: ['extra-reverse'] }],
    ...secured,
    brakeOnEntering,
  ]),
  { code: 'whole', name: 'Whole yard', letter: 'Y', items: whole },
];

/** Five exercises, each on a clock and on demerits. */
export const timedYard: Standard = {
  id: 'timed-yard',
  version: 5,
  name: 'Timed yard',
  summary: 'Five exercises in a closed yard, each with a clock and its demerits, and a clock over all of them.',
  trafficSide: 'right',
  units: 'metric',
  length: { totalMin: commonPractice(20) },
  retestExtraS: commonPractice(300, 'A repeat gets the time of the exercise and 5 min more.'),
  grades: [
    {
      code: 'demerit',
      name: 'demerit',
      plural: 'demerits',
      short: 'demerit',
      sign: 'counted',
      meaning: 'A point against the exercise; some errors weigh two.',
      points: commonPractice(1),
    },
    {
      code: 'fail',
      name: 'failing error',
      plural: 'failing errors',
      short: 'fails it',
      sign: 'outright',
      meaning: 'Fails the exercise at once; in the yard as a whole, the test.',
    },
  ],
  categories,
  limits: [
    ...exercises.map(({ code, name }): Limit => ({
      code: `time-${code}`,
      name: `Time of the ${name.toLowerCase()}`,
      scope: { kind: 'exercise', exercise: code },
      measure: { kind: 'time' },
      allowed: commonPractice(seconds[code]!),
      effect: { kind: 'fail-exercise' },
    })),
    {
      code: 'demerits',
      name: 'Demerits in one exercise',
      scope: { kind: 'exercise' },
      measure: { kind: 'points', grades: ['demerit'] },
      allowed: commonPractice(5, 'Six fail the exercise.'),
      effect: { kind: 'fail-exercise' },
    },
    {
      code: 'outright',
      name: 'Failing errors in one exercise',
      scope: { kind: 'exercise' },
      measure: { kind: 'count', grades: ['fail'] },
      allowed: commonPractice(0),
      effect: { kind: 'fail-exercise' },
    },
    testLimit('exercises', 'Exercises failed', {
      measure: { kind: 'failed-exercises' },
      allowed: houseDefault(0, 'Each exercise has to be passed; a failed one is repeated another day.'),
    }),
    testLimit('overall', 'Time in all', { measure: { kind: 'time' }, allowed: commonPractice(1200, '20 min.') }),
    testLimit('engine', 'Engine stopped', {
      measure: { kind: 'count', grades: ['demerit'], items: ['whole.stalled'] },
      allowed: commonPractice(2, 'The third time fails.'),
    }),
    testLimit('yard-rules', 'Belt, door or speed', {
      measure: { kind: 'count', grades: ['fail'], items: ['whole.overspeed', 'whole.belts', 'whole.doors'] },
      allowed: commonPractice(0),
    }),
  ],
  caps: [],
  requirements: exercises.map(({ code }) => ({ kind: 'exercise', exercise: code })),
  exercises: withItems(categories, exercises),
  course: { leaving: { order: ['parking-brake', 'gear', 'belt', 'door'], item: 'whole.finish' } },
  questions: [],
  briefing: [documents, bayNumber, cockpitDrill(categories, 'seat')],
  endings: usualEndings,
  options: [
    settled('emergency-footwork', 'brake-first', 'In this yard brake comes before clutch; both together fails.', {
      together: [{ kind: 'grades', item: 'brake.footwork', grades: ['demerit'] }],
      'brake-first': [{ kind: 'grades', item: 'brake.footwork', grades: ['fail'] }],
    }),
    settled('reverse-look', 'mirrors', 'Mirrors and rear window are watched in turn; each missed check is a demerit.'),
    settled(
      'yard-speed',
      'over-35',
      'The more lenient of the two figures; the difference is within a speedometer’s error.',
      {
        'over-34': [{ kind: 'bands', item: 'whole.overspeed', bands: overspeed(34) }],
        'over-35': [{ kind: 'bands', item: 'whole.overspeed', bands: overspeed(35) }],
      },
    ),
    settled('engine-stops', 'third', 'The stricter reading, so that nobody is surprised.', {
      third: [{ kind: 'limit', limit: 'engine', allowed: 2 }],
      'more-than-three': [{ kind: 'limit', limit: 'engine', allowed: 3 }],
    }),
    settled('rolling-brake', 'counts', 'Put on early it stops nobody, and the next attempt shows it.', {
      counts: [{ kind: 'grades', item: 'angle-bay.early-brake', grades: ['demerit'] }],
      fails: [{ kind: 'grades', item: 'angle-bay.early-brake', grades: ['fail'] }],
    }),
    settled('finish-order', 'counts', 'Out of order the car is secured all the same.', {
      counts: [{ kind: 'grades', item: 'whole.finish', grades: ['demerit'] }],
      fails: [{ kind: 'grades', item: 'whole.finish', grades: ['fail'] }],
    }),
    settled('brake-speed', '20-30', 'The wider of the two windows.', {
      '20-30': [{ kind: 'bands', item: 'brake.speed', bands: brakeSpeed(30) }],
      '20-25': [{ kind: 'bands', item: 'brake.speed', bands: brakeSpeed(25) }],
    }),
  ],
};
