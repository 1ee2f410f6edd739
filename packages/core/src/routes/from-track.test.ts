import { createReadStream } from 'node:fs';
import path from 'node:path';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import { readRoads } from '@jasperwren/roads/read-roads';
import { endAt } from '@jasperwren/roads/route/via';
import { stopsFromTrack } from './from-track';
import { openGraph, readRoute } from './read-route';
import { stopsOf } from './stops-of';

const roads = (async () => {
  const file = path.join(process.cwd(), 'demo/tarnavel.osm');
  return openGraph(await readRoads(file, createReadStream(file)));
})();

it('a track along the roads leads over the same roads', async () => {
  const open = await roads;
  const from = endAt(open.graph, open.finder, { lat: 44.2, lon: -33.405 });
  const [loop] = planLoops(open.graph, open.router, open.time, open.side, { from, minutes: 15, loops: 1, seed: 9 });
  const first = readRoute(open, stopsOf(open, loop!.path, from, 'directions'), instructorStyle);
  if (!('line' in first)) throw new Error('unread');
  // A logger is off by some metres.
  const places = first.line.map(([lat, lon], i) => ({ lat: lat + (i % 2 ? 3e-5 : -3e-5), lon }));
  const { stops, unmatched } = stopsFromTrack(open, places);
  const second = readRoute(open, stops, instructorStyle);
  if (!('line' in second)) throw new Error('unread');
  expect(unmatched).toEqual([]);
  expect(Math.abs(second.metres / first.metres - 1)).toBeLessThan(0.03);
  const own = new Set(first.edges);
  expect(second.edges.filter((edge) => own.has(edge)).length / second.edges.length).toBeGreaterThan(0.95);
});

it('says which part of a track lies on no road', async () => {
  const open = await roads;
  const at = (lon: number) => ({ lat: 44.2, lon });
  const { unmatched } = stopsFromTrack(open, [at(-33.405), at(-33.2)]);
  expect(unmatched.length).toBeGreaterThan(0);
  expect(unmatched.at(-1)!.to).toBeGreaterThan(15_000);
});
