import { metresBetween, type Place } from '@jasperwren/roads/geometry';
import type { Snapped } from '@jasperwren/roads/graph/snap';
import type { RouteStop } from './driving-route';
import type { Roads } from './read-route';
import { stopsOf } from './stops-of';
import { placesAlong } from './along-line';

/** A track as stops on roads. */
export interface FromTrack {
  readonly stops: readonly RouteStop[];
  /** Stretches of the track that lie on no road one may drive, in metres from its start. */
  readonly unmatched: readonly { readonly from: number; readonly to: number }[];
}

/** A place of a track is looked at every so many metres, and belongs to a road within so many. */
const every = 100;
const within = 35;
/** A way between two places this many times as long as the track between them, and this many metres more, is another way. */
const detour = 1.6;
const slack = 150;
/** A metre beside the track counts like so many metres of way. */
const aside = 4;

/**
 * The stops that lead along a recorded or drawn line, as far as it lies on the roads: of all ways over the roads near its places
 * the one whose length fits it best (A. Viterbi's search, 1967).
 */
export function stopsFromTrack(roads: Roads, places: readonly Place[]): FromTrack {
  const { finder, router } = roads;
  const line = places.map(({ lat, lon }) => [lat, lon] as const);
  let whole = 0;
  for (let i = 1; i < line.length; i++)
    whole += metresBetween(line[i - 1]![0], line[i - 1]![1], line[i]![0], line[i]![1]);
  const at = placesAlong(line);
  const count = Math.max(1, Math.ceil(whole / every));
  let ways: readonly Way[] = [];
  for (let i = 0; i <= count; i++) {
    const metres = (whole * i) / count;
    const from = (whole * Math.max(0, i - 1)) / count;
    const candidates = finder.near(at(metres), within, 4);
    const next = candidates.flatMap((end): readonly Way[] => {
      if (ways.length === 0)
        return [
          { cost: aside * end.away, metres, ends: [end], edges: [], missed: i === 0 ? [] : [{ from: 0, to: metres }] },
        ];
      const all = ways.flatMap((way) => goneOn(router, way, end, metres, from));
      return all.length === 0 ? [] : [all.reduce((a, b) => (b.cost < a.cost ? b : a))];
    });
    // Where no road lies, or none that can be reached, every way so far misses this stretch.
    ways = next.length > 0 ? next : ways.map((way) => ({ ...way, missed: withMiss(way.missed, from, metres) }));
  }
  const [first, ...others] = ways;
  if (!first) return { stops: [], unmatched: [{ from: 0, to: whole }] };
  const { ends, edges, missed } = others.reduce((a, b) => (b.cost < a.cost ? b : a), first);
  const last = ends.at(-1)!;
  if (edges.length === 0) return { stops: [], unmatched: [{ from: 0, to: whole }] };
  return { stops: stopsOf(roads, { edges }, ends[0]!, 'directions', last), unmatched: missed };
}

/** One way the track may have been driven, up to a place of it. */
interface Way {
  readonly cost: number;
  /** Metres along the track of its last place on a road. */
  readonly metres: number;
  readonly ends: readonly Snapped[];
  readonly edges: readonly number[];
  readonly missed: FromTrack['unmatched'];
}

/** A way driven on to the next place: it costs what it is longer or shorter than the track, and what it lies beside it. */
function goneOn(router: Roads['router'], way: Way, end: Snapped, metres: number, from: number): readonly Way[] {
  const leg = router.find(way.ends.at(-1)!, end, way.edges.length > 0 ? { after: way.edges } : {});
  if (!leg) return [];
  const gap = metres - way.metres;
  const strayed = leg.metres > detour * gap + slack;
  return [
    {
      cost: way.cost + Math.abs(leg.metres - gap) + aside * end.away,
      metres,
      ends: [...way.ends, end],
      edges: way.edges.length > 0 ? [...way.edges, ...leg.edges.slice(1)] : leg.edges,
      missed: strayed ? withMiss(way.missed, from, metres) : way.missed,
    },
  ];
}

function withMiss(missed: FromTrack['unmatched'], from: number, to: number): FromTrack['unmatched'] {
  const last = missed.at(-1);
  return last && last.to >= from ? [...missed.slice(0, -1), { from: last.from, to }] : [...missed, { from, to }];
}
