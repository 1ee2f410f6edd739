import { mostFixesInAPiece } from '@jasperwren/contract/batch';
import type { FixPiece } from '@jasperwren/contract/traces';
import type { SentFix } from '@jasperwren/contract/sent-fix';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { passesOf, type Pass } from '@jasperwren/core/places/passes';
import { readRoute } from '@jasperwren/core/routes/read-route';
import { between } from '@jasperwren/core/routes/along-line';
import { zeroOf } from '@jasperwren/core/traces/clock-offset';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { edgeMetres } from '@jasperwren/roads/graph/graph';
import type { Path } from '@jasperwren/roads/route/router';
import { clockOf, simulateTrace } from '@jasperwren/roads/traces/simulate';
import { v7 as newId } from 'uuid';
import type { PlannedDemo } from './demo-routes';

/** A way that is driven in the demo, with what it leads over. */
interface Way {
  readonly path: Path;
  readonly passes: readonly Pass[];
}

/** A fault is touched in up to so many seconds after its junction was passed. */
const lateS = 9;
/** How a drive may be laid over a way: seconds it stands at first, and its pace. */
const waits = [0, 40, 80, 120, 160];
const paces = [0.9, 0.97, 1.04, 1.11, 1.18];
/** One logger has a clock that is slow, and stands for all of them. */
const slowMs = 61_000;

/**
 * Gives each drive of the demo a trace, one after the other: over one of the school's routes, at a pace at which the faults of two
 * drives in three fall on the same junction when they can. The same drives in the same order get the same traces.
 */
export function demoTraces({ roads, onNow }: PlannedDemo): (events: readonly DriveEvent[]) => readonly FixPiece[] {
  const { graph, side, time } = roads;
  const ways = onNow.flatMap(({ stops }): readonly Way[] => {
    // Short loops are driven twice.
    const reading = readRoute(roads, [...stops, ...stops.slice(1)], instructorStyle);
    if (!('edges' in reading) || reading.broken) return [];
    const { edges, metres } = reading;
    const path: Path = { edges, start: 0, end: edgeMetres(graph, edges.at(-1)!), metres, cost: 0 };
    return [{ path, passes: passesOf(graph, side, path) }];
  });
  const hot = commonest(ways);
  let number = 0;
  return (events) => {
    const seed = ++number;
    const zeroMs = zeroOf(events);
    const seconds = (ms: number) => ms / 1000;
    const faults = events.flatMap((event) => (event.type === 'mark' ? [seconds(event.atMs)] : []));
    const end = seconds(Math.max(...events.flatMap((event) => (event.type === 'ended' ? [event.atMs] : []))));
    const stands = standsIn(events);
    const isFile = stands.length > 2;
    const laid = ways.flatMap((way, k) =>
      (isFile ? [0] : waits).flatMap((wait) =>
        paces.map((pace) => ({ way, wait, pace, other: (seed * 7 + k) % ways.length })),
      ),
    );
    const clocks = new Map(
      ways.flatMap(({ path }) =>
        paces.map((pace) => [`${path.metres} ${pace}`, clockOf(graph, time, path, pace)] as const),
      ),
    );
    const score = ({ way, wait, pace, other }: (typeof laid)[number]): number => {
      const clock = clocks.get(`${way.path.metres} ${pace}`)!.map(([second, metres]) => [metres, second] as const);
      const times = way.passes
        .filter(({ place }) => place.id === hot)
        .map(({ to }) => withStands(between(clock, to), stands) + wait);
      const on = faults.filter((fault) => times.some((at) => fault - at > -4 && fault - at < lateS)).length;
      return seed % 3 === 0 ? -other : on - other / 100;
    };
    const { way, wait, pace } = laid.reduce((a, b) => (score(b) > score(a) ? b : a));
    const gap = 300 + ((seed * 131) % 1500);
    const { fixes } = simulateTrace(graph, time, way.path, {
      seed,
      noise: 4 + (seed % 4),
      lasting: 0.95,
      pace,
      stands: [[0, wait], ...stands],
      gaps: seed % 5 === 0 ? [[gap, gap + 35]] : [],
    });
    const slow = isFile ? slowMs : 0;
    const sent = fixes
      .filter(({ at }) => at <= end * 1000)
      .map(({ at, lat, lon, accuracy }): SentFix => [
        Math.round(zeroMs + at - slow),
        Number(lat.toFixed(6)),
        Number(lon.toFixed(6)),
        isFile ? -1 : (accuracy ?? -1),
        -1,
      ]);
    return Array.from({ length: Math.ceil(sent.length / mostFixesInAPiece) }, (_, i) => ({
      id: newId(),
      source: isFile ? 'file' : 'device',
      fixes: sent.slice(i * mostFixesInAPiece, (i + 1) * mostFixesInAPiece),
    }));
  };
}

/** The junction that most of the ways lead over, and of those the one they lead over most often: a roundabout or a turn. */
function commonest(ways: readonly Way[]): string {
  const counts = new Map<string, { ways: number; passes: number }>();
  for (const { passes } of ways) {
    const own = passes.filter(
      ({ place }) => place.sort === 'mini' || place.sort === 'roundabout' || place.sort === 'turn',
    );
    for (const id of new Set(own.map(({ place }) => place.id))) {
      const before = counts.get(id) ?? { ways: 0, passes: 0 };
      counts.set(id, {
        ways: before.ways + 1,
        passes: before.passes + own.filter(({ place }) => place.id === id).length,
      });
    }
  }
  const [first] = [...counts].sort(([, a], [, b]) => b.ways - a.ways || b.passes - a.passes);
  return first?.[0] ?? '';
}

/** When the car stood: from shortly before a pull-up was touched until it moved off. */
function standsIn(events: readonly DriveEvent[]): readonly (readonly [from: number, to: number])[] {
  const steps = events.flatMap((event) => (event.type === 'step' ? [event] : [])).sort((a, b) => a.atMs - b.atMs);
  return steps.flatMap(({ step, atMs }, i) => {
    const next = steps[i + 1];
    if (step !== 'pull-up' || next?.step !== 'move-off') return [];
    return [[atMs / 1000 - 3, next.atMs / 1000] as const];
  });
}

/** A moment of driving as one of the clock: what the car stood before it is added. */
function withStands(second: number, stands: readonly (readonly [from: number, to: number])[]): number {
  let at = second;
  for (const [from, to] of stands) if (from <= at) at += to - from;
  return at;
}
