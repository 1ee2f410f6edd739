import { commonPractice, houseDefault, published } from '../provenance';
import type { Category, Standard } from '../standard';
import {
  askedAtRest,
  cockpitDrill,
  documents,
  eyesight,
  ridersOfAge,
  usualEndings,
} from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { fromCatalogue } from '../template-parts/from-catalogue';

const carTest = "Guidance to Great Britain's car driving test; written down from memory";

const categories: readonly Category[] = [
  fromCatalogue('checks', [
    ['eyesight', { grades: ['serious'] }],
    ['tell', { grades: ['driving'] }],
    ['show', { grades: ['driving'] }],
  ]),
  fromCatalogue('set-up', ['doors', 'seat', 'head-restraint', 'mirrors', 'belts', 'start']),
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
  fromCatalogue('mirrors', ['before-signal', 'before-direction', 'before-speed', 'blind-spot', 'rolling']),
  fromCatalogue('signals', ['missed', 'timing', 'misleading', 'cancelling']),
  fromCatalogue('position', ['normal', 'lanes', 'lane-change', 'bends', 'own-side', 'one-way']),
  fromCatalogue('speed', ['limit', 'conditions', 'slow', 'hesitation']),
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
  fromCatalogue('fast-roads', ['joining', 'lane', 'overtaking', 'leaving']),
  fromCatalogue('clearance', ['parked', 'vulnerable', 'following', 'queue']),
  fromCatalogue('meeting', ['holding-back', 'crossing-path', 'narrow']),
  fromCatalogue('crossings', ['approach', 'precedence', 'blocking', 'side-road']),
  fromCatalogue('awareness', ['planning', 'others', 'emergency-vehicles']),
  fromCatalogue('stopping', ['place', 'preparing', 'control', 'securing', 'doors']),
  fromCatalogue('emergency-stop', ['reaction', 'control', 'footwork', 'moving-on']),
  fromCatalogue('reversing', ['observation', 'looking-back', 'waiting', 'control', 'accuracy', 'contact', 'shunt']),
];

/** A manoeuvre that takes longer than this was not well set up (common practice); nothing depends on it. */
const usual = { fromS: 180, toS: 240, provenance: { kind: 'common practice' } } as const;

/** Driving faults are counted, serious and dangerous ones fail at once. */
export const tally: Standard = {
  id: 'tally',
  version: 5,
  name: 'Tally',
  summary: 'Driving faults are added up; a single serious or dangerous fault ends the chance of a pass.',
  trafficSide: 'left',
  units: 'imperial',
  length: {
    totalMin: commonPractice(40),
    independentMin: commonPractice(20),
  },
  grades: [
    {
      code: 'driving',
      name: 'driving fault',
      plural: 'driving faults',
      short: 'driving',
      sign: 'counted',
      meaning: 'Not a danger as it was, but not good enough to happen again and again.',
    },
    {
      code: 'serious',
      name: 'serious fault',
      plural: 'serious faults',
      short: 'serious',
      sign: 'outright',
      meaning: 'Could have put somebody in danger, or shows that a basic skill is missing.',
    },
    {
      code: 'dangerous',
      name: 'dangerous fault',
      plural: 'dangerous faults',
      short: 'dangerous',
      sign: 'highest',
      meaning: 'Did put somebody in danger: another person or the instructor had to act.',
    },
  ],
  categories,
  limits: [
    {
      code: 'driving-faults',
      name: 'Driving faults',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['driving'] },
      allowed: published(15, carTest),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'serious-or-dangerous',
      name: 'Serious or dangerous faults',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['serious', 'dangerous'] },
      allowed: published(0, carTest),
      effect: { kind: 'fail-test' },
    },
    {
      code: 'habit',
      name: 'The same fault again and again',
      scope: { kind: 'item' },
      measure: { kind: 'count', grades: ['driving'] },
      allowed: houseDefault(
        3,
        'The guidance speaks of a habit without a number; a fourth time on one drive is worth the question.',
      ),
      effect: { kind: 'ask-upgrade', grade: 'serious' },
    },
  ],
  caps: [
    {
      code: 'questions',
      name: 'Safety questions, both together',
      items: ['checks.tell', 'checks.show'],
      grades: ['driving'],
      over: 'together',
      atMost: published(1, carTest),
    },
  ],
  requirements: [
    {
      kind: 'driving-time',
      atLeastMin: houseDefault(30, 'A shorter drive says too little to stand for a test of 40 minutes.'),
    },
    {
      kind: 'section-time',
      section: 'independent',
      atLeastMin: houseDefault(10, 'Half of the usual 20 minutes without directions.'),
    },
  ],
  exercises: withItems(categories, [
    {
      code: 'parallel-park',
      name: 'Parallel park',
      task: 'Draw up beside a parked car and reverse in behind it, within two car lengths.',
      usual,
    },
    {
      code: 'right-pull-up',
      name: 'Pull up on the right',
      task: 'Pull up on the right, reverse two car lengths, and rejoin the road.',
      usual,
    },
    {
      code: 'bay',
      name: 'Bay park',
      task: 'Reverse in and drive out, or drive in and reverse out, between the lines.',
      usual,
    },
    { code: 'emergency-stop', name: 'Emergency stop', task: 'On the signal stop promptly, straight and in control.' },
    { code: 'hill-start', name: 'Hill start', task: 'Stop on the hill and move off without rolling.' },
  ]),
  questions: [
    {
      kind: 'tell',
      name: 'Tell question',
      item: 'checks.tell',
      perTest: published(1, carTest),
      tries: commonPractice(2),
    },
    {
      kind: 'show',
      name: 'Show question',
      item: 'checks.show',
      perTest: published(1, carTest),
      tries: commonPractice(2),
    },
  ],
  briefing: [
    documents,
    ridersOfAge,
    eyesight,
    askedAtRest(['checks.tell'], 'One safety check, explained with the engine off.'),
    cockpitDrill(categories, 'doors'),
  ],
  endings: usualEndings,
  options: [
    settled(
      'signal-need',
      'not-needed',
      'A signal is a message; with nobody there, leaving it out shows that the learner looked.',
    ),
    settled('stop-hold', 'full-stop', 'The wheels standing still is what the rule asks for.'),
    settled('emergency-footwork', 'together', 'Clutch first takes the engine braking away just when it helps.'),
    settled('reverse-look', 'mirrors', 'Mirrors are fine as long as the looks go all round, over and over.'),
    settled('shunt', 'costs', 'Allowed, but the first line was not good enough.', {
      free: [{ kind: 'grades', item: 'reversing.shunt', grades: ['serious', 'dangerous'] }],
    }),
    settled('control-form', 'ignored', 'Noise and order of gears change nothing for anybody on the road.'),
    settled('handbrake-stops', 'helps', 'Advice only: it proves the stop, no more.'),
    settled('horn', 'warn', 'A short warning where it helps is good driving.'),
  ],
};
