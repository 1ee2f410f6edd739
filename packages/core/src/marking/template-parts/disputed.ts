import type { Choice, Setting, StandardOption } from '../standard';

/** Matters on which practitioners disagree, with the choices that are taught. */
const matters = {
  'signal-need': ['Signal with nobody to benefit', { 'not-needed': 'Not needed', always: 'Always' }],
  'stop-hold': [
    'Hold at a stop line',
    { 'full-stop': 'A full stop is enough', 'count-3': 'Count of 3', 'count-5': 'Count of 5' },
  ],
  'emergency-footwork': [
    'Emergency stop, manual gearbox',
    { together: 'Brake and clutch together, never clutch first', 'brake-first': 'Brake first, then clutch' },
  ],
  'reverse-look': [
    'Reversing by the mirrors',
    { mirrors: 'Fine, with looks all round', 'look-back': 'Must turn and look back for most of it' },
  ],
  shunt: ['Pulling forward to correct a reverse', { costs: 'Costs a fault each time', free: 'Free' }],
  'control-form': [
    'Parking-brake button held in, gears one by one',
    { ignored: 'Does not matter', matters: 'Matters' },
  ],
  'handbrake-stops': ['Parking brake at every stop', { helps: 'Only where it helps', every: 'Advised at every stop' }],
  horn: ['Sounding the horn', { warn: 'To test it and to warn', violation: 'Needless use is a fault' }],
  'yard-speed': ['Speed in the yard that fails', { 'over-34': 'Over 34 km/h', 'over-35': 'Over 35 km/h' }],
  'engine-stops': [
    'Engine stopped in the yard',
    { third: 'The third time fails', 'more-than-three': 'More than three fail' },
  ],
  'brake-speed': ['Speed for the emergency brake', { '20-30': '20 to 30 km/h', '20-25': '20 to 25 km/h' }],
  'rolling-brake': [
    'Parking brake while the car still rolls in',
    { counts: 'Counts a demerit', fails: 'Fails the exercise' },
  ],
  'finish-order': ['Finish out of order', { counts: 'Counts a demerit', fails: 'Fails the exercise' }],
  'a-line': [
    'Stopping with the front at the A line',
    { 'up-to': 'Up to the markers, never through, kept left', between: 'Between the markers' },
  ],
} as const satisfies Readonly<Record<string, readonly [name: string, choices: Readonly<Record<string, string>>]>>;

type Matter = keyof typeof matters;
type ChoiceOf<M extends Matter> = keyof (typeof matters)[M][1] & string;

/**
 * One of the disputed matters, settled for a template.
 * @param reason why the template settles it so
 * @param sets what each choice changes in the standard, where it changes a number
 */
export function settled<M extends Matter>(
  matter: M,
  chosen: ChoiceOf<M>,
  reason: string,
  sets: Partial<Readonly<Record<ChoiceOf<M>, readonly Setting[]>>> = {},
): StandardOption {
  const [name, choices] = matters[matter] as readonly [string, Readonly<Record<string, string>>];
  const listed = Object.entries(choices).map(([code, words]): Choice => {
    const changes = sets[code as ChoiceOf<M>];
    return { code, name: words, ...(changes && { sets: changes }) };
  });
  return { code: matter, name, choices: listed, chosen, reason };
}
