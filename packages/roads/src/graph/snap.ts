import Flatbush from 'flatbush';
import { degreeMetres, metresBetween, project, type Place } from '../geometry';
import type { RoadGraph } from './graph';

/** A place on the roads. */
export interface Snapped extends Place {
  readonly stretch: number;
  /** Metres from the first node of the stretch. */
  readonly offset: number;
  /** Metres from the place asked for. */
  readonly away: number;
}

/** Finds the nearest road to a place. */
export interface Finder {
  /** The nearest places on different stretches, nearest first, none farther than `within` metres. */
  readonly near: (place: Place, within?: number, most?: number) => readonly Snapped[];
}

/** A finder over all drivable stretches of a graph. */
export function finder(graph: RoadGraph): Finder {
  const { source, stretchCount, stretchStart, stretchNodes } = graph;
  const { lat, lon } = source;
  const pieces = stretchNodes.length - stretchCount;
  if (pieces <= 0) return { near: () => [] };
  const pieceStretch = new Int32Array(pieces);
  const pieceFirst = new Int32Array(pieces);
  let middle = 0;
  for (const value of lat) middle += value / lat.length;
  const degree = degreeMetres(middle);
  const tree = new Flatbush(pieces);
  let at = 0;
  for (let s = 0; s < stretchCount; s++) {
    for (let i = stretchStart[s]!; i + 1 < stretchStart[s + 1]!; i++) {
      const [a, b] = [stretchNodes[i]!, stretchNodes[i + 1]!];
      const [xa, xb] = [lon[a]! * degree.lon, lon[b]! * degree.lon];
      const [ya, yb] = [lat[a]! * degree.lat, lat[b]! * degree.lat];
      tree.add(Math.min(xa, xb), Math.min(ya, yb), Math.max(xa, xb), Math.max(ya, yb));
      pieceStretch[at] = s;
      pieceFirst[at++] = i;
    }
  }
  tree.finish();
  return {
    near: (place, within = Infinity, most = 1) => {
      const found = new Map<number, Snapped>();
      const x = place.lon * degree.lon;
      const y = place.lat * degree.lat;
      // Boxes come nearest first; what a box holds may be farther than the box, so more are looked at than wanted.
      for (let count = 16; ; count *= 4) {
        found.clear();
        const boxes = tree.neighbors(x, y, count, within);
        for (const piece of boxes) {
          const snapped = snapTo(graph, place, pieceStretch[piece]!, pieceFirst[piece]!);
          const known = found.get(snapped.stretch);
          if (snapped.away <= within && (!known || snapped.away < known.away)) found.set(snapped.stretch, snapped);
        }
        const best = [...found.values()].sort((a, b) => a.away - b.away || a.stretch - b.stretch).slice(0, most);
        if (boxes.length < count) return best;
        const last = boxes.at(-1)!;
        const i = pieceFirst[last]!;
        const [a, b] = [stretchNodes[i]!, stretchNodes[i + 1]!];
        const dx = outside(x, lon[a]! * degree.lon, lon[b]! * degree.lon);
        const dy = outside(y, lat[a]! * degree.lat, lat[b]! * degree.lat);
        // Every box not looked at is at least as far as the last one.
        if (best.length === most && best.at(-1)!.away <= Math.hypot(dx, dy)) return best;
      }
    },
  };
}

/** How far a value lies outside a span. */
const outside = (value: number, a: number, b: number) => Math.max(0, Math.min(a, b) - value, value - Math.max(a, b));

function snapTo(
  { source, stretchStart, stretchNodes }: RoadGraph,
  place: Place,
  stretch: number,
  first: number,
): Snapped {
  const { lat, lon } = source;
  const [a, b] = [stretchNodes[first]!, stretchNodes[first + 1]!];
  const { share, metres } = project(place, lat[a]!, lon[a]!, lat[b]!, lon[b]!);
  let offset = 0;
  for (let i = stretchStart[stretch]!; i < first; i++) {
    const [c, d] = [stretchNodes[i]!, stretchNodes[i + 1]!];
    offset += metresBetween(lat[c]!, lon[c]!, lat[d]!, lon[d]!);
  }
  return {
    lat: lat[a]! + share * (lat[b]! - lat[a]!),
    lon: lon[a]! + share * (lon[b]! - lon[a]!),
    stretch,
    offset: offset + share * metresBetween(lat[a]!, lon[a]!, lat[b]!, lon[b]!),
    away: metres,
  };
}
