import { commonPractice, houseDefault } from '../provenance';
import type { Category, Standard } from '../standard';
import { cockpitDrill, documents, outsideCheck, riders, usualEndings } from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { fromCatalogue } from '../template-parts/from-catalogue';

const categories: readonly Category[] = [
  fromCatalogue('set-up', [
    ['doors', { name: 'Doors shut, all of them' }],
    'seat',
    'head-restraint',
    'wheel',
    ['mirrors', { name: 'Three mirrors set' }],
    ['belts', { name: 'Belts, all passengers' }],
    ['start', { name: 'Start in park or neutral' }],
  ]),
  fromCatalogue('controls', [
    'accelerator',
    'footbrake',
    'gears',
    'parking-brake',
    'steering',
    'stalled',
    ['lights', { name: 'High beam with somebody within 150 m, or on a lit road' }],
    ['ancillary', { name: 'Wipers and demister' }],
  ]),
  {
    ...fromCatalogue('signals', ['missed', 'timing', 'misleading', 'cancelling'], 'Signals and horn'),
    items: [
      ...fromCatalogue('signals', ['missed', 'timing', 'misleading', 'cancelling']).items,
      { code: 'controls.horn', behaviour: 'controls.horn', name: 'Horn without need', letter: 'H' },
    ],
  },
  fromCatalogue('moving-off', ['observation', 'blind-spot', 'signal', 'timing', 'control', 'hill']),
  fromCatalogue('mirrors', ['before-signal', 'before-direction', 'before-speed', 'blind-spot']),
  fromCatalogue('position', ['normal', 'lanes', 'lane-change', 'own-side', 'one-way']),
  fromCatalogue('speed', ['limit', 'conditions', 'school-zone', 'slow', 'hesitation']),
  fromCatalogue('junctions', [
    'approach',
    'observation',
    'giving-way',
    'stop-line',
    ['turn-across', { name: 'Left turn across' }],
    ['turn-near', { name: 'Right turn' }],
    'arrival-order',
  ]),
  fromCatalogue('roundabouts', ['approach', 'giving-way', 'lane', 'signal']),
  fromCatalogue('signs', ['lights', 'amber', 'signs', 'markings', 'controllers', 'railway']),
  fromCatalogue('fast-roads', ['joining', 'lane', 'overtaking', 'leaving']),
  fromCatalogue('clearance', ['parked', 'vulnerable', 'following']),
  fromCatalogue('crossings', ['approach', 'precedence', 'blocking', 'side-road']),
  fromCatalogue('awareness', ['others', 'emergency-vehicles', 'directions']),
  fromCatalogue('stopping', ['place', 'preparing', 'control', 'securing', 'hill-parking', 'doors']),
  fromCatalogue('reversing', ['observation', 'looking-back', 'waiting', 'control', 'accuracy', 'contact']),
];

/** Minors add up, every repeat again; one major fails. Strong on setting up the car. */
export const minorMajor: Standard = {
  id: 'minor-major',
  version: 4,
  name: 'Minor and major',
  summary: 'Every minor counts each time it happens; thirteen of them, or a single major, fail.',
  trafficSide: 'right',
  units: 'metric',
  length: { totalMin: houseDefault(30, 'A usual length; set it to what your authority drives.') },
  grades: [
    {
      code: 'minor',
      name: 'minor',
      plural: 'minors',
      short: 'minor',
      sign: 'counted',
      meaning: 'A slip. The same slip three times is three minors.',
    },
    {
      code: 'major',
      name: 'major',
      plural: 'majors',
      short: 'major',
      sign: 'outright',
      meaning: 'A danger, a violation of a main rule, or a slip that made others react.',
    },
  ],
  categories,
  limits: [
    {
      code: 'minors',
      name: 'Minors',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['minor'] },
      allowed: commonPractice(12),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'majors',
      name: 'Majors',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['major'] },
      allowed: commonPractice(0),
      effect: { kind: 'fail-test' },
    },
  ],
  caps: [],
  requirements: [
    { kind: 'driving-time', atLeastMin: houseDefault(20, 'A shorter drive says too little to stand for a test.') },
  ],
  exercises: withItems(categories, [
    { code: 'parallel-park', name: 'Parallel park', task: 'Park beside the kerb behind a parked car, in reverse.' },
    {
      code: 'straight-reverse',
      name: 'Straight reverse',
      task: 'Reverse 15.2 m (50 ft) in a straight line within the lane.',
    },
    {
      code: 'hill-park',
      name: 'Park on a hill',
      task: 'Parking brake, wheels turned, park or gear, engine off, in that order.',
    },
  ]),
  questions: [],
  briefing: [documents, riders, outsideCheck, cockpitDrill(categories, 'seat')],
  endings: usualEndings,
  options: [
    settled('signal-need', 'always', 'This standard requires a signal for every move.'),
    settled('stop-hold', 'count-3', 'A count makes sure the wheels have stopped and leaves time to look.'),
    settled('reverse-look', 'look-back', 'Body turned, eyes on the road behind.'),
    settled('control-form', 'ignored', 'Noise and order of gears change nothing for anybody on the road.'),
    settled('handbrake-stops', 'helps', 'Advice only: it proves the stop, no more.'),
    settled('horn', 'violation', 'Unnecessary noise is a violation in this standard.'),
  ],
};
