/** What the sensors of a car in a yard say, one sample after another. */

export const gears = ['P', 'R', 'N', 'D', '1', '2', '3', '4', '5', '6', '7', '8'] as const;
export type Gear = (typeof gears)[number];
export const indicators = ['off', 'left', 'right', 'both'] as const;
export type Indicator = (typeof indicators)[number];

/** One moment. A channel that is missing, or says what cannot be, is left out; the rest of the sample stands. */
export interface Sample {
  /** Milliseconds of the clock of the car, which never jumps. */
  readonly at: number;
  /** km/h, below 0 backwards. */
  readonly speed?: number;
  /** Revolutions of the engine a minute. */
  readonly rpm?: number;
  readonly gear?: Gear;
  /** How far the pedal is down, from 0 to 1. */
  readonly clutch?: number;
  readonly brake?: number;
  /** Whether it is on. */
  readonly parkingBrake?: boolean;
  /** Degrees of the steering wheel, to the right of straight ahead. */
  readonly steering?: number;
  readonly indicator?: Indicator;
  /** Whether the driver's is fastened. */
  readonly belt?: boolean;
  /** Whether one is open. */
  readonly door?: boolean;
  /** Whether it runs. */
  readonly engine?: boolean;
  /** Centimetres the car has rolled back since it stood. */
  readonly rollBack?: number;
  /** Metres from the corner of the yard. */
  readonly x?: number;
  readonly y?: number;
  /** Where the car points, in degrees to the left of the x of its position. */
  readonly heading?: number;
  /** The exercise in whose part of the yard the car is, by its code; empty between them. */
  readonly zone?: string;
  /** How much of the car is inside the bay, from 0 to 1. */
  readonly inside?: number;
  /** Whether a wheel is on a line, or the body against a pole or barrier. */
  readonly line?: boolean;
  readonly pole?: boolean;
  /** Whether the tone sounds that asks for a stop. */
  readonly tone?: boolean;
}

export type Channel = Exclude<keyof Sample, 'at'>;

type Kind =
  | { readonly kind: 'number'; readonly unit: string; readonly least: number; readonly most: number }
  | { readonly kind: 'flag' }
  | { readonly kind: 'choice'; readonly of: readonly string[] }
  | { readonly kind: 'text'; readonly most: number };

const number = (unit: string, least: number, most: number): Kind => ({ kind: 'number', unit, least, most });
const flag: Kind = { kind: 'flag' };

/** Every channel with what it can hold; a number outside its bounds is no reading. */
export const channels: Readonly<Record<Channel, Kind>> = {
  speed: number('km/h', -60, 200),
  rpm: number('rpm', 0, 12_000),
  gear: { kind: 'choice', of: gears },
  clutch: number('', 0, 1),
  brake: number('', 0, 1),
  parkingBrake: flag,
  steering: number('degrees', -1200, 1200),
  indicator: { kind: 'choice', of: indicators },
  belt: flag,
  door: flag,
  engine: flag,
  rollBack: number('cm', 0, 2000),
  x: number('m', -1000, 1000),
  y: number('m', -1000, 1000),
  heading: number('degrees', -360, 360),
  zone: { kind: 'text', most: 200 },
  inside: number('', 0, 1),
  line: flag,
  pole: flag,
  tone: flag,
};

export const channelNames = Object.keys(channels) as readonly Channel[];

/** A sample as somebody sends it: anything may stand in it. */
export type SentSample = Readonly<Partial<Record<keyof Sample, unknown>>>;

/**
 * A sample of what was sent, without channels that say what cannot be.
 * @returns undefined where it has no time
 */
export function readSample(sent: SentSample): Sample | undefined {
  const { at } = sent;
  if (typeof at !== 'number' || !Number.isFinite(at) || at < 0) return undefined;
  const sample: Record<string, unknown> = { at };
  for (const name of channelNames) if (isReading(channels[name], sent[name])) sample[name] = sent[name];
  return sample as unknown as Sample;
}

function isReading(kind: Kind, value: unknown): boolean {
  switch (kind.kind) {
    case 'number':
      return typeof value === 'number' && value >= kind.least && value <= kind.most;
    case 'flag':
      return typeof value === 'boolean';
    case 'choice':
      return typeof value === 'string' && kind.of.includes(value);
    case 'text':
      return typeof value === 'string' && value.length <= kind.most;
  }
}
