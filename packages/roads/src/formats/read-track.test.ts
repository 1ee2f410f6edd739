import { RoadsError } from '../problem';
import { writeGpx } from './gpx';
import { readTrack } from './read-track';
import { writeRouteGeoJson } from './route-geojson';

const line = [
  [48.1, -30.2],
  [48.2, -30.1],
  [48.3, -30.3],
] as const;
const places = line.map(([lat, lon]) => ({ lat, lon }));
const problemOf = (file: string, text: string) => {
  try {
    readTrack(file, text);
  } catch (error) {
    return error instanceof RoadsError ? error.problem : error;
  }
  return undefined;
};

describe('a route from a file', () => {
  it('comes back from both formats as it was written, with its name', () => {
    const stops = [places[0]!, places[2]!];
    expect(readTrack('a.geojson', writeRouteGeoJson('Quay', stops, line))).toEqual({ name: 'Quay', places });
    expect(readTrack('a.gpx', writeGpx('Quay', stops, line))).toEqual({ name: 'Quay', places });
  });

  it('is the first line of bare geometry as well', () => {
    const text = JSON.stringify({ type: 'MultiLineString', coordinates: [[], line.map(([lat, lon]) => [lon, lat])] });
    expect(readTrack('a.json', text).places).toEqual(places);
  });

  it.each([
    ['', { code: 'empty' }],
    ['{"type":', { code: 'badJson', line: 1, column: 9 }],
    ['{"type":"Point","coordinates":[0,0]}', { code: 'noTrack' }],
    ['[]', { code: 'noTrack' }],
    ['{"type":"LineString","coordinates":[[0,0],[0,95]]}', { code: 'badFeature', feature: 1 }],
    ['{"type":"LineString","coordinates":[[0,0],null]}', { code: 'badFeature', feature: 1 }],
    ['{"type":"LineString"}', { code: 'badFeature', feature: 1 }],
  ])('is refused with its reason: %s', (text, problem) => {
    expect(problemOf('a.geojson', text)).toEqual(problem);
  });
});
