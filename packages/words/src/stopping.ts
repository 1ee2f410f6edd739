import type { Surface } from '@jasperwren/motion/stopping/road';
import { wordsOf } from './words';

export const resource = {
  yard: 'Yard',
  stopping: 'Stopping and seeing',
  stoppingWhy: 'How far a car goes before it stands, and what that means at lights, junctions and bends.',
  caution:
    'Computed for one car and an alert driver. Real distances are longer with loads, worn tyres or tiredness: leave more room than this says.',
  speed: 'Speed',
  unit: 'Unit',
  mph: 'mph',
  kmh: 'km/h',
  speedIn: '{{speed}} {{unit}}',
  reaction: 'Reaction time (s)',
  surface: 'Road',
  dry: 'dry',
  wet: 'wet',
  'wet-worn': 'wet, worn tyres',
  ice: 'icy',
  aRoad: 'a {{surface}} road',
  anIcyRoad: 'an {{surface}} road',
  clutchFirst: 'Clutch before brake (s)',
  answer:
    'At {{speed}} on {{road}} the car goes {{total}} before it stands: {{thinking}} thinking, {{braking}} braking.',
  answerClutch:
    'At {{speed}} on {{road}} the car goes {{total}} before it stands: {{thinking}} thinking, {{clutch}} rolling with the clutch down, {{braking}} braking.',
  clutchCosts: 'Pressing the clutch first costs {{clutch}}: where the car would have stood, it still does {{speed}}.',
  source:
    'The table of The Highway Code, rule 126 (from memory): in feet, thinking is the speed in mph and braking its square by 20, which is 0.68 s and 6.56 m/s². Wet doubles the braking, ice makes it ten times as long (rules 227 and 230, from memory). Worn tyres and how briskly a car gets away are our own values.',
  thinking: 'Thinking',
  clutch: 'Clutch',
  braking: 'Braking',
  chart: 'Stopping distance by speed',
  distance: 'Distance (m)',
  signal: 'Signals and markers',
  signalAnswer: 'Five seconds of signalling at {{speed}} are {{metres}}; two seconds behind the car ahead are {{gap}}.',
  countdown:
    'At {{speed}} the countdown markers come {{first}}, {{second}} and {{third}} s before the slip road (300, 200 and 100 yards).',
  amber: 'Amber',
  amberS: 'Amber shows for (s)',
  junctionM: 'Width of the junction (m)',
  amberStop: 'From {{stop}} before the line or further away, stop.',
  amberNeither:
    'Between {{from}} and {{to}} before the line neither works: too near to stop firmly, too far to be across before red. Slow down on the way in.',
  amberEither: 'Between {{from}} and {{to}} before the line both work: stop if you safely can.',
  amberSource:
    'With the reaction time and road above, braking firmly at {{braking}} m/s². Gazis, Herman and Maradudin, Operations Research 8 (1960).',
  junction: 'Gap at a junction',
  traffic: 'Speed of the traffic ({{unit}})',
  crossing: 'Crossing',
  joining: 'Joining',
  gapAnswer: '{{how}} needs a gap of {{seconds}} s: traffic at {{speed}} has to be {{metres}} away.',
  bend: 'Blind bend',
  radius: 'Radius of the bend (m)',
  hedge: 'To the hedge or wall (m)',
  single: 'Too narrow for two cars',
  bendAnswer: 'You see {{sight}}. You can stop within that, steering round, from {{speed}} at most.',
  bendHalf: 'You see {{sight}}. Oncoming drivers need half of it: {{speed}} at most.',
  bendGrip: 'You see {{sight}}, far enough; the tyres hold the bend up to {{speed}}. Go slower than that.',
  neverStands:
    'At {{speed}} on {{road}} this steep the car does not come to stand: the tyres do not hold it on the slope.',
  amberNever: 'On this road the car does not stop at the line from anywhere.',
  noGettingAway: 'On this road the car does not get away: there is no gap that is enough.',
  slope: 'Slope (%)',
  slopeUp: '{{slope}} % up',
  slopeDown: '{{slope}} % down',
  level: 'level',
  inBoth: '{{metres}} m ({{feet}} ft)',
  inMetres: '{{metres}} m',
  ofCar: 'Length of the car (m)',
  away: 'Getting away (m/s²)',
  across: 'Width to cross (m)',
  bendWide: 'The hedge is further away than the bend is tight: the bend is not blind.',
} as const;

export const t = wordsOf('stopping', resource);

/** As in a sentence, with its article. */
export const onSurface = (surface: Surface): string =>
  t(surface === 'ice' ? 'anIcyRoad' : 'aRoad', { surface: t(surface) });

export const surfaceName = (surface: Surface): string => t(surface);
