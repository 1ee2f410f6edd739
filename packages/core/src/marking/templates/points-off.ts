import { commonPractice, houseDefault } from '../provenance';
import type { Exercise } from '../exercise';
import type { Category, Standard } from '../standard';
import { cockpitDrill, documents, outsideCheck, usualEndings } from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { each, fromCatalogue, type Listing } from '../template-parts/from-catalogue';

const weight = 'What an error of this kind usually weighs; set it to your authority’s table.';
const off = (value: number) => ({ grades: ['error'], points: { error: houseDefault(value, weight) } });
const orOut = (value: number) => ({ grades: ['error', 'out'], points: { error: houseDefault(value, weight) } });

/** A category in which every error costs the same unless a listing says otherwise. */
const at = (value: number, code: string, slugs: readonly string[], others: readonly Listing[] = []): Category =>
  fromCatalogue(code, [...each(slugs, off(value)), ...others]);

const categories: readonly Category[] = [
  at(2, 'set-up', ['doors', 'seat', 'mirrors', 'start'], [['belts', off(4)]]),
  at(
    2,
    'controls',
    ['accelerator', 'clutch', 'footbrake', 'gears', 'parking-brake', 'steering', 'lights'],
    [['stalled', off(4)]],
  ),
  at(
    4,
    'moving-off',
    ['observation', 'blind-spot', 'signal', 'timing'],
    [
      ['control', off(2)],
      ['hill', off(4)],
    ],
  ),
  at(4, 'mirrors', ['before-signal', 'before-direction', 'before-speed', 'blind-spot']),
  at(
    2,
    'signals',
    ['timing', 'cancelling'],
    [
      ['missed', { grades: ['error'], points: { error: commonPractice(4) } }],
      ['misleading', off(4)],
    ],
  ),
  at(
    2,
    'position',
    ['normal', 'lanes', 'bends', 'one-way'],
    [
      ['lane-change', off(4)],
      ['own-side', { name: 'Leaving the own side', grades: ['out'] }],
    ],
  ),
  at(
    4,
    'speed',
    ['conditions'],
    [
      ['limit', orOut(10)],
      ['school-zone', orOut(10)],
      ['slow', off(2)],
      ['hesitation', off(2)],
    ],
  ),
  at(
    4,
    'junctions',
    ['approach', 'observation'],
    [
      ['turn-across', { ...off(4), name: 'Left turn across traffic' }],
      ['turn-near', { ...off(4), name: 'Right turn' }],
      ['cutting', off(4)],
      ['giving-way', orOut(10)],
      ['stop-line', { name: 'Rolling over a stop line', grades: ['out'] }],
    ],
  ),
  at(4, 'roundabouts', ['approach', 'lane', 'signal', 'exit'], [['giving-way', orOut(10)]]),
  at(
    4,
    'signs',
    ['amber', 'markings'],
    [
      ['lights', orOut(10)],
      ['signs', orOut(10)],
      ['controllers', orOut(10)],
      ['railway', orOut(10)],
    ],
  ),
  at(4, 'clearance', ['parked', 'following'], [['vulnerable', orOut(10)]]),
  at(
    4,
    'crossings',
    ['approach', 'blocking'],
    [
      ['precedence', orOut(10)],
      ['side-road', orOut(10)],
    ],
  ),
  at(
    2,
    'stopping',
    ['place', 'preparing', 'control', 'securing'],
    [
      ['doors', off(4)],
      ['hill-parking', off(4)],
    ],
  ),
  fromCatalogue(
    'emergency-stop',
    [
      ['reaction', off(4)],
      ['control', off(4)],
      ['moving-on', off(4)],
    ],
    'Quick stop',
  ),
  at(
    2,
    'reversing',
    ['control', 'accuracy'],
    [
      ['observation', off(4)],
      ['waiting', orOut(10)],
      ['looking-back', { name: 'Reversing without turning to look', grades: ['out'] }],
      ['contact', { name: 'Leaving the lane in reverse', grades: ['out'] }],
    ],
  ),
  fromCatalogue('yard', [['obstacle', { name: 'Knocking a cone', grades: ['out'] }]], 'Cones'),
];

const thenSecure = 'Then the parking brake, P or a gear, and the engine off.';

/** The four cases of kerb and gradient: a car that rolls is to come to rest against the kerb or leave the road (common practice). */
const hillParking: readonly Exercise[] = [
  {
    code: 'hill-park-up-kerb',
    name: 'Hill parking, uphill with a kerb',
    task: `Stop at the kerb and turn the wheels away from it, so that it holds the car. ${thenSecure}`,
  },
  {
    code: 'hill-park-down-kerb',
    name: 'Hill parking, downhill with a kerb',
    task: `Stop at the kerb and turn the wheels towards it. ${thenSecure}`,
  },
  {
    code: 'hill-park-up',
    name: 'Hill parking, uphill without a kerb',
    task: `Stop at the edge and turn the wheels towards it, away from traffic. ${thenSecure}`,
  },
  {
    code: 'hill-park-down',
    name: 'Hill parking, downhill without a kerb',
    task: `Stop at the edge and turn the wheels towards it, away from traffic. ${thenSecure}`,
  },
];

/** Counts down from 100; some errors disqualify at once. */
export const pointsOff: Standard = {
  id: 'points-off',
  version: 5,
  name: 'Points off',
  summary: 'Everybody starts at 100 points, each error takes some away, and a few disqualify at once.',
  trafficSide: 'right',
  units: 'imperial',
  length: { totalMin: houseDefault(25, 'A usual length; set it to what your authority drives.') },
  startScore: commonPractice(100),
  grades: [
    {
      code: 'error',
      name: 'error',
      plural: 'errors',
      short: 'points off',
      sign: 'counted',
      meaning: 'Takes the points of its line off the score.',
      points: houseDefault(2, weight),
    },
    {
      code: 'out',
      name: 'disqualification',
      plural: 'disqualifications',
      short: 'out',
      sign: 'outright',
      meaning: 'Ends the test there and then.',
    },
  ],
  categories,
  limits: [
    {
      code: 'points',
      name: 'Points taken off',
      scope: { kind: 'test' },
      measure: { kind: 'points', grades: ['error'] },
      allowed: houseDefault(20, 'A pass mark of 80 of 100.'),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'out',
      name: 'Disqualified',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['out'] },
      allowed: commonPractice(0),
      effect: { kind: 'fail-test' },
    },
  ],
  caps: [],
  requirements: [
    { kind: 'driving-time', atLeastMin: houseDefault(5, 'A whole test may last under ten minutes; less is no test.') },
  ],
  exercises: withItems(categories, [
    {
      code: 'straight-reverse',
      name: 'Reverse in the lane',
      task: 'Reverse straight for 50 ft (15 m) within the lane, turned to look back.',
    },
    { code: 'parallel-park', name: 'Parallel park', task: 'Park between the cones without touching one.' },
    { code: 'forward-park', name: 'Forward park', task: 'Drive forward in between the cones and stop straight.' },
    { code: 'turn-in-road', name: 'Three-point turn', task: 'Turn the car round in the road, in three movements.' },
    {
      code: 'quick-stop',
      name: 'Quick stop',
      task: 'At 20 mph (32 km/h), stop quickly and straight on the signal, then look round before moving on.',
    },
    ...hillParking,
  ]),
  questions: [],
  briefing: [documents, outsideCheck, cockpitDrill(categories, 'doors')],
  endings: usualEndings,
  options: [
    settled('signal-need', 'always', 'This standard deducts for a missed signal, whoever is about.'),
    settled('stop-hold', 'full-stop', 'The wheels standing still is what the rule asks for.'),
    settled('reverse-look', 'look-back', 'Reversing without turning to look disqualifies.'),
    settled('control-form', 'ignored', 'Noise and order of gears change nothing for anybody on the road.'),
    settled('horn', 'warn', 'A short warning where it helps is good driving.'),
  ],
};
