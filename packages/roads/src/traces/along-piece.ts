import { metresBetween, project, type Place } from '../geometry';
import { edgeLine, type RoadGraph } from '../graph/graph';
import type { Path } from '../route/router';
import type { Fix } from './fix';

type Times = readonly (readonly [at: number, metres: number])[];

/** Places with their metres from a start. */
type Line = readonly (readonly [lat: number, lon: number, metres: number])[];

/** A line from its start to its end, without what lies before and behind on the first and the last edge. */
export function withinPath(line: Line, whole: number): Line {
  const at = placeOf(line);
  const inside = line.filter(([, , metres]) => metres > 0 && metres < whole);
  const [first, last] = [at(0), at(whole)];
  return [[first.lat, first.lon, 0], ...inside, [last.lat, last.lon, whole]];
}

/** Gives the place so many metres along a line with metres. */
export function placeOf(line: Line): (metres: number) => Place {
  return (metres) => {
    let low = 0;
    let high = line.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (line[middle]![2] < metres) low = middle + 1;
      else high = middle;
    }
    const after = line[low]!;
    const before = line[low - 1] ?? after;
    const length = after[2] - before[2];
    const share = length > 0 ? Math.min(1, Math.max(0, (metres - before[2]) / length)) : 1;
    return { lat: before[0] + share * (after[0] - before[0]), lon: before[1] + share * (after[1] - before[1]) };
  };
}

/** The places of a path with their metres from its start, beginning on its first edge and ending on its last. */
export function measuredLine(graph: RoadGraph, { edges, start }: Pick<Path, 'edges' | 'start'>): Line {
  const line: (readonly [number, number, number])[] = [];
  let metres = -start;
  edges.forEach((edge, i) => {
    edgeLine(graph, edge).forEach(([lat, lon], k, places) => {
      if (k > 0) metres += metresBetween(places[k - 1]![0], places[k - 1]![1], lat, lon);
      if (i === 0 || k > 0) line.push([lat, lon, metres]);
    });
  });
  return line;
}

/**
 * When a car was where on a path: every fix that lies on it between those that made it, its metres as near to the measured ones
 * as they can be without ever falling (isotonic regression; M. Ayer and others, 1955). A car that stands so stays where it is.
 * `away` is how far beside the path each of those fixes lies, in metres.
 * @param seen the fixes that made the path
 * @param noise standard deviation of a fix, in metres
 */
export function timesAlong(
  graph: RoadGraph,
  path: Path,
  seen: Times,
  fixes: readonly Fix[],
  noise: number,
): { readonly times: Times; readonly away: readonly number[] } {
  const line = measuredLine(graph, path);
  const measured: (readonly [at: number, metres: number])[] = [];
  const away: number[] = [];
  let piece = 0;
  let next = firstFrom(fixes, seen[0]![0]);
  for (let i = 0; i + 1 < seen.length; i++) {
    const [[fromAt, from], [toAt, to]] = [seen[i]!, seen[i + 1]!];
    const [low, high] = [from - 3 * noise, to + 3 * noise];
    while (piece + 1 < line.length - 1 && line[piece + 1]![2] < low) piece++;
    measured.push([fromAt, from]);
    for (; next < fixes.length && fixes[next]!.at < toAt; next++) {
      const fix = fixes[next]!;
      const near = nearestBetween(line, piece, fix, low, high, 4 * noise);
      if (!near) continue;
      away.push(near.away);
      if (fix.at <= fromAt) continue;
      measured.push([fix.at, Math.max(0, Math.min(path.metres, near.metres))]);
    }
  }
  measured.push(seen.at(-1)!);
  return { times: risen(measured), away };
}

function firstFrom(fixes: readonly Fix[], at: number): number {
  let low = 0;
  let high = fixes.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (fixes[middle]!.at < at) low = middle + 1;
    else high = middle;
  }
  return low;
}

function nearestBetween(
  line: Line,
  piece: number,
  fix: Fix,
  low: number,
  high: number,
  within: number,
): { readonly metres: number; readonly away: number } | undefined {
  let best: { readonly metres: number; readonly away: number } | undefined;
  for (let k = piece; k + 1 < line.length && line[k]![2] <= high; k++) {
    const [[latA, lonA, from], [latB, lonB, to]] = [line[k]!, line[k + 1]!];
    const found = project(fix, latA, lonA, latB, lonB);
    const metres = from + found.share * (to - from);
    if (found.metres < (best?.away ?? within) && metres >= low && metres <= high) best = { metres, away: found.metres };
  }
  return best;
}

/** The nearest values that never fall: neighbours that do are pooled to their mean. */
function risen(measured: Times): Times {
  const pools: { sum: number; count: number }[] = [];
  for (const [, metres] of measured) {
    pools.push({ sum: metres, count: 1 });
    for (;;) {
      const [before, last] = pools.slice(-2);
      if (!before || !last || before.sum / before.count <= last.sum / last.count) break;
      before.sum += last.sum;
      before.count += last.count;
      pools.pop();
    }
  }
  const values = pools.flatMap(({ sum, count }) => Array.from({ length: count }, () => sum / count));
  return measured.map(([at], i) => [at, values[i]!] as const);
}
