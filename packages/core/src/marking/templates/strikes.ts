import { commonPractice, houseDefault } from '../provenance';
import type { Category, ErrorClass, Limit, Standard } from '../standard';
import { cockpitDrill, documents, eyesight, outsideCheck, usualEndings } from '../template-parts/briefing-steps';
import { settled } from '../template-parts/disputed';
import { withItems } from '../template-parts/exercise-items';
import { each, fromCatalogue, itemFor } from '../template-parts/from-catalogue';

const classes: readonly ErrorClass[] = [
  { code: 'observation', name: 'Observation checks' },
  { code: 'signalling', name: 'Signalling' },
  { code: 'speed', name: 'Speed' },
  { code: 'line', name: 'Line and lane' },
  { code: 'handling', name: 'Handling the car' },
  { code: 'rules', name: 'Rules and priority' },
];

const of = (name: string) => ({ class: name });

const allowance = (code: string, name: string, allowed: Limit['allowed']): Limit => ({
  code: `class-${code}`,
  name,
  scope: { kind: 'class', class: code },
  measure: { kind: 'count', grades: ['strike'] },
  allowed,
  effect: { kind: 'fail-test' },
});

const categories: readonly Category[] = [
  fromCatalogue('moving-off', [
    ...each(['observation', 'blind-spot'], of('observation')),
    ['signal', of('signalling')],
    ['timing', of('rules')],
    ...each(['control', 'hill'], of('handling')),
  ]),
  fromCatalogue(
    'mirrors',
    each(['before-signal', 'before-direction', 'before-speed', 'blind-spot', 'rolling'], of('observation')),
  ),
  fromCatalogue('signals', each(['missed', 'timing', 'misleading', 'cancelling'], of('signalling'))),
  fromCatalogue(
    'controls',
    each(['clutch', 'footbrake', 'gears', 'parking-brake', 'steering', 'stalled', 'lights'], of('handling')),
  ),
  {
    ...fromCatalogue('position', []),
    items: [
      ...fromCatalogue('position', each(['normal', 'lanes', 'lane-change', 'bends', 'own-side', 'one-way'], of('line')))
        .items,
      itemFor('position.near-side', 'position.normal', {
        ...of('line'),
        letter: 'E',
        name: 'Keeping to the right',
      }),
    ],
  },
  fromCatalogue('speed', each(['limit', 'conditions', 'school-zone', 'slow', 'hesitation'], of('speed'))),
  fromCatalogue('junctions', [
    ['approach', of('speed')],
    ['observation', of('observation')],
    ...each(['giving-way', 'stop-line', 'arrival-order'], of('rules')),
    ['turn-across', { ...of('line'), name: 'Left turn across traffic' }],
    ['turn-near', { ...of('line'), name: 'Right turn' }],
    ['cutting', of('line')],
  ]),
  fromCatalogue('roundabouts', [
    ['approach', of('speed')],
    ['giving-way', of('rules')],
    ...each(['lane', 'exit'], of('line')),
    ['signal', of('signalling')],
  ]),
  fromCatalogue('signs', each(['lights', 'amber', 'signs', 'markings', 'controllers', 'railway'], of('rules'))),
  fromCatalogue('fast-roads', [['joining', of('speed')], ...each(['lane', 'overtaking', 'leaving'], of('line'))]),
  fromCatalogue('clearance', [
    ...each(['parked', 'vulnerable', 'following'], of('line')),
    ['queue', { ...of('line'), name: 'Half a car’s gap when stopped behind another' }],
  ]),
  fromCatalogue('meeting', each(['holding-back', 'crossing-path'], of('rules'))),
  fromCatalogue('crossings', [
    ['approach', of('speed')],
    ...each(['precedence', 'blocking', 'side-road'], of('rules')),
  ]),
  fromCatalogue('stopping', [
    ...each(['place', 'control', 'securing'], of('handling')),
    ...each(['preparing', 'doors'], of('observation')),
  ]),
  fromCatalogue('reversing', [
    ...each(['observation', 'looking-back', 'waiting'], of('observation')),
    ...each(['control', 'accuracy', 'contact'], of('handling')),
  ]),
];

/** Each class of error has an allowance of its own; one strike more fails. */
export const strikes: Standard = {
  id: 'strikes',
  version: 5,
  name: 'Strikes',
  summary: 'Errors are sorted into classes, each with its own allowance; one strike beyond any of them fails.',
  trafficSide: 'right',
  units: 'metric',
  length: { totalMin: houseDefault(45, 'A usual length; set it to what your authority drives.') },
  grades: [
    {
      code: 'strike',
      name: 'strike',
      plural: 'strikes',
      short: 'strike',
      sign: 'counted',
      meaning: 'Uses up one of the allowance of its class.',
    },
    {
      code: 'critical',
      name: 'critical error',
      plural: 'critical errors',
      short: 'critical',
      sign: 'outright',
      meaning: 'Endangered somebody or had to be prevented: fails at once.',
    },
  ],
  classes,
  categories,
  limits: [
    allowance('observation', 'Missed observation checks', commonPractice(2, 'Two are allowed, the third fails.')),
    allowance('signalling', 'Signalling strikes', houseDefault(3, 'A little more than for looking.')),
    allowance('speed', 'Speed strikes', houseDefault(2, 'As strict as for looking.')),
    allowance('line', 'Line and lane strikes', houseDefault(3, 'A little more than for looking.')),
    allowance('handling', 'Handling strikes', houseDefault(4, 'The mildest class: it endangers least.')),
    allowance('rules', 'Rules and priority strikes', houseDefault(1, 'Once can be a misreading, twice is not.')),
    {
      code: 'critical',
      name: 'Critical errors',
      scope: { kind: 'test' },
      measure: { kind: 'count', grades: ['critical'] },
      allowed: houseDefault(0, 'What had to be prevented is not allowed even once.'),
      effect: { kind: 'fail-test' },
    },
  ],
  caps: [],
  requirements: [
    { kind: 'driving-time', atLeastMin: houseDefault(30, 'A shorter drive says too little to stand for a test.') },
  ],
  exercises: withItems(categories, [
    { code: 'bay', name: 'Bay park', task: 'Park in a marked bay and leave it again.' },
    { code: 'parallel-park', name: 'Parallel park', task: 'Park beside the kerb in reverse.' },
  ]),
  questions: [],
  briefing: [documents, eyesight, outsideCheck, cockpitDrill(categories, 'seat')],
  endings: usualEndings,
  options: [
    settled('signal-need', 'always', 'This standard requires a signal for every move.'),
    settled('stop-hold', 'full-stop', 'The wheels standing still is what the rule asks for.'),
    settled('reverse-look', 'look-back', 'A reverse without turning round counts as a missed check.'),
    settled('control-form', 'ignored', 'Noise and order of gears change nothing for anybody on the road.'),
    settled('horn', 'warn', 'A short warning where it helps is good driving.'),
  ],
};
