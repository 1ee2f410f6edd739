import { commonPractice, fromMemory, type Sourced } from '../marking/provenance';

const constructionAndUse = 'Road Vehicles (Construction and Use) Regulations 1986 (Great Britain), regulation 27';
const highwayCode = (rule: number) => `The Highway Code (Great Britain), rule ${rule}`;

/** A number to know by heart: asked in the quick-fire set and named in the answers. */
export interface CheckNumber {
  readonly code: string;
  readonly ask: string;
  readonly value: Sourced;
  readonly unit: string;
  /** How it is written where the bare value would mislead, such as "three quarters". */
  readonly shown?: string;
  /** Plausible wrong answers, in the same unit. */
  readonly others: readonly [string, string, string];
}

const stopping = (limitMph: number, thinkingM: number, brakingM: number, others: CheckNumber['others']) => ({
  code: `stopping-${limitMph}`,
  ask: `Stopping distance at ${limitMph} mph, dry road, good tyres: thinking and braking together?`,
  value: fromMemory(thinkingM + brakingM, highwayCode(126)),
  unit: 'm',
  others,
});

/** The numbers of the safety checks, the eyesight and the road (each with where it comes from). */
export const checkNumbers = [
  {
    code: 'tread-depth',
    ask: 'Least tread depth of a car tyre?',
    value: fromMemory(1.6, constructionAndUse),
    unit: 'mm',
    others: ['1.0 mm', '2.6 mm', '3.0 mm'],
  },
  {
    code: 'tread-breadth',
    ask: 'Across how much of the breadth must the tread be deep enough?',
    value: fromMemory(0.75, constructionAndUse),
    unit: 'of the breadth',
    shown: 'the middle three quarters',
    others: ['the middle half', 'the outer third', 'the whole breadth'],
  },
  {
    code: 'rear-fog',
    ask: 'Rear fog lamps: from what visibility down?',
    value: fromMemory(100, highwayCode(226)),
    unit: 'm',
    others: ['50 m', '150 m', '200 m'],
  },
  {
    code: 'plate',
    ask: 'From how far must a number plate be read?',
    value: fromMemory(20, 'Motor Vehicles (Driving Licences) Regulations 1999 (Great Britain), schedule 8'),
    unit: 'm',
    others: ['10 m', '15 m', '30 m'],
  },
  {
    code: 'plate-wide',
    ask: 'And a number plate of the older, wider style?',
    value: fromMemory(20.5, 'Motor Vehicles (Driving Licences) Regulations 1999 (Great Britain), schedule 8'),
    unit: 'm',
    others: ['18 m', '22 m', '25 m'],
  },
  {
    code: 'main-beam',
    ask: 'Main beam only where nobody is nearer than?',
    value: commonPractice(150),
    unit: 'm',
    others: ['50 m', '80 m', '300 m'],
  },
  {
    code: 'mirror-car',
    ask: 'How much of the own car shows in a door mirror?',
    value: commonPractice(15),
    unit: '%',
    shown: '10 to 15 %',
    others: ['0 %', '30 %', '50 %'],
  },
  {
    code: 'mirror-interval',
    ask: 'A glance in the mirrors on a straight road: every how many seconds?',
    value: commonPractice(10),
    unit: 's',
    shown: '8 to 10 s',
    others: ['2 to 3 s', '20 to 25 s', '60 s'],
  },
  {
    code: 'amber',
    ask: 'How long does amber last before red?',
    value: fromMemory(3, 'traffic-signal practice in Great Britain'),
    unit: 's',
    others: ['1 s', '5 s', '8 s'],
  },
  {
    code: 'early',
    ask: 'How many minutes before the test should you be at the centre?',
    value: commonPractice(15),
    unit: 'min',
    others: ['2 min', '45 min', '60 min'],
  },
  stopping(20, 6, 6, ['6 m', '23 m', '36 m']),
  stopping(30, 9, 14, ['12 m', '36 m', '53 m']),
  stopping(40, 12, 24, ['23 m', '53 m', '73 m']),
  stopping(50, 15, 38, ['36 m', '73 m', '96 m']),
  stopping(60, 18, 55, ['53 m', '96 m', '110 m']),
  stopping(70, 21, 75, ['53 m', '73 m', '120 m']),
] as const satisfies readonly CheckNumber[];

/** How a number is written, unit included. */
export function numberWords({ value, unit, shown }: CheckNumber): string {
  return shown ?? `${value.value} ${unit}`;
}

/**
 * A number by its code, as it is written: numbers of the trade stand in this file and nowhere else.
 * @throws TypeError where there is no such number
 */
export function figure(code: string): string {
  return numberWords(checkNumbers.find((one) => one.code === code)!);
}
