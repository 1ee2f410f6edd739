import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import type { Place } from '../geometry';
import { RoadsError } from '../problem';
import type { Fix } from '../traces/fix';

/** A line of places with a name, as GPX holds routes and tracks. */
export interface Track {
  readonly name?: string;
  readonly places: readonly Place[];
}

const prefix = '@';
const fixed = (degrees: number) => degrees.toFixed(7);

/** A route as GPX 1.1 (Topografix, https://www.topografix.com/GPX/1/1): its stops as a route, what is driven as a track. */
export function writeGpx(
  name: string,
  stops: readonly Place[],
  line: readonly (readonly [lat: number, lon: number])[],
): string {
  const point = (lat: number, lon: number) => ({ [`${prefix}lat`]: fixed(lat), [`${prefix}lon`]: fixed(lon) });
  return build({
    rte: { name, rtept: stops.map(({ lat, lon }) => point(lat, lon)) },
    trk: { name, trkseg: { trkpt: line.map(([lat, lon]) => point(lat, lon)) } },
  });
}

/** A GPX document with these elements. */
function build(elements: object): string {
  const builder = new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: prefix,
    format: true,
    suppressEmptyNode: true,
  });
  return String(
    builder.build({
      '?xml': { [`${prefix}version`]: '1.0', [`${prefix}encoding`]: 'UTF-8' },
      gpx: {
        [`${prefix}version`]: '1.1',
        [`${prefix}creator`]: 'Jasperwren',
        [`${prefix}xmlns`]: 'http://www.topografix.com/GPX/1/1',
        ...elements,
      },
    }),
  );
}

interface Point {
  readonly [attribute: string]: unknown;
}

/** What the validator lets through may still be more than the parser takes. */
function parsed(parser: XMLParser, text: string): Readonly<Record<string, unknown>> {
  try {
    return parser.parse(text) as Readonly<Record<string, unknown>>;
  } catch (error) {
    throw new RoadsError({ code: 'badXml', line: 1, column: 1, detail: error instanceof Error ? error.message : '' });
  }
}

/** A GPX file as far as it is understood. */
interface GpxFile {
  readonly rte?: readonly { readonly name?: unknown; readonly rtept?: readonly Point[] }[];
  readonly trk?: readonly {
    readonly name?: unknown;
    readonly trkseg?: readonly { readonly trkpt?: readonly Point[] }[];
  }[];
}

/** Throws a `RoadsError` where it is no GPX file: line and column where it is no XML, the root where it is another file. */
function parseGpx(text: string): GpxFile {
  if (text.trim() === '') throw new RoadsError({ code: 'empty' });
  if (/<!DOCTYPE/i.test(text))
    throw new RoadsError({ code: 'documentType', line: lineOf(text, text.search(/<!DOCTYPE/i)) });
  const checked = XMLValidator.validate(text);
  if (checked !== true) {
    const { line, col, msg } = checked.err;
    throw new RoadsError({ code: 'badXml', line, column: col, detail: msg });
  }
  const many = new Set(['rte', 'rtept', 'trk', 'trkseg', 'trkpt']);
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: prefix,
    parseTagValue: false,
    isArray: (tag, _, __, attribute) => !attribute && many.has(tag),
  });
  const root = parsed(parser, text);
  const found = Object.keys(root).find((key) => !key.startsWith('?')) ?? '';
  if (found !== 'gpx') throw new RoadsError({ code: 'otherRoot', line: 1, root: found, wanted: 'gpx' });
  return typeof root['gpx'] === 'object' && root['gpx'] !== null ? root['gpx'] : {};
}

/**
 * Routes and tracks of a GPX file, tracks first since they tell more. Throws a `RoadsError` where it cannot be used:
 * line and column where it is no XML, the root where it is no GPX, the place where one is not on Earth.
 */
export function readGpx(text: string): readonly Track[] {
  const gpx = parseGpx(text);
  const tracks = [
    ...(gpx.trk ?? []).map(({ name, trkseg = [] }) =>
      trackOf(
        name,
        trkseg.flatMap(({ trkpt = [] }) => trkpt),
      ),
    ),
    ...(gpx.rte ?? []).map(({ name, rtept = [] }) => trackOf(name, rtept)),
  ].filter(({ places }) => places.length > 1);
  if (tracks.length === 0) throw new RoadsError({ code: 'noTrack' });
  return tracks;
}

/**
 * The fixes of a GPX 1.1 file: the points of its tracks in the order they stand in, those without a time or a place included,
 * so that whoever cleans them can say how many there are. Throws a `RoadsError` where it cannot be used, `noTimes` where
 * no point has a time.
 */
export function readGpxFixes(text: string): readonly Fix[] {
  const points = (parseGpx(text).trk ?? []).flatMap(({ trkseg = [] }) => trkseg.flatMap(({ trkpt = [] }) => trkpt));
  if (points.length === 0) throw new RoadsError({ code: 'noTrack' });
  const fixes = points.map((point): Fix => {
    const [lat, lon] = coordinatesOf(point);
    const time = point['time'];
    const speed = numberIn(point['speed']);
    return {
      at: typeof time === 'string' ? Date.parse(time) : NaN,
      lat,
      lon,
      ...(speed !== undefined && { speed }),
    };
  });
  if (fixes.every(({ at }) => Number.isNaN(at))) throw new RoadsError({ code: 'noTimes' });
  return fixes;
}

function numberIn(value: unknown): number | undefined {
  const number = typeof value === 'string' && value.trim() !== '' ? Number(value) : NaN;
  return number >= 0 && number < 200 ? number : undefined;
}

/** Something that happened at a place of a trace. */
export interface Waypoint extends Place {
  readonly at: number;
  readonly name: string;
}

/** A trace as GPX 1.1, with what happened on it as waypoints; times in milliseconds since 1970. */
export function writeGpxTrace(name: string, fixes: readonly Fix[], waypoints: readonly Waypoint[]): string {
  const point = ({ lat, lon, at }: Place & { readonly at: number }) => ({
    [`${prefix}lat`]: fixed(lat),
    [`${prefix}lon`]: fixed(lon),
    time: new Date(at).toISOString(),
  });
  return build({
    wpt: waypoints.map((one) => ({ ...point(one), name: one.name })),
    trk: { name, trkseg: { trkpt: fixes.map(point) } },
  });
}

const trackOf = (name: unknown, points: readonly Point[]): Track => ({
  ...(typeof name === 'string' && name.trim() && { name: name.trim().slice(0, 80) }),
  places: points.map(placeOf),
});

function placeOf(point: Point, at: number): Place {
  const [lat, lon] = coordinatesOf(point);
  if (!(Math.abs(lat) <= 90 && Math.abs(lon) <= 180)) throw new RoadsError({ code: 'badFeature', feature: at + 1 });
  return { lat, lon };
}

const coordinatesOf = (point: Point) =>
  [`${prefix}lat`, `${prefix}lon`].map((key) => {
    const text = point[key];
    return typeof text === 'string' && text.trim() !== '' ? Number(text) : NaN;
  }) as [lat: number, lon: number];

const lineOf = (text: string, at: number) => text.slice(0, at).split('\n').length;
