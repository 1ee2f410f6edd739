import { metresBetween, type Place } from '../geometry';

/** Where a device was at a moment. */
export interface Fix extends Place {
  /** Milliseconds since 1970 in UTC, or since any moment that is the same for the whole trace. */
  readonly at: number;
  /** Radius in metres in which the device believes itself to be. */
  readonly accuracy?: number;
  /** Metres a second, as the device measured them. */
  readonly speed?: number;
}

/** What was left out of a trace, by what was wrong with it. */
export interface LeftOut {
  /** Without a time. */
  readonly untimed: number;
  /** Not on Earth, or at 0/0, where devices that know nothing say they are. */
  readonly nowhere: number;
  /** A second fix of the same moment. */
  readonly doubled: number;
  /** Farther away than a car can have come. */
  readonly jumped: number;
}

export interface CleanTrace {
  /** In the order of their times. */
  readonly fixes: readonly Fix[];
  readonly leftOut: LeftOut;
  /** How many were not in the order of their times; they were sorted in. */
  readonly outOfOrder: number;
}

/** No car drives faster, in metres a second, and no fix is farther off by mistake, in metres. */
const fastest = 70;
const off = 60;
/** So many fixes that agree with each other are believed against those before. */
const believed = 4;

/**
 * A trace that can be used: sorted by time, without what cannot be true. Of fixes that contradict each other those are
 * believed that more of their neighbours agree with.
 */
export function cleanFixes(given: readonly Fix[]): CleanTrace {
  const leftOut = { untimed: 0, nowhere: 0, doubled: 0, jumped: 0 };
  const sound = given.filter((fix) => {
    const fault = faultOf(fix);
    if (fault) leftOut[fault]++;
    return !fault;
  });
  let outOfOrder = 0;
  let latest = -Infinity;
  for (const { at } of sound) {
    if (at < latest) outOfOrder++;
    else latest = at;
  }
  const sorted = outOfOrder > 0 ? sound.toSorted((a, b) => a.at - b.at) : sound;
  const once = sorted.filter(({ at }, i) => i === 0 || sorted[i - 1]!.at !== at);
  leftOut.doubled = sorted.length - once.length;
  const fixes = withoutJumps(once);
  leftOut.jumped = once.length - fixes.length;
  return { fixes, leftOut, outOfOrder };
}

function faultOf({ at, lat, lon }: Fix): 'untimed' | 'nowhere' | undefined {
  if (!Number.isFinite(at)) return 'untimed';
  if (!(Math.abs(lat) <= 90 && Math.abs(lon) <= 180) || (lat === 0 && lon === 0)) return 'nowhere';
  return undefined;
}

/** Splits a trace wherever a car cannot have come from one fix to the next, and keeps the parts that hold together. */
function withoutJumps(fixes: readonly Fix[]): readonly Fix[] {
  const parts: Fix[][] = [];
  for (const fix of fixes) {
    // The latest part it can belong to: after a jump the trace goes on where it was before.
    const part = parts.slice(-believed).findLast((one) => reachable(one.at(-1)!, fix));
    if (part) part.push(fix);
    else parts.push([fix]);
  }
  const longest = Math.max(0, ...parts.map(({ length }) => length));
  const kept = parts.filter(({ length }) => length >= Math.min(believed, longest));
  return kept.length <= 1 ? (kept[0] ?? []) : kept.flat().sort((a, b) => a.at - b.at);
}

const reachable = (a: Fix, b: Fix) =>
  metresBetween(a.lat, a.lon, b.lat, b.lon) <= off + (fastest * (b.at - a.at)) / 1000;

/** A pause between fixes of so many minutes or more parts one drive from another. */
const partedByMinutes = 20;

/** The drives that one trace holds, in their order: a logger that nobody switches off writes for days. */
export function partsOfTrace(fixes: readonly Fix[]): readonly (readonly Fix[])[] {
  const parts: Fix[][] = [];
  for (const fix of fixes) {
    const part = parts.at(-1);
    if (part && fix.at - part.at(-1)!.at < partedByMinutes * 60_000) part.push(fix);
    else parts.push([fix]);
  }
  return parts;
}

/** No more than a fix in so many milliseconds: more tells nothing of a car. The first and the last stay. */
export function thinned(fixes: readonly Fix[], everyMs = 950): readonly Fix[] {
  let last = -Infinity;
  return fixes.filter(({ at }, i) => {
    if (at - last < everyMs && i < fixes.length - 1) return false;
    last = at;
    return true;
  });
}

/** A trace without its first and its last metres, where somebody lives. */
export function trimmed(fixes: readonly Fix[], startMetres: number, endMetres: number): readonly Fix[] {
  const from = walked(fixes, startMetres);
  const to = walked(fixes.toReversed(), endMetres);
  return from + to >= fixes.length ? [] : fixes.slice(from, fixes.length - to);
}

/** How many fixes lie within a circle round the first, up to the one that first leaves it. */
function walked(fixes: readonly Fix[], metres: number): number {
  if (metres <= 0) return 0;
  const [first] = fixes;
  const at = fixes.findIndex(({ lat, lon }) => metresBetween(first!.lat, first!.lon, lat, lon) > metres);
  return at < 0 ? fixes.length : at;
}
