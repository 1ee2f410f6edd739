import { gapMs, type Taken } from './intake';
import { channelNames, type Channel, type Sample } from './sample';
import { thresholds } from './signs';

/** A sample with what was last said of the channels that it leaves out, for as long as that is fresh. */
export interface Moment extends Sample {
  /** Which way the car goes: 1 forward, -1 backwards, 0 standing. */
  readonly way: -1 | 0 | 1;
}

/** A moment and the one before it, which is undefined after a gap. */
export interface Step {
  readonly now: Moment;
  readonly before: Moment | undefined;
}

/** Makes moments of samples: a channel that is missing for less than a gap keeps its last reading. */
export function startMoments(): (taken: Extract<Taken, { readonly kind: 'sample' }>) => Step {
  const said = new Map<Channel, { readonly at: number; readonly value: unknown }>();
  let last: Moment | undefined;
  return ({ sample, before: continued }) => {
    if (!continued) said.clear();
    const before = continued && last;
    const full: Record<string, unknown> = { at: sample.at };
    for (const name of channelNames) {
      if (sample[name] !== undefined) said.set(name, { at: sample.at, value: sample[name] });
      const known = said.get(name);
      if (known && sample.at - known.at <= gapMs) full[name] = known.value;
    }
    const now = { ...full, way: wayOf(full['speed'] as number | undefined) } as Moment;
    last = now;
    return { now, before };
  };
}

const wayOf = (speed = 0): Moment['way'] => (Math.abs(speed) < thresholds.standing ? 0 : speed > 0 ? 1 : -1);
