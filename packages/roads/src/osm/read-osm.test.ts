import { gzipSync } from 'node:zlib';
import { XMLParser } from 'fast-xml-parser';
import { RoadsError, type RoadsProblem } from '../problem';
import { bytesOf, osmXml, type Drawing } from '../testing';
import { readOsm } from './read-osm';

const crossing: Drawing = {
  nodes: { a: [0, 0], b: [100, 0, { highway: 'stop' }], c: [200, 0], d: [100, 100], e: [100, -100], f: [110, -10] },
  ways: {
    1: ['a b', { name: 'Lower Row' }],
    2: ['b c', { oneway: '-1', maxspeed: '30 mph' }],
    3: ['e b d', { highway: 'secondary' }],
    4: ['f d', { highway: 'footway' }],
    5: ['f e', { highway: 'service', access: 'private' }],
  },
  restrictions: { 9: ['no_left_turn', 'from 1, via b, to 3'] },
};

const problemOf = async (reading: Promise<unknown>): Promise<RoadsProblem | 'none'> =>
  reading.then(
    () => 'none' as const,
    (error: unknown) => {
      if (error instanceof RoadsError) return error.problem;
      throw error;
    },
  );

interface Parsed {
  readonly osm: {
    readonly node: readonly unknown[];
    readonly way: readonly { readonly tag: readonly { readonly '@_k': string; readonly '@_v': string }[] }[];
    readonly relation: readonly unknown[];
  };
}

const read = (text: string) => readOsm(bytesOf(text));
const xml = osmXml(crossing);
const lineOf = (text: string) => xml.slice(0, xml.indexOf(text)).split('\n').length;

describe('reading OpenStreetMap files', () => {
  it('keeps roads and drops paths', async () => {
    const roads = await read(xml);
    expect(roads.ways.map(({ id }) => id)).toEqual([1, 2, 3, 5]);
    expect(roads.ways[1]).toMatchObject({ flow: 'against', mph: true, highway: 'residential' });
    expect(roads.ways[1]!.limit).toBeCloseTo(48.28, 2);
    expect(roads.ways[2]).toMatchObject({ implied: true, limit: 80 });
    expect(roads.ways[3]!.access).toBe('closed');
    expect(roads.restrictions).toHaveLength(1);
  });

  it('counts what a second reader counts', async () => {
    const parsed = new XMLParser({
      ignoreAttributes: false,
      isArray: (name, _, __, attribute) => name !== 'osm' && !attribute,
    }).parse(xml) as Parsed;
    const roads = await read(xml);
    const drivable = parsed.osm.way.filter(({ tag }) =>
      tag.some((one) => one['@_k'] === 'highway' && one['@_v'] !== 'footway'),
    );
    expect(roads.ways).toHaveLength(drivable.length);
    expect(roads.restrictions).toHaveLength(parsed.osm.relation.length);
    expect(roads.ids).toHaveLength(parsed.osm.node.length);
  });

  it('reads elements in any order, in pieces of any size and packed', async () => {
    const plain = await read(xml);
    const [head, ...rest] = xml.split(/(?=^ {2}<(?:node|way|relation))/m);
    const turned = [head, ...rest.map((one) => one.replace('</osm>\n', '')).reverse(), '</osm>'].join('');
    const shuffled = await read(turned);
    expect(shuffled.ways.map(({ id }) => id).sort()).toEqual(plain.ways.map(({ id }) => id));
    const bytes = new TextEncoder().encode(xml.replace('Lower Row', 'Löwer Röw'));
    const byOne = await readOsm(Array.from(bytes, (byte) => Uint8Array.of(byte)));
    expect(byOne.ways[0]!.name).toBe('Löwer Röw');
    expect(await readOsm([gzipSync(xml)])).toEqual(plain);
  });

  it('takes what stands there twice once', async () => {
    const elements = xml.slice(xml.indexOf('  <node'), xml.indexOf('</osm>'));
    expect(await read(xml.replace('</osm>', `${elements}</osm>`))).toMatchObject({ ways: { length: 4 } });
  });

  it('cuts a way where its nodes are not in the file', async () => {
    const { ways, missingNodes } = await read(
      osmXml({ nodes: { a: [0, 0], b: [9, 0], c: [20, 0], d: [30, 0] }, ways: { 1: ['a b x c d x'] } }),
    );
    expect(ways.map(({ nodes }) => nodes.length)).toEqual([2, 2]);
    expect(missingNodes).toBe(2);
  });

  it.each<[string, string, Partial<RoadsProblem>]>([
    ['an empty file', '', { code: 'empty' }],
    ['another root', '<gpx version="1.1"></gpx>', { code: 'otherRoot', line: 1, root: 'gpx' }],
    ['an end in the middle', xml.slice(0, xml.indexOf('<way id="3"') + 30), { code: 'cutShort', open: 'way' }],
    [
      'a broken tag',
      xml.replace('<nd ref="2"/>', '<nd ref="2"'),
      { code: 'badXml', line: lineOf('<nd ref="2"/>') + 1 },
    ],
    ['a node without place', xml.replace(/ lat="[^"]*"/, ''), { code: 'noPlace', id: '1', line: 3 }],
    ['a node beyond the pole', xml.replace(/lat="[^"]*"/, 'lat="97"'), { code: 'impossiblePlace', id: '1', line: 3 }],
    ['a place that is no number', xml.replace(/lat="[^"]*"/, 'lat="x"'), { code: 'impossiblePlace' }],
    ['two places for one node', xml.replace('node id="2"', 'node id="1"'), { code: 'idTwice', id: '1' }],
    ['a way without number', xml.replace('way id="3"', 'way'), { code: 'noId', element: 'way' }],
    [
      'entities that grow',
      '<!DOCTYPE osm [<!ENTITY a "ha"><!ENTITY b "&a;&a;">]><osm>&b;</osm>',
      { code: 'documentType', line: 1 },
    ],
    ['an unknown entity', '<osm>&b;</osm>', { code: 'badXml' }],
    ['another encoding', '<?xml version="1.0" encoding="ISO-8859-1"?><osm/>', { code: 'otherEncoding' }],
    ['no road', '<osm><node id="1" lat="1" lon="1"/></osm>', { code: 'noRoads' }],
  ])('says what is wrong with %s', async (_, text, problem) => {
    expect(await problemOf(read(text))).toMatchObject(problem);
  });

  it('says what is wrong with bytes', async () => {
    expect(await problemOf(readOsm([Uint8Array.of(0x3c, 0xff, 0x3e)]))).toMatchObject({ code: 'notUtf8' });
    expect(await problemOf(readOsm([Uint8Array.of(0xff, 0xfe, 0x3c, 0)]))).toMatchObject({ code: 'otherEncoding' });
    expect(await problemOf(readOsm([gzipSync(xml).subarray(0, 200)]))).toEqual({ code: 'badGzip' });
  });

  it('stops when asked to', async () => {
    await expect(readOsm(bytesOf(xml), { signal: AbortSignal.abort(new Error('enough')) })).rejects.toThrow('enough');
  });
});
