import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import type { Place } from '../geometry';
import { RoadsError } from '../problem';

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
  const builder = new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: prefix,
    format: true,
    suppressEmptyNode: true,
  });
  const point = (lat: number, lon: number) => ({ [`${prefix}lat`]: fixed(lat), [`${prefix}lon`]: fixed(lon) });
  return String(
    builder.build({
      '?xml': { [`${prefix}version`]: '1.0', [`${prefix}encoding`]: 'UTF-8' },
      gpx: {
        [`${prefix}version`]: '1.1',
        [`${prefix}creator`]: 'Jasperwren',
        [`${prefix}xmlns`]: 'http://www.topografix.com/GPX/1/1',
        rte: { name, rtept: stops.map(({ lat, lon }) => point(lat, lon)) },
        trk: { name, trkseg: { trkpt: line.map(([lat, lon]) => point(lat, lon)) } },
      },
    }),
  );
}

interface Point {
  readonly [attribute: string]: unknown;
}

/**
 * Routes and tracks of a GPX file, tracks first since they tell more. Throws a `RoadsError` where it cannot be used:
 * line and column where it is no XML, the root where it is no GPX, the place where one is not on Earth.
 */
export function readGpx(text: string): readonly Track[] {
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
  const root = parser.parse(text) as Readonly<Record<string, unknown>>;
  const found = Object.keys(root).find((key) => !key.startsWith('?')) ?? '';
  if (found !== 'gpx') throw new RoadsError({ code: 'otherRoot', line: 1, root: found, wanted: 'gpx' });
  const gpx = (typeof root['gpx'] === 'object' && root['gpx'] !== null ? root['gpx'] : {}) as {
    readonly rte?: readonly { readonly name?: unknown; readonly rtept?: readonly Point[] }[];
    readonly trk?: readonly {
      readonly name?: unknown;
      readonly trkseg?: readonly { readonly trkpt?: readonly Point[] }[];
    }[];
  };
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

const trackOf = (name: unknown, points: readonly Point[]): Track => ({
  ...(typeof name === 'string' && name.trim() && { name: name.trim().slice(0, 80) }),
  places: points.map(placeOf),
});

function placeOf(point: Point, at: number): Place {
  const [lat, lon] = [`${prefix}lat`, `${prefix}lon`].map((key) => {
    const text = point[key];
    return typeof text === 'string' && text.trim() !== '' ? Number(text) : NaN;
  });
  if (!(Math.abs(lat!) <= 90 && Math.abs(lon!) <= 180)) throw new RoadsError({ code: 'badFeature', feature: at + 1 });
  return { lat: lat!, lon: lon! };
}

const lineOf = (text: string, at: number) => text.slice(0, at).split('\n').length;
