import { createReadStream } from 'node:fs';
import path from 'node:path';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { metresBetween } from '@jasperwren/roads/geometry';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import { readRoads } from '@jasperwren/roads/read-roads';
import { endAt } from '@jasperwren/roads/route/via';
import type { RouteStop } from './driving-route';
import { openGraph, readRoute, type RouteReading } from './read-route';
import { stopsOf } from './stops-of';
import { between, placesAlong } from './along-line';

const roads = (async () => {
  const file = path.join(process.cwd(), 'demo/tarnavel.osm');
  return openGraph(await readRoads(file, createReadStream(file)));
})();

const stop = (lat: number, lon: number, mode: RouteStop['mode'] = 'directions'): RouteStop => ({ lat, lon, mode });
const town = [stop(44.2, -33.405), stop(44.205, -33.395, 'signs'), stop(44.195, -33.4)];

async function read(stops: readonly RouteStop[]): Promise<RouteReading> {
  const reading = readRoute(await roads, stops, instructorStyle);
  if (!('line' in reading)) throw new Error('The route cannot be driven.');
  return reading;
}

describe('a route read on its roads', () => {
  it('goes on from leg to leg, with times that rise', async () => {
    const { legs, metres, seconds, line, pace, range } = await read(town);
    expect(legs.map(({ mode }) => mode)).toEqual(['directions', 'signs']);
    expect(legs[1]!.from).toBe(legs[0]!.to);
    expect(legs[1]!.to).toBeCloseTo(metres, 6);
    const drawn = line
      .slice(1)
      .reduce((sum, [lat, lon], i) => sum + metresBetween(line[i]![0], line[i]![1], lat, lon), 0);
    expect(Math.abs(drawn - metres)).toBeLessThan(1);
    for (let i = 1; i < pace.length; i++) expect(pace[i]![1]).toBeGreaterThanOrEqual(pace[i - 1]![1]);
    expect(range.from).toBeLessThan(seconds);
    expect(range.to).toBeGreaterThan(seconds);
  });

  it('counts the legs driven without directions', async () => {
    const { independent, legs } = await read(town);
    expect(independent).toBeCloseTo(legs[1]!.toSeconds - legs[1]!.fromSeconds, 6);
  });

  it('places calls before their junctions, both on the line', async () => {
    const { calls, line } = await read(town);
    expect(calls.length).toBeGreaterThan(3);
    const at = placesAlong(line);
    for (const { at: metres, distance, said, junction } of calls) {
      const place = at(metres + distance);
      expect(metresBetween(place.lat, place.lon, junction.lat, junction.lon)).toBeLessThan(1);
      expect(metresBetween(said.lat, said.lon, junction.lat, junction.lon)).toBeLessThanOrEqual(distance + 1);
    }
  });

  it('says which leg cannot be driven, and reads those before it', async () => {
    const { broken, legs } = await read([...town, stop(44.5, -33.4)]);
    expect(broken).toEqual({ leg: 2, problem: { code: 'notOnRoads', end: 'via', metres: 200 } });
    expect(legs).toHaveLength(2);
    expect(readRoute(await roads, [stop(0, 0), town[0]!], instructorStyle)).toMatchObject({ broken: { leg: 0 } });
  });

  it('of a planned loop leads over the very same roads', async () => {
    const open = await roads;
    const from = endAt(open.graph, open.finder, town[0]!);
    const [loop] = planLoops(open.graph, open.router, open.time, open.side, { from, minutes: 25, loops: 1, seed: 4 });
    const stops = stopsOf(open, loop!.path, from, 'directions');
    const reading = await read(stops);
    expect(reading.edges).toEqual(loop!.path.edges);
    expect(stops.length).toBeLessThan(loop!.path.edges.length / 2);
  });
});

it('values between pairs', () => {
  const pairs = [
    [0, 0],
    [10, 100],
    [10, 110],
    [20, 120],
  ] as const;
  expect([between(pairs, 5), between(pairs, 15), between(pairs, 99), between([], 3)]).toEqual([50, 115, 120, 0]);
});
