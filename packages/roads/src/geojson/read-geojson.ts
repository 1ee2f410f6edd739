import { textOf, type Chunks } from '../bytes';
import { RoadsError } from '../problem';
import type { Tags } from '../road-tags';
import type { RoadSource } from '../source';
import { SourceBuilder } from '../source-builder';
import type { Reading } from '../osm/read-osm';

/** Places nearer than this, in degrees, are one node: a centimetre. */
const same = 1e7;

/**
 * Roads of a GeoJSON file (RFC 7946): every line is a road, by its property `highway` where it has one and as a plain road
 * otherwise; lines join where they share a coordinate. Points hold signs (`highway`: `stop` and so on). Throws a
 * `RoadsError` where the file cannot be used.
 */
export async function readGeoJson(chunks: Chunks, { onProgress, signal }: Reading = {}): Promise<RoadSource> {
  const parts: string[] = [];
  let read = 0;
  for await (const text of textOf(chunks)) {
    signal?.throwIfAborted();
    parts.push(text);
    read += text.length;
    onProgress?.(read);
  }
  return roadsOf(parseJson(parts.join('')));
}

/** A JSON text read, or a `RoadsError` with line and column. */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\ufeff/, ''));
  } catch (error) {
    const position = Number(/position (\d+)/.exec(String(error))?.[1] ?? text.length);
    const before = text.slice(0, position).split('\n');
    throw new RoadsError({ code: 'badJson', line: before.length, column: before.at(-1)!.length + 1 });
  }
}

interface Feature {
  readonly geometry?: { readonly type?: unknown; readonly coordinates?: unknown } | null;
  readonly properties?: Readonly<Record<string, unknown>> | null;
}

function roadsOf(json: unknown): RoadSource {
  const features = featuresOf(json);
  const builder = new SourceBuilder();
  const nodes = new Map<string, number>();
  let ways = 0;
  features.forEach((feature, at) => {
    const { geometry, properties } = feature;
    if (!geometry) return;
    const tags = tagsOf(properties);
    const nodeAt = (position: unknown): number => {
      if (!Array.isArray(position)) throw new RoadsError({ code: 'badFeature', feature: at + 1 });
      const [lon, lat] = position as unknown[];
      if (typeof lon !== 'number' || typeof lat !== 'number' || !(Math.abs(lat) <= 90 && Math.abs(lon) <= 180))
        throw new RoadsError({ code: 'badFeature', feature: at + 1 });
      const key = `${Math.round(lat * same)} ${Math.round(lon * same)}`;
      const known = nodes.get(key);
      if (known !== undefined) return known;
      const id = nodes.size + 1;
      nodes.set(key, id);
      builder.node(id, lat, lon);
      return id;
    };
    const line = (positions: unknown) => {
      if (!Array.isArray(positions) || positions.length < 2)
        throw new RoadsError({ code: 'badFeature', feature: at + 1 });
      builder.way(++ways, positions.map(nodeAt), tags['highway'] === undefined ? { ...tags, highway: 'road' } : tags);
    };
    if (geometry.type === 'LineString') line(geometry.coordinates);
    else if (geometry.type === 'MultiLineString') {
      if (!Array.isArray(geometry.coordinates)) throw new RoadsError({ code: 'badFeature', feature: at + 1 });
      geometry.coordinates.forEach(line);
    } else if (geometry.type === 'Point') builder.nodeTags(nodeAt(geometry.coordinates), tags);
  });
  return builder.build();
}

function featuresOf(json: unknown): readonly Feature[] {
  const type = isObject(json) ? json['type'] : undefined;
  if (isObject(json) && type === 'FeatureCollection' && Array.isArray(json['features'])) {
    const bad = json['features'].findIndex((feature) => !isObject(feature));
    if (bad >= 0) throw new RoadsError({ code: 'badFeature', feature: bad + 1 });
    return json['features'] as readonly Feature[];
  }
  if (isObject(json) && type === 'Feature') return [json];
  if (isObject(json) && (type === 'LineString' || type === 'MultiLineString')) return [{ geometry: json }];
  throw new RoadsError({ code: 'notLines', found: typeof type === 'string' ? type : '' });
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;

function tagsOf(properties: Feature['properties']): Tags {
  const out = Object.create(null) as Record<string, string>;
  for (const [key, value] of Object.entries(properties ?? {})) {
    if (typeof value === 'string') out[key] = value;
    else if (typeof value === 'number' || typeof value === 'boolean') out[key] = value === true ? 'yes' : String(value);
  }
  return out;
}
