import type { LegMode, RouteStop } from '@jasperwren/core/routes/driving-route';
import { stopsFor, type FeatureStop } from '@jasperwren/core/routes/add-feature';
import { endsOver, practiceLoop } from '@jasperwren/core/routes/practice-loop';
import type { RoadPlace } from '@jasperwren/core/places/passes';
import { stopsFromTrack } from '@jasperwren/core/routes/from-track';
import {
  openGraph,
  readRoute,
  type AnyReading,
  type PlacedCall,
  type Roads,
  type RouteReading,
} from '@jasperwren/core/routes/read-route';
import { stopsOf } from '@jasperwren/core/routes/stops-of';
import { afterMissing, beforeClosed, wayBack, type Car } from '@jasperwren/core/routes/way-back';
import { clipRoads } from '@jasperwren/roads/clip';
import type { CallStyle } from '@jasperwren/roads/directions/calls';
import type { FeatureKind } from '@jasperwren/roads/features/features';
import type { Place } from '@jasperwren/roads/geometry';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import type { Loop } from '@jasperwren/roads/plan/loop';
import { stretchLine } from '@jasperwren/roads/graph/graph';
import { reachOf } from '@jasperwren/roads/graph/reach';
import { RoadsError, type RoadsProblem } from '@jasperwren/roads/problem';
import { endAt, shareOfStretches } from '@jasperwren/roads/route/via';
import { openRoads, storeRoads, type StoredRoads } from '@jasperwren/roads/source';
import { cleanFixes, thinned, type Fix } from '@jasperwren/roads/traces/fix';
import { matchTrace } from '@jasperwren/roads/traces/match';
import { readingOf, type TraceReading } from '@jasperwren/core/traces/reading';
import { expose } from 'comlink';

/** What is asked of the planner. */
export interface PlanQuestion {
  readonly stored: StoredRoads;
  readonly from: { readonly lat: number; readonly lon: number };
  readonly minutes: number;
  readonly wants: Readonly<Partial<Record<FeatureKind, number>>>;
  readonly prefers: readonly FeatureKind[];
  readonly avoids: readonly FeatureKind[];
  /** Places every loop leads over; one that these roads do not have is left out. */
  readonly over: readonly RoadPlace[];
  readonly seed: number;
  readonly mode: LegMode;
}

/** A loop that was found, with the stops that lead over it. */
export type PlannedLoop = Omit<Loop, 'path' | 'through'> & {
  readonly metres: number;
  readonly stops: readonly RouteStop[];
};

export type Planned =
  /** The loops, and the places they were to lead over that these roads do not have. */
  | { readonly loops: readonly PlannedLoop[]; readonly notHere: readonly RoadPlace[] }
  | { readonly problem: RoadsProblem };

/** Roads within this many metres of a route are taken along with it. */
const takenAlong = 1500;

/** A route with the roads near it. */
export interface Packed {
  readonly roads: StoredRoads;
  readonly reading: RouteReading;
}

/** Where a new way is wanted. */
export interface NewWayQuestion {
  readonly roads: StoredRoads;
  readonly from: { readonly car: Car } | { readonly call: PlacedCall; readonly why: 'missed' | 'closed' };
  /** Of the way driven so far. */
  readonly edges: readonly number[];
  /** Those still ahead. */
  readonly stops: readonly RouteStop[];
  readonly closed: readonly number[];
  readonly style: CallStyle;
}

/** A way that takes the place of the one before, through the same stops. */
export interface NewWay {
  readonly reading: RouteReading;
  readonly stops: readonly RouteStop[];
  readonly closed: readonly number[];
}

/** How much of a route lies on others. */
export interface SharedRoads {
  readonly each: readonly number[];
  readonly any: number;
}

let opened: Roads | undefined;

function roadsNow(): Roads {
  if (!opened) throw new Error('No roads were opened.');
  return opened;
}

/** Work on roads off the main thread: first the roads are opened, then questions about them are answered. */
const roadsWork = {
  open(stored: StoredRoads): void {
    opened = openGraph(openRoads(stored));
  },
  /** Reads a route on its roads. */
  read: (stops: readonly RouteStop[], style: CallStyle) => readRoute(roadsNow(), stops, style),
  /** The stretches of road that places lie on, from junction to junction; nothing for those on none. */
  stretchesAt(places: readonly Place[]): readonly (readonly (readonly [number, number])[])[] {
    const { graph, finder } = roadsNow();
    return places.flatMap((place) => {
      const [at] = finder.near(place, 60);
      return at ? [stretchLine(graph, at.stretch)] : [];
    });
  },
  /** What is hard to drive to. */
  reach: () => reachOf(roadsNow().graph),
  /** A route with the roads near it, read on those alone; the next questions are about them. */
  pack(stops: readonly RouteStop[], style: CallStyle): Packed | undefined {
    const reading = readRoute(roadsNow(), stops, style);
    if (!('line' in reading) || reading.broken) return undefined;
    const roads = clipRoads(roadsNow().graph.source, reading.line, takenAlong);
    opened = openGraph(roads);
    const near = readRoute(opened, stops, style);
    return 'line' in near ? { roads: storeRoads(roads), reading: near } : undefined;
  },
  /** A new way from where a car is, or where what a call asked for cannot be done; what is closed stays closed. */
  newWay({ from, edges, stops, closed, style }: Omit<NewWayQuestion, 'roads'>): NewWay | undefined {
    const roads = roadsNow();
    const shut = new Set(closed);
    let car: Car | undefined;
    if ('car' in from) ({ car } = from);
    else if (from.why === 'missed') car = afterMissing(roads, { edges }, from.call);
    else {
      const before = beforeClosed(roads, { edges }, from.call);
      car = before?.car;
      for (const stretch of before?.closed ?? []) shut.add(stretch);
    }
    if (!car) return undefined;
    const reading = wayBack(roads, car, stops, style, shut);
    const stop = { lat: car.lat, lon: car.lon, mode: stops[0]?.mode ?? ('directions' as const) };
    return 'line' in reading && !reading.broken ? { reading, stops: [stop, ...stops], closed: [...shut] } : undefined;
  },
  /** For each feature a route lacks the stop that brings it in. */
  adds(stops: readonly RouteStop[], style: CallStyle): readonly FeatureStop[] {
    const roads = roadsNow();
    const reading = readRoute(roads, stops, style);
    if (!('line' in reading)) return [];
    return stopsFor(
      roads,
      stops,
      reading,
      reading.missing.map(({ kind }) => kind),
      style,
    );
  },
  /** Share of a route's length on the roads of each of others, and on those of any of them. */
  shared(own: readonly RouteStop[], others: readonly (readonly RouteStop[])[], style: CallStyle): SharedRoads {
    const roads = roadsNow();
    const reading = readRoute(roads, own, style);
    const stretchesOf = (route: AnyReading) =>
      'edges' in route ? route.edges.map((edge) => roads.graph.edgeStretch[edge]!) : [];
    const mine = stretchesOf(reading);
    const sets = others.map((stops) => new Set(stretchesOf(readRoute(roads, stops, style))));
    const shareOn = (stretches: ReadonlySet<number>) => shareOfStretches(roads.graph, mine, stretches);
    return { each: sets.map(shareOn), any: shareOn(new Set(sets.flatMap((set) => [...set]))) };
  },
  /** A loop that leads over a place several times; undefined where there is none. */
  practice: (place: RoadPlace, start: Place) => practiceLoop(roadsNow(), place, start),
  /** Finds the stops that lead along a track. */
  track: (places: readonly Place[]) => stopsFromTrack(roadsNow(), places),
  /** Lays fixes on the roads. */
  match(fixes: readonly Fix[]): TraceReading {
    const { graph, side } = roadsNow();
    const cleaned = cleanFixes(fixes);
    const own = thinned(cleaned.fixes);
    return readingOf(graph, side, matchTrace(roadsNow(), own), { ...cleaned, fixes: own });
  },
  /** Plans loops, telling how far it is. */
  plan(question: PlanQuestion, tell: (share: number) => void): Planned {
    const roads = roadsNow();
    let told = 0;
    try {
      const from = endAt(roads.graph, roads.finder, question.from, 400, 'from');
      const over = question.over.map((place) => ({ place, ends: endsOver(roads, place) }));
      const found = planLoops(
        roads.graph,
        roads.router,
        roads.time,
        roads.side,
        {
          ...question,
          from,
          over: over.flatMap(({ ends }) => (ends ? [ends] : [])),
        },
        {
          onProgress(share) {
            if (share < told + 0.02 && share < 1) return;
            told = share;
            tell(share);
          },
        },
      );
      return {
        loops: found.map(({ path, seconds, counts, unmet, repeated, shared }) => ({
          ...{ seconds, counts, unmet, repeated, shared },
          metres: path.metres,
          stops: stopsOf(roads, path, from, question.mode),
        })),
        notHere: over.flatMap(({ place, ends }) => (ends ? [] : [place])),
      };
    } catch (error) {
      if (error instanceof RoadsError) return { problem: error.problem };
      throw error;
    }
  },
};
export type RoadsWork = typeof roadsWork;

expose(roadsWork);
