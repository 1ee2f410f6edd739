import type { Surface } from '@jasperwren/motion/stopping/stopping';
import { wordsOf } from './words';

export const resource = {
  yard: 'Yard',
  stopping: 'Stopping and seeing',
  stoppingWhy: 'How far a car goes before it stands, and what that means at lights, junctions and bends.',
  caution:
    'Computed for a level road and an alert driver. Real distances are longer with loads, worn tyres or tiredness: leave more room than this says.',
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
  ice: 'ice',
  clutchFirst: 'Clutch before brake (s)',
  answer:
    'At {{speed}} on a {{surface}} road the car goes {{total}} m before it stands: {{thinking}} m thinking, {{braking}} m braking.',
  answerClutch:
    'At {{speed}} on a {{surface}} road the car goes {{total}} m before it stands: {{thinking}} m thinking, {{clutch}} m rolling with the clutch down, {{braking}} m braking.',
  clutchCosts: 'Pressing the clutch first costs {{clutch}} m: where the car would have stood, it still does {{speed}}.',
  source:
    'Reaction 0.67 s and braking at 6.57 m/s² are the figures behind the table of The Highway Code, rule 126 (from memory). Wet doubles the braking, ice makes it ten times as long (rules 227 and 230, from memory); worn tyres are common practice.',
  thinking: 'Thinking',
  clutch: 'Clutch',
  braking: 'Braking',
  chart: 'Stopping distance by speed',
  distance: 'Distance (m)',
  signal: 'Signals and markers',
  signalAnswer:
    'Five seconds of signalling at {{speed}} are {{metres}} m; two seconds behind the car ahead are {{gap}} m.',
  countdown:
    'At {{speed}} the countdown markers come {{first}}, {{second}} and {{third}} s before the slip road (300, 200 and 100 yards).',
  amber: 'Amber',
  amberS: 'Amber shows for (s)',
  junctionM: 'Width of the junction (m)',
  amberStop: 'From {{stop}} m before the line or further away, stop.',
  amberNeither:
    'Between {{from}} and {{to}} m before the line neither works: too near to stop firmly, too far to be across before red. Slow down on the way in.',
  amberEither: 'Between {{from}} and {{to}} m before the line both work: stop if you safely can.',
  amberSource: 'Firm braking of 3.5 m/s², 0.9 s to react. Gazis, Herman and Maradudin, Operations Research 8 (1960).',
  junction: 'Gap at a junction',
  traffic: 'Speed of the traffic ({{unit}})',
  crossing: 'Crossing',
  joining: 'Joining',
  gapAnswer: '{{how}} needs a gap of {{seconds}} s: traffic at {{speed}} has to be {{metres}} m away.',
  bend: 'Blind bend',
  radius: 'Radius of the bend (m)',
  hedge: 'To the hedge or wall (m)',
  single: 'Too narrow for two cars',
  bendAnswer: 'You see {{sight}} m. You can stop within that from {{speed}} at most.',
  bendHalf: 'You see {{sight}} m. Oncoming drivers need half of it: {{speed}} at most.',
  bendWide: 'The hedge is further away than the bend is tight: the bend is not blind.',
} as const;

export const t = wordsOf('stopping', resource);

export const surfaceName = (surface: Surface): string => t(surface);
