import type { Fix } from '@jasperwren/roads/traces/fix';
import { metresBetween, type Place } from '@jasperwren/roads/geometry';
import type { Drive } from '../drive/drive';
import type { DriveEvent } from '../drive/event';

/** When the clock of a drive stood at 0, in milliseconds since 1970: the middle of what its events say. */
export function zeroOf(events: readonly DriveEvent[]): number {
  const moving = events.filter(({ atMs }) => atMs > 0);
  const zeros = (moving.length > 0 ? moving : events)
    .map(({ wall, atMs }) => Date.parse(wall) - atMs)
    .sort((a, b) => a - b);
  return zeros[zeros.length >> 1] ?? 0;
}

/** What has to be added to the times of a trace so that they are those of the drive. */
export interface ClockOffset {
  readonly ms: number;
  /** Other offsets fit as well, up to so many milliseconds off. */
  readonly within: number;
  /** How many of the moments of the drive at which the car moved off, pulled up or stood agree with the trace, and of how many. */
  readonly agree: number;
  readonly of: number;
}

/** Clocks are taken to differ by no more than this: a time zone on either side of the date line. */
const mostMs = 14 * 60 * 60 * 1000;
/**
 * A car stands whose positions of some seconds before a moment and of some seconds after it have their middles no farther apart
 * than this, in metres: positions of one that stands wander.
 */
const standing = 14;
const nearMs = 3000;
const farMs = 8000;

/** Nobody touches a button in the moment: so many milliseconds late, or early. */
const slackMs = 4000;

/** So long after it moved off, and before it pulled up, a car moves, in milliseconds. */
const movingMs = [12_000, 18_000];

/** A moment at which the drive says whether the car stood or moved. */
interface Moment {
  readonly atMs: number;
  readonly stands: boolean;
}

/**
 * How far the clock of a logger is off, by when the car stood and when it moved: the offset under which most of what the drive
 * says of that agrees with the trace, and of equals the smallest.
 * @param fixes cleaned, of one drive
 * @returns undefined where the drive says too little
 */
export function clockOffset(fixes: readonly Fix[], drive: Drive, zeroMs: number): ClockOffset | undefined {
  const moments = momentsOf(drive).map(({ atMs, stands }) => ({ at: zeroMs + atMs, stands }));
  if (moments.length < leastMoments || fixes.length < 2) return undefined;
  const stood = standingSums(fixes);
  const agreeing = (offset: number) => moments.filter(({ at, stands }) => stood(at - offset) === stands).length;
  const start = fixes[0]!.at;
  const guess = moments[0]!.at - start;
  // A coarse look over all that overlaps, then a fine one.
  const fits = (offsets: readonly number[]) => {
    const counts = offsets.map((offset) => [offset, agreeing(offset) - unlikely(offset)] as const);
    const most = Math.max(...counts.map(([, count]) => count));
    return { most, best: counts.filter(([, count]) => count === most).map(([offset]) => offset) };
  };
  const length = fixes.at(-1)!.at - start;
  const reach = Math.min(mostMs, length + 2 * 60_000);
  const all: number[] = [];
  for (let offset = guess - reach; offset <= guess + reach; offset += 1000) all.push(Math.round(offset / 1000) * 1000);
  const { most, best } = fits(all.filter((offset) => Math.abs(offset) <= mostMs));
  if (best.length === 0 || most < moments.length * leastAgree) return undefined;
  // The longest row of offsets that fit: its middle is the likeliest.
  const rows: number[][] = [];
  for (const offset of best) {
    const row = rows.at(-1);
    if (row && offset - row.at(-1)! <= 1000) row.push(offset);
    else rows.push([offset]);
  }
  const row = rows.reduce((a, b) => (b.length > a.length || (b.length === a.length && smaller(b, a)) ? b : a));
  const ms = Math.round((row[0]! + row.at(-1)!) / 2);
  return { ms, within: (row.at(-1)! - row[0]!) / 2 + 1000, agree: agreeing(ms), of: moments.length };
}

/** A drive with fewer moments at which it says whether the car stood tells nothing. */
const leastMoments = 6;
/** Less agreement than this, as a share, tells nothing. */
const leastAgree = 0.75;

/**
 * What speaks against an offset: clocks are seconds or minutes off, whole time zones apart from that. Less than one moment, in
 * whole steps, so that offsets side by side stay alike.
 */
function unlikely(offset: number): number {
  const zone = 30 * 60_000;
  const beyond = Math.abs(offset - Math.round(offset / zone) * zone) / 60_000;
  return (Math.min(9, Math.floor(beyond)) + (Math.abs(offset) > zone / 2 ? 1 : 0)) / 11;
}

const smaller = (a: readonly number[], b: readonly number[]) => Math.abs(a[0]!) < Math.abs(b[0]!);

/** When the drive says that the car stood, and that it moved. */
function momentsOf(drive: Drive): readonly Moment[] {
  const found: Moment[] = [];
  const say = (atMs: number, stands: boolean) => found.push({ atMs, stands });
  const endMs = drive.ended?.atMs ?? drive.lastMs;
  const stood = (fromMs: number, toMs: number) => {
    for (let at = fromMs + slackMs; at < toMs - slackMs; at += 5000) say(at, true);
    for (const later of movingMs) say(toMs + later, false);
  };
  for (const { fromMs, toMs } of drive.pauses) if (toMs !== undefined) stood(fromMs, toMs);
  const steps = drive.steps.filter(({ step }) => step === 'pull-up' || step === 'move-off');
  steps.forEach(({ step, atMs }, i) => {
    if (step !== 'pull-up') return;
    for (const earlier of movingMs) say(atMs - earlier - slackMs, false);
    const next = steps[i + 1];
    if (next?.step === 'move-off') stood(atMs, next.atMs);
    else say(atMs + slackMs, true);
  });
  for (const later of movingMs) say((drive.movedOffMs ?? 0) + later, false);
  if (drive.ended) say(endMs + slackMs, true);
  return found.sort((a, b) => a.atMs - b.atMs);
}

/** Tells whether the car stood at a moment; outside the trace it did. */
function standingSums(fixes: readonly Fix[]): (at: number) => boolean {
  const first = fixes[0]!.at;
  const seconds = Math.ceil((fixes.at(-1)!.at - first) / 1000) + 1;
  const stands = new Uint8Array(seconds).fill(1);
  const before = windowOf(fixes);
  const after = windowOf(fixes);
  for (let second = 0; second < seconds; second++) {
    const at = first + second * 1000;
    const [a, b] = [before(at - farMs, at - nearMs), after(at + nearMs, at + farMs)];
    if (a && b && metresBetween(a.lat, a.lon, b.lat, b.lon) > standing) stands[second] = 0;
  }
  return (at) => {
    const second = Math.floor((at - first) / 1000);
    return second < 0 || second >= seconds || stands[second] === 1;
  };
}

/** Gives the middle of the fixes between two moments; asked for later and later moments. */
function windowOf(fixes: readonly Fix[]): (from: number, to: number) => Place | undefined {
  let low = 0;
  return (from, to) => {
    while (low < fixes.length && fixes[low]!.at < from) low++;
    let [lat, lon, count] = [0, 0, 0];
    for (let i = low; i < fixes.length && fixes[i]!.at <= to; i++) {
      lat += fixes[i]!.lat;
      lon += fixes[i]!.lon;
      count++;
    }
    return count > 0 ? { lat: lat / count, lon: lon / count } : undefined;
  };
}
