import { readSample, type Sample, type SentSample } from './sample';

/** Samples wait this long for those that come late, in milliseconds of the clock of the car (house default). */
export const settleMs = 200;
/** Two samples this far apart have a gap between them: what happened in it is not judged (house default). */
export const gapMs = 500;
/** A time this far ahead of the last one is taken for nonsense until others agree with it (house default). */
const strayMs = 10 * 60_000;
/** So many samples in a row have to agree, each within a second of the one before. */
const agreeing = 20;

/** What becomes of samples as they come. */
export type Taken =
  | { readonly kind: 'sample'; readonly sample: Sample; readonly before: Sample | undefined }
  | { readonly kind: 'gap'; readonly from: number; readonly to: number };

/** What was left out. */
export interface LeftOut {
  /** Without a time, or with one that cannot be. */
  readonly untimed: number;
  /** At the same moment as one before. */
  readonly doubled: number;
  /** Behind others by more than the wait. */
  readonly late: number;
}

export interface Intake {
  readonly take: (sent: SentSample) => readonly Taken[];
  /** Lets go of what still waits. */
  readonly end: () => readonly Taken[];
  readonly leftOut: () => LeftOut;
  /** The first and the last moment that was let go of; undefined before the first. */
  readonly span: () => { readonly from: number; readonly to: number } | undefined;
}

/**
 * Puts samples in order as they come: held for 200 ms of the car's clock so that one that comes late finds its place, the
 * second of one moment left out, nonsense left out, and gaps said. Each sample comes with the one before it, unless a gap
 * lies between.
 */
export function startIntake(): Intake {
  const waiting: Sample[] = [];
  let last: Sample | undefined;
  let first: Sample | undefined;
  let newest: number | undefined;
  let strays: number[] = [];
  const leftOut = { untimed: 0, doubled: 0, late: 0 };

  function isStray(at: number): boolean {
    if (newest === undefined || at - newest < strayMs) {
      strays = [];
      return false;
    }
    const agrees = strays.length > 0 && Math.abs(at - strays.at(-1)!) <= 1000;
    strays = agrees ? [...strays, at] : [at];
    if (strays.length < agreeing) return true;
    strays = [];
    return false;
  }

  function release(until: number): readonly Taken[] {
    const taken: Taken[] = [];
    while (waiting.length > 0 && waiting[0]!.at <= until) {
      const sample = waiting.shift()!;
      const apart = last && sample.at - last.at > gapMs;
      if (apart) taken.push({ kind: 'gap', from: last!.at, to: sample.at });
      taken.push({ kind: 'sample', sample, before: apart ? undefined : last });
      last = sample;
      first ??= sample;
    }
    return taken;
  }

  return {
    take(sent) {
      const sample = readSample(sent);
      if (!sample || isStray(sample.at)) {
        leftOut.untimed++;
        return [];
      }
      if (last && sample.at < last.at) {
        leftOut.late++;
        return [];
      }
      const place = waiting.findLastIndex(({ at }) => at <= sample.at);
      if (waiting[place]?.at === sample.at || last?.at === sample.at) {
        leftOut.doubled++;
        return [];
      }
      waiting.splice(place + 1, 0, sample);
      newest = Math.max(newest ?? sample.at, sample.at);
      return release(newest - settleMs);
    },
    end: () => release(Infinity),
    leftOut: () => leftOut,
    span: () => first && last && { from: first.at, to: last.at },
  };
}
