import type { Fix } from '@jasperwren/roads/traces/fix';
import { metresBetween } from '@jasperwren/roads/geometry';
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
/** Slower is standing, in metres a second: over so many milliseconds. */
const standing = 0.8;
const overMs = 4000;
/** Nobody touches a button in the moment: so many milliseconds late, or early. */
const slackMs = 4000;

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
  if (moments.length < 3 || fixes.length < 2) return undefined;
  const stood = standingSums(fixes);
  const agreeing = (offset: number) => moments.filter(({ at, stands }) => stood(at - offset) === stands).length;
  const start = fixes[0]!.at;
  const guess = moments[0]!.at - start;
  // A coarse look over all that overlaps, then a fine one.
  const fits = (offsets: readonly number[]) => {
    const counts = offsets.map((offset) => [offset, agreeing(offset)] as const);
    const most = Math.max(...counts.map(([, count]) => count));
    return { most, best: counts.filter(([, count]) => count === most).map(([offset]) => offset) };
  };
  const length = fixes.at(-1)!.at - start;
  const reach = Math.min(mostMs, length + 2 * 60_000);
  const all: number[] = [];
  for (let offset = guess - reach; offset <= guess + reach; offset += 1000) all.push(Math.round(offset / 1000) * 1000);
  const { most, best } = fits(all.filter((offset) => Math.abs(offset) <= mostMs));
  if (best.length === 0 || most < Math.max(3, moments.length * 0.6)) return undefined;
  // The longest row of offsets that fit: its middle is the likeliest.
  const rows: number[][] = [];
  for (const offset of best) {
    const row = rows.at(-1);
    if (row && offset - row.at(-1)! <= 1000) row.push(offset);
    else rows.push([offset]);
  }
  const row = rows.reduce((a, b) => (b.length > a.length || (b.length === a.length && smaller(b, a)) ? b : a));
  const ms = Math.round((row[0]! + row.at(-1)!) / 2);
  return { ms, within: (row.at(-1)! - row[0]!) / 2 + 1000, agree: most, of: moments.length };
}

const smaller = (a: readonly number[], b: readonly number[]) => Math.abs(a[0]!) < Math.abs(b[0]!);

/** When the drive says that the car stood, and that it moved. */
function momentsOf(drive: Drive): readonly Moment[] {
  const found: Moment[] = [];
  const say = (atMs: number, stands: boolean) => found.push({ atMs, stands });
  const endMs = drive.ended?.atMs ?? drive.lastMs;
  for (const { fromMs, toMs } of drive.pauses) {
    if (toMs === undefined) continue;
    for (let at = fromMs + slackMs; at < toMs - slackMs; at += 5000) say(at, true);
    say(toMs + 3 * slackMs, false);
  }
  for (const { step, atMs } of drive.steps) {
    if (step === 'pull-up') {
      say(atMs + slackMs, true);
      say(atMs - 4 * slackMs, false);
    }
    if (step === 'move-off') say(atMs + 3 * slackMs, false);
  }
  say((drive.movedOffMs ?? 0) + 3 * slackMs, false);
  if (drive.ended) say(endMs + slackMs, true);
  return found.sort((a, b) => a.atMs - b.atMs);
}

/** Tells whether the car stood at a moment; outside the trace it did. */
function standingSums(fixes: readonly Fix[]): (at: number) => boolean {
  const first = fixes[0]!.at;
  const seconds = Math.ceil((fixes.at(-1)!.at - first) / 1000) + 1;
  const stands = new Uint8Array(seconds).fill(1);
  let k = 0;
  for (let i = 0; i < fixes.length; i++) {
    while (fixes[i]!.at - fixes[k]!.at > overMs) k++;
    const [a, b] = [fixes[k]!, fixes[i]!];
    if (i === k) continue;
    const speed = b.speed ?? metresBetween(a.lat, a.lon, b.lat, b.lon) / Math.max(1, (b.at - a.at) / 1000);
    if (speed >= standing * (b.speed === undefined ? noiseFactor : 1)) {
      const [from, to] = [a, b].map(({ at }) => Math.floor((at - first) / 1000)) as [number, number];
      for (let s = from; s <= to; s++) stands[s] = 0;
    }
  }
  return (at) => {
    const second = Math.floor((at - first) / 1000);
    return second < 0 || second >= seconds || stands[second] === 1;
  };
}

/** A position that wanders about a car that stands looks like a slow walk. */
const noiseFactor = 3;
