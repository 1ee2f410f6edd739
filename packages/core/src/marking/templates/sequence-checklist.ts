import { commonPractice, houseDefault } from '../provenance';
import type { Standard } from '../standard';
import {
  bayNumber,
  callCheck,
  cockpitDrill,
  documents,
  eyesight,
  glasses,
  usualEndings,
} from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { each, fromCatalogue } from '../template-parts/from-catalogue';

const look = ['mirror', 'signal', 'blind spot', 'position'];

/** Competences in checked sequences, each satisfactory or not, however often it went wrong. */
const categories = [
  fromCatalogue('checks', [
    [
      'outside',
      {
        name: 'Vehicle check, called and shown',
        sequence: ['lamps', 'indicators', 'brake lamps', 'horn', 'tyres', 'wipers', 'mirrors'],
      },
    ],
  ]),
  fromCatalogue('set-up', ['doors', 'seat', 'mirrors', 'belts', 'start']),
  fromCatalogue('moving-off', [
    ['blind-spot', { name: 'Moving off in sequence', sequence: look }],
    'timing',
    'control',
  ]),
  fromCatalogue('mirrors', [
    ['before-direction', { name: 'Lane change in sequence', sequence: look }],
    ['blind-spot', { name: 'Blind spot before a turn' }],
    'before-speed',
  ]),
  fromCatalogue('signals', ['missed', 'timing', 'cancelling']),
  fromCatalogue('junctions', [
    ['turn-across', { name: 'Left turn in sequence', sequence: look }],
    ['turn-near', { name: 'Right turn in sequence', sequence: look }],
    ['stop-line', { name: 'Full stop', sequence: ['stop', 'look both ways', 'go'] }],
    'observation',
    'giving-way',
    ['arrival-order', { name: 'All-way stop, by order of arrival' }],
  ]),
  fromCatalogue('speed', [
    ['limit', { name: 'Posted limits' }],
    ['school-zone', { name: 'School-zone speed' }],
    'conditions',
    'slow',
  ]),
  fromCatalogue('position', ['lanes', 'own-side', 'normal']),
  fromCatalogue('clearance', [
    ['parked', { name: '1 m from parked cars' }],
    ['vulnerable', { name: '1 m from people on the road' }],
    'following',
  ]),
  fromCatalogue('signs', each(['lights', 'signs', 'markings', 'railway'], {})),
  fromCatalogue('crossings', ['approach', 'precedence']),
  fromCatalogue('awareness', ['others', 'emergency-vehicles']),
  fromCatalogue('stopping', ['place', 'securing', 'hill-parking']),
  fromCatalogue('reversing', ['observation', 'looking-back', 'control', 'accuracy']),
];

/** Every turn and lane change as a checked sequence. */
export const sequenceChecklist: Standard = {
  id: 'sequence-checklist',
  version: 5,
  name: 'Sequence checklist',
  summary: 'A list of competences, each shown in its sequence or not yet; a few may be left to practise.',
  trafficSide: 'right',
  units: 'metric',
  length: { totalMin: houseDefault(30, 'A usual length; set it to what your authority drives.') },
  grades: [
    {
      code: 'not-yet',
      name: 'competence not yet satisfactory',
      plural: 'competences not yet satisfactory',
      short: 'not yet',
      sign: 'counted',
      meaning: 'A step of the sequence was missing or out of order.',
    },
    {
      code: 'unsafe',
      name: 'unsafe act',
      plural: 'unsafe acts',
      short: 'unsafe',
      sign: 'outright',
      meaning: 'Somebody was put in danger, or the instructor had to act.',
    },
  ],
  categories,
  limits: [
    {
      code: 'not-yet',
      name: 'Competences not yet satisfactory',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['not-yet'] },
      allowed: houseDefault(5, 'About one competence in eight may still need practice.'),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'unsafe',
      name: 'Unsafe acts',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['unsafe'] },
      allowed: houseDefault(0, 'A danger is not a matter of counting.'),
      effect: { kind: 'fail-test' },
    },
  ],
  caps: [
    {
      code: 'once-each',
      name: 'The same competence again',
      items: categories.flatMap((category) => category.items.map((item) => item.code)),
      grades: ['not-yet'],
      over: 'each',
      atMost: commonPractice(1),
    },
  ],
  requirements: [
    { kind: 'driving-time', atLeastMin: houseDefault(20, 'A shorter drive says too little to stand for a test.') },
  ],
  exercises: withItems(categories, [
    { code: 'parallel-park', name: 'Parallel park', task: 'Park beside the kerb in reverse.' },
    {
      code: 'hill-park',
      name: 'Hill parking',
      task: 'Stop on the hill: parking brake, wheels turned, P or a gear, engine off.',
    },
    { code: 'final-park', name: 'Final park', task: 'Park where the test began and leave the car secured.' },
  ]),
  questions: [],
  briefing: [documents, bayNumber, eyesight, glasses, callCheck, cockpitDrill(categories, 'seat')],
  endings: usualEndings,
  options: [
    settled('signal-need', 'always', 'The signal is a step of every sequence.'),
    settled('stop-hold', 'count-3', 'A count makes sure the wheels have stopped and leaves time to look.'),
    settled('reverse-look', 'look-back', 'Body turned, eyes on the road behind.'),
    settled('horn', 'warn', 'A short warning where it helps is good driving.'),
  ],
};
