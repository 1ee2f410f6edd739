import { commonPractice, fromMemory, houseDefault } from '../provenance';
import type { Category, Standard } from '../standard';
import { askedAtRest, cockpitDrill, documents, eyesight, usualEndings } from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { fromCatalogue } from '../template-parts/from-catalogue';

const rule = 'A road test with three grades of error';

const categories: readonly Category[] = [
  fromCatalogue('checks', [
    ['rules', { name: 'Rules and signs, a wrong answer', grades: ['g2'] }],
    ['outside', { name: 'Technical checks', grades: ['g1', 'g2'] }],
    ['bonnet', { grades: ['g1', 'g2'] }],
    ['hand-signals', { name: 'Six hand signals', grades: ['g1', 'g2'] }],
  ]),
  fromCatalogue('set-up', ['doors', 'seat', 'mirrors', 'belts', 'start']),
  fromCatalogue('controls', [
    'accelerator',
    'clutch',
    'footbrake',
    'gears',
    'parking-brake',
    'steering',
    'stalled',
    'ancillary',
  ]),
  fromCatalogue('moving-off', ['observation', 'blind-spot', 'signal', 'timing', 'control', 'hill']),
  fromCatalogue('mirrors', [
    'before-signal',
    'before-direction',
    'before-speed',
    'blind-spot',
    ['rolling', { name: 'Mirrors on the straight' }],
  ]),
  fromCatalogue('signals', ['missed', 'timing', 'misleading', 'cancelling']),
  fromCatalogue('position', ['normal', 'lanes', 'lane-change', 'bends', 'own-side', 'one-way'], 'Place on the road'),
  fromCatalogue('speed', ['limit', 'conditions', 'slow', 'hesitation'], 'Pace'),
  fromCatalogue('junctions', [
    'approach',
    'observation',
    'giving-way',
    'stop-line',
    ['turn-across', { name: 'Turning right' }],
    ['turn-near', { name: 'Turning left' }],
    'cutting',
  ]),
  fromCatalogue('roundabouts', ['approach', 'giving-way', 'lane', 'signal', 'exit']),
  fromCatalogue('signs', ['lights', 'amber', 'signs', 'markings', 'controllers', 'railway']),
  fromCatalogue('fast-roads', ['joining', 'lane', 'overtaking', 'leaving'], 'Overtaking and fast roads'),
  fromCatalogue('clearance', ['parked', 'vulnerable', 'following', 'queue']),
  fromCatalogue('meeting', ['holding-back', 'crossing-path', 'narrow']),
  fromCatalogue('crossings', ['approach', 'precedence', 'blocking', 'side-road']),
  fromCatalogue('awareness', ['planning', 'others', 'emergency-vehicles', 'directions']),
  fromCatalogue('stopping', ['place', 'preparing', 'control', 'securing', 'doors']),
  fromCatalogue('emergency-stop', ['reaction', 'control', 'footwork', 'moving-on']),
  fromCatalogue('reversing', ['observation', 'looking-back', 'waiting', 'control', 'accuracy', 'contact', 'shunt']),
];

/** Three grades: noted, counted against four limits, and outright; with an oral part before the drive. */
export const graded: Standard = {
  id: 'graded',
  version: 5,
  name: 'Graded marks',
  summary: 'Errors are graded 1 to 3; grade 2 adds up in all, by area and by item, a single grade 3 fails.',
  trafficSide: 'left',
  units: 'metric',
  length: { totalMin: houseDefault(40, 'Long enough for every area; set it to what your authority drives.') },
  grades: [
    {
      code: 'g1',
      name: 'grade 1',
      plural: 'grade 1 marks',
      short: 'grade 1',
      sign: 'noted',
      meaning: 'A blemish: written down, talked about, not counted.',
    },
    {
      code: 'g2',
      name: 'grade 2',
      plural: 'grade 2 marks',
      short: 'grade 2',
      sign: 'counted',
      meaning: 'An error that counts; too many of them, in all or in one place, fail the test.',
    },
    {
      code: 'g3',
      name: 'grade 3',
      plural: 'grade 3 marks',
      short: 'grade 3',
      sign: 'outright',
      meaning: 'A danger or a serious breach of a rule: one is enough to fail.',
    },
  ],
  categories,
  limits: [
    {
      code: 'g2-in-all',
      name: 'Grade 2 in all',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['g2'] },
      allowed: fromMemory(8, rule),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'g2-in-category',
      name: 'Grade 2 in one area',
      scope: { kind: 'category' },
      measure: { kind: 'count', grades: ['g2'] },
      allowed: fromMemory(5, rule),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'g2-on-item',
      name: 'Grade 2 for one thing',
      scope: { kind: 'item' },
      measure: { kind: 'count', grades: ['g2'] },
      allowed: fromMemory(3, rule),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'g3',
      name: 'Grade 3',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['g3'] },
      allowed: fromMemory(0, rule),
      effect: { kind: 'fail-test' },
    },
  ],
  caps: [
    {
      code: 'oral',
      name: 'Wrong answers on rules and signs',
      items: ['checks.rules'],
      grades: ['g2'],
      over: 'together',
      free: commonPractice(3),
      atMost: commonPractice(1),
    },
  ],
  requirements: [
    { kind: 'driving-time', atLeastMin: houseDefault(30, 'A shorter drive says too little to stand for a test.') },
  ],
  exercises: withItems(categories, [
    {
      code: 'reverse-corner',
      name: 'Reverse round a corner',
      task: 'Reverse into the side road, close to the kerb, and stop.',
    },
    { code: 'turn-in-road', name: 'Turn in the road', task: 'Turn the car round between the kerbs.' },
    { code: 'hill-start', name: 'Hill start', task: 'Stop on the hill and move off without rolling.' },
  ]),
  questions: [
    {
      kind: 'oral',
      name: 'Rules of the road and signs',
      item: 'checks.rules',
      perTest: houseDefault(10, 'Enough for the three free wrong answers to mean something.'),
      tries: commonPractice(1),
    },
    {
      kind: 'oral',
      name: 'Technical checks, explained at the car',
      item: 'checks.outside',
      perTest: houseDefault(3, 'Three topics, drawn.'),
      tries: commonPractice(1),
    },
    {
      kind: 'oral',
      name: 'Hand signals: to traffic behind right, slowing, left; to a person on point duty right, straight on, left',
      item: 'checks.hand-signals',
      perTest: commonPractice(6),
      tries: commonPractice(1),
    },
  ],
  briefing: [
    documents,
    eyesight,
    askedAtRest(
      ['checks.rules', 'checks.outside', 'checks.hand-signals'],
      'Rules and signs, then three checks at the car, then the hand signals.',
    ),
    cockpitDrill(categories, 'seat'),
  ],
  endings: usualEndings,
  options: [
    settled(
      'signal-need',
      'always',
      'A habit that never has to be thought about; a signal to nobody does no harm here.',
    ),
    settled('stop-hold', 'full-stop', 'The wheels standing still is what the rule asks for.'),
    settled('emergency-footwork', 'together', 'Clutch first takes the engine braking away just when it helps.'),
    settled('reverse-look', 'look-back', 'Most of a reverse is watched by turning round.'),
    settled('control-form', 'ignored', 'Noise and order of gears change nothing for anybody on the road.'),
    settled('handbrake-stops', 'helps', 'Advice only: it proves the stop, no more.'),
    settled('horn', 'warn', 'A short warning where it helps is good driving.'),
  ],
};
