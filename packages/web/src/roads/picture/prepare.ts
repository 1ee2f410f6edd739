import { roadClasses } from '@jasperwren/roads/road-tags';
import { isDrivable, type RoadSource, type RoadWay } from '@jasperwren/roads/source';

/** A way with the box it lies in, in parts of the world's width. */
interface DrawnWay {
  readonly way: RoadWay;
  /** 0 for the largest class. */
  readonly rank: number;
  readonly closed: boolean;
  readonly box: readonly [west: number, north: number, east: number, south: number];
}

/** Roads made ready to be drawn: Web Mercator, from 0 to 1 over the world. */
export interface PreparedRoads {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly signs: Uint16Array;
  /** From the least to the largest, so that the large ones lie above. */
  readonly ways: readonly DrawnWay[];
  readonly bounds: readonly [south: number, west: number, north: number, east: number];
}

/** Where a place lies over the world, each from 0 to 1. */
function mercator(lat: number, lon: number): readonly [x: number, y: number] {
  const sin = Math.sin((lat * Math.PI) / 180);
  return [lon / 360 + 0.5, 0.5 - Math.log((1 + sin) / (1 - sin)) / (4 * Math.PI)];
}

/** Makes roads ready to be drawn at any scale. */
export function prepareRoads({ lat, lon, signs, ways }: RoadSource): PreparedRoads {
  const x = new Float64Array(lat.length);
  const y = new Float64Array(lat.length);
  let [south, west, north, east] = [90, 180, -90, -180];
  lat.forEach((value, node) => {
    [x[node], y[node]] = mercator(value, lon[node]!) as [number, number];
    south = Math.min(south, value);
    north = Math.max(north, value);
    west = Math.min(west, lon[node]!);
    east = Math.max(east, lon[node]!);
  });
  const drawn = ways.map((way): DrawnWay => {
    const box: [number, number, number, number] = [2, 2, -2, -2];
    for (const node of way.nodes) {
      box[0] = Math.min(box[0], x[node]!);
      box[1] = Math.min(box[1], y[node]!);
      box[2] = Math.max(box[2], x[node]!);
      box[3] = Math.max(box[3], y[node]!);
    }
    return { way, rank: roadClasses.indexOf(way.roadClass), closed: !isDrivable(way), box };
  });
  return { x, y, signs, ways: drawn.sort((a, b) => b.rank - a.rank), bounds: [south, west, north, east] };
}
