import type { Chunks } from './bytes';
import { readGeoJson } from './geojson/read-geojson';
import { readOsm, type Reading } from './osm/read-osm';
import { RoadsError } from './problem';
import type { RoadSource } from './source';

/**
 * Roads of a file by its name: `.osm`, `.osm.gz`, `.xml` are OpenStreetMap XML, `.geojson` and `.json` GeoJSON, each gzipped
 * or not. Throws a `RoadsError` (`unknownFormat`) for other names.
 */
export function readRoads(name: string, chunks: Chunks, reading: Reading = {}): Promise<RoadSource> {
  const plain = name.toLowerCase().replace(/\.gz$/, '');
  if (/\.(osm|xml)$/.test(plain)) return readOsm(chunks, reading);
  if (/\.(geojson|json)$/.test(plain)) return readGeoJson(chunks, reading);
  return Promise.reject(new RoadsError({ code: 'unknownFormat' }));
}
