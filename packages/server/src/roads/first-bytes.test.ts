import { gzipSync } from 'node:zlib';
import { readFileSync } from 'node:fs';
import { beginsLikeRoads, firstBytes } from './first-bytes';

const start = (bytes: Buffer | string) => Buffer.from(bytes).subarray(0, firstBytes);
const osm = readFileSync('demo/tarnavel.osm').subarray(0, 200_000);

describe('the beginning of a file', () => {
  it.each<[string, Buffer | string]>([
    ['the island', osm],
    ['the same packed', gzipSync(osm)],
    ['lines', '{"type":"FeatureCollection","features":[]}'],
    ['lines after blanks and a mark', '\ufeff \n {"type":"FeatureCollection"}'],
    ['text of another encoding, which is told so later', Buffer.from('\ufeff<osm/>', 'utf16le')],
  ])('may be one of roads: %s', (_, bytes) => {
    expect(beginsLikeRoads(start(bytes))).toBe(true);
  });

  it.each<[string, Buffer | string]>([
    ['nothing', ''],
    ['blanks', ' \n '],
    ['words', 'x'],
    // The marks of programs and pictures (ELF, PE, PNG: their specifications, from memory).
    ['a program', Buffer.from([0x7f, 0x45, 0x4c, 0x46, 2, 1, 1, 0])],
    ['another program', Buffer.from('MZ\u0090')],
    ['a picture', Buffer.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10])],
    ['a program packed', gzipSync(Buffer.from([0x7f, 0x45, 0x4c, 0x46]))],
    ['a broken pack', Buffer.from([0x1f, 0x8b, 8, 99, 1, 2, 3])],
    ['a zip', Buffer.from('PK\u0003\u0004')],
  ])('is none of roads: %s', (_, bytes) => {
    expect(beginsLikeRoads(start(bytes))).toBe(false);
  });
});
