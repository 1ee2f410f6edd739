import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { RoadsError } from '../problem';
import { readGpx, writeGpx } from './gpx';
import { writeRouteGeoJson } from './route-geojson';

const stops = [
  { lat: 48.1, lon: -30.2 },
  { lat: 48.11, lon: -30.21 },
];
const line = [
  [48.1, -30.2],
  [48.105, -30.2051234],
  [48.11, -30.21],
] as const;
const gpx = writeGpx('Quay & Mole', stops, line);

describe('GPX 1.1', () => {
  it('is read as it was written', () => {
    expect(readGpx(gpx)).toEqual([
      { name: 'Quay & Mole', places: line.map(([lat, lon]) => ({ lat, lon })) },
      { name: 'Quay & Mole', places: stops },
    ]);
  });

  it('is read by another program, and its files by us (GPSBabel)', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'gpx-'));
    const [own, theirs, csv] = ['own.gpx', 'theirs.gpx', 'points.csv'].map((name) => path.join(folder, name)) as [
      string,
      string,
      string,
    ];
    writeFileSync(own, gpx);
    const babel = (...args: string[]) => execFileSync('gpsbabel', args);
    babel('-i', 'gpx', '-f', own, '-x', 'transform,wpt=trk', '-o', 'csv', '-F', csv);
    const points = readFileSync(csv, 'utf8')
      .trim()
      .split('\n')
      .map((row) => row.split(',').slice(0, 2).map(Number));
    expect(points.length).toBeGreaterThanOrEqual(3);
    points.slice(0, 3).forEach(([lat, lon], i) => {
      expect(lat).toBeCloseTo(line[i]![0], 4);
      expect(lon).toBeCloseTo(line[i]![1], 4);
    });
    babel('-t', '-r', '-i', 'gpx', '-f', own, '-o', 'gpx', '-F', theirs);
    expect(
      readGpx(readFileSync(theirs, 'utf8'))
        .map(({ places }) => places.length)
        .sort(),
    ).toEqual([2, 3]);
  });

  it.each([
    ['', { code: 'empty' }],
    ['<gpx><trk></gpx>', { code: 'badXml', line: 1 }],
    ['<osm/>', { code: 'otherRoot', root: 'osm' }],
    ['<gpx/>', { code: 'noTrack' }],
    ['<gpx><rte><rtept lat="1" lon="2"/></rte></gpx>', { code: 'noTrack' }],
    ['<gpx><rte><rtept lat="1" lon="2"/><rtept lat="99" lon="2"/></rte></gpx>', { code: 'badFeature', feature: 2 }],
    ['<gpx><rte><rtept lat="1" lon="2"/><rtept lon="2"/></rte></gpx>', { code: 'badFeature', feature: 2 }],
    ['<!DOCTYPE gpx [<!ENTITY a "b">]><gpx/>', { code: 'documentType', line: 1 }],
  ])('%j is refused', (text, problem) => {
    let thrown: unknown;
    try {
      readGpx(text);
    } catch (error) {
      thrown = error;
    }
    expect(thrown).toBeInstanceOf(RoadsError);
    expect((thrown as RoadsError).problem).toMatchObject(problem);
  });
});

it('a route as GeoJSON has its line and its stops, longitude first (RFC 7946)', () => {
  const json = JSON.parse(writeRouteGeoJson('Quay', stops, line)) as {
    features: { geometry: { type: string; coordinates: unknown[] } }[];
  };
  expect(json.features.map((one) => one.geometry.type)).toEqual(['LineString', 'Point', 'Point']);
  expect(json.features[0]!.geometry.coordinates[1]).toEqual([-30.2051234, 48.105]);
});
