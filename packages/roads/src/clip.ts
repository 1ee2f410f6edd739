import Flatbush from 'flatbush';
import { degreeMetres } from './geometry';
import type { RoadSource } from './source';

/**
 * The roads near a line, to be taken along where all of them would be too much: every way that comes within `within` metres
 * of a place of the line, whole, so that no way that is kept ends where it does not.
 * @param line places in degrees of WGS 84; where it is empty nothing is near
 */
export function clipRoads(
  source: RoadSource,
  line: readonly (readonly [lat: number, lon: number])[],
  within: number,
): RoadSource {
  const near = nearness(source, line, within);
  const ways = source.ways.filter(({ nodes }) => nodes.some(near));
  const kept = [...new Set(ways.flatMap(({ nodes }) => nodes))].sort((a, b) => a - b);
  const placeOf = new Map(kept.map((node, i) => [node, i]));
  const wayIds = new Set(ways.map(({ id }) => id));
  return {
    ...source,
    ids: Float64Array.from(kept, (node) => source.ids[node]!),
    lat: Float64Array.from(kept, (node) => source.lat[node]!),
    lon: Float64Array.from(kept, (node) => source.lon[node]!),
    signs: Uint16Array.from(kept, (node) => source.signs[node]!),
    ways: ways.map((way) => ({ ...way, nodes: way.nodes.map((node) => placeOf.get(node)!) })),
    restrictions: source.restrictions.filter(({ from, to }) => [...from, ...to].some((id) => wayIds.has(id))),
    schools: source.schools,
  };
}

/** Tells of a node whether it is near a line. */
function nearness({ lat, lon }: RoadSource, line: readonly (readonly [number, number])[], within: number) {
  if (line.length === 0) return () => false;
  const degree = degreeMetres(line[0]![0]);
  const tree = new Flatbush(Math.max(1, line.length - 1));
  if (line.length === 1) tree.add(line[0]![1] * degree.lon, line[0]![0] * degree.lat);
  for (let i = 0; i + 1 < line.length; i++) {
    const [[latA, lonA], [latB, lonB]] = [line[i]!, line[i + 1]!];
    const [xs, ys] = [
      [lonA * degree.lon, lonB * degree.lon],
      [latA * degree.lat, latB * degree.lat],
    ];
    tree.add(Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys));
  }
  tree.finish();
  return (node: number) => tree.neighbors(lon[node]! * degree.lon, lat[node]! * degree.lat, 1, within).length > 0;
}
