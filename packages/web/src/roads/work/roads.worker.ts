import type { LegMode, RouteStop } from '@jasperwren/core/routes/driving-route';
import { stopsFor, type FeatureStop } from '@jasperwren/core/routes/add-feature';
import { stopsFromTrack } from '@jasperwren/core/routes/from-track';
import { openGraph, readRoute, stopsOf, type AnyReading, type Roads } from '@jasperwren/core/routes/read-route';
import type { CallStyle } from '@jasperwren/roads/directions/calls';
import type { FeatureKind } from '@jasperwren/roads/features/features';
import type { Place } from '@jasperwren/roads/geometry';
import { planLoops, type Loop } from '@jasperwren/roads/plan/plan-loops';
import { RoadsError, type RoadsProblem } from '@jasperwren/roads/problem';
import { endAt, shareOfStretches } from '@jasperwren/roads/route/via';
import { openRoads, type StoredRoads } from '@jasperwren/roads/source';
import { expose } from 'comlink';

/** What is asked of the planner. */
export interface PlanQuestion {
  readonly stored: StoredRoads;
  readonly from: { readonly lat: number; readonly lon: number };
  readonly minutes: number;
  readonly wants: Readonly<Partial<Record<FeatureKind, number>>>;
  readonly prefers: readonly FeatureKind[];
  readonly avoids: readonly FeatureKind[];
  readonly seed: number;
  readonly mode: LegMode;
}

/** A loop that was found, with the stops that lead over it. */
export type PlannedLoop = Omit<Loop, 'path' | 'through'> & {
  readonly metres: number;
  readonly stops: readonly RouteStop[];
};

export type Planned = { readonly loops: readonly PlannedLoop[] } | { readonly problem: RoadsProblem };

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
  /** Finds the stops that lead along a track. */
  track: (places: readonly Place[]) => stopsFromTrack(roadsNow(), places),
  /** Plans loops, telling how far it is. */
  plan(question: PlanQuestion, tell: (share: number) => void): Planned {
    const roads = roadsNow();
    let told = 0;
    try {
      const from = endAt(roads.graph, roads.finder, question.from, 400, 'from');
      const found = planLoops(
        roads.graph,
        roads.router,
        roads.time,
        roads.side,
        { ...question, from },
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
      };
    } catch (error) {
      if (error instanceof RoadsError) return { problem: error.problem };
      throw error;
    }
  },
};
export type RoadsWork = typeof roadsWork;

expose(roadsWork);
