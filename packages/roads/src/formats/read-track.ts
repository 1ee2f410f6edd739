import { parseJson } from '../geojson/read-geojson';
import type { Place } from '../geometry';
import { RoadsError } from '../problem';
import { readGpx, type Track } from './gpx';

/**
 * The first route or track of a file, by its name: GPX 1.1, or the first line of GeoJSON (RFC 7946). Throws a `RoadsError`
 * where it cannot be used.
 */
export function readTrack(file: string, text: string): Track {
  if (!/json$/i.test(file)) return readGpx(text)[0]!;
  if (text.trim() === '') throw new RoadsError({ code: 'empty' });
  const found = linesOf(parseJson(text)).find(({ places }) => places.length > 1);
  if (!found) throw new RoadsError({ code: 'noTrack' });
  return found;
}

interface Json {
  readonly type?: unknown;
  readonly features?: unknown;
  readonly geometry?: unknown;
  readonly properties?: unknown;
  readonly coordinates?: unknown;
}

const isJson = (value: unknown): value is Json => typeof value === 'object' && value !== null;

/** Every line of a GeoJSON text, with the name of its feature. */
function linesOf(json: unknown, name?: string, feature = 1): readonly Track[] {
  if (!isJson(json)) return [];
  const { type, features, geometry, properties, coordinates } = json;
  if (type === 'FeatureCollection' && Array.isArray(features))
    return features.flatMap((one, i) => linesOf(one, undefined, i + 1));
  if (type === 'Feature') {
    const called = isJson(properties) ? (properties as { readonly name?: unknown }).name : undefined;
    return linesOf(geometry, typeof called === 'string' ? called : undefined, feature);
  }
  const line = (positions: unknown): Track => ({
    ...(name !== undefined && { name }),
    places: placesOf(positions, feature),
  });
  if (type === 'LineString') return [line(coordinates)];
  if (type === 'MultiLineString' && Array.isArray(coordinates)) return coordinates.map(line);
  return [];
}

function placesOf(positions: unknown, feature: number): readonly Place[] {
  if (!Array.isArray(positions)) throw new RoadsError({ code: 'badFeature', feature });
  return positions.map((position: unknown) => {
    const [lon, lat] = Array.isArray(position) ? (position as unknown[]) : [];
    if (typeof lon !== 'number' || typeof lat !== 'number' || !(Math.abs(lat) <= 90 && Math.abs(lon) <= 180))
      throw new RoadsError({ code: 'badFeature', feature });
    return { lat, lon };
  });
}
