import { createReadStream } from 'node:fs';
import path from 'node:path';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { readRoads } from '@jasperwren/roads/read-roads';
import { stopsFor } from './add-feature';
import type { RouteStop } from './driving-route';
import { openGraph, readRoute } from './read-route';

const file = path.join(process.cwd(), 'demo/tarnavel.osm');

it('a stop brings what a route lacks, at the time it says', async () => {
  const roads = openGraph(await readRoads(file, createReadStream(file)));
  const stops = [
    [44.2, -33.405],
    [44.205, -33.395],
    [44.2, -33.405],
  ].map(([lat, lon]): RouteStop => ({ lat: lat!, lon: lon!, mode: 'directions' }));
  const reading = readRoute(roads, stops, instructorStyle);
  if (!('line' in reading)) throw new Error('unread');
  const kinds = reading.missing.map(({ kind }) => kind).filter((kind) => kind !== 'left-turn' && kind !== 'right-turn');
  expect(kinds).toContain('dual-carriageway');
  const found = stopsFor(roads, stops, reading, kinds, instructorStyle);
  expect(found.map(({ kind }) => kind)).toContain('mini-roundabout');
  for (const { kind, leg, at, seconds } of found) {
    const longer = readRoute(roads, stops.toSpliced(leg + 1, 0, { ...at, mode: 'directions' }), instructorStyle);
    if (!('line' in longer)) throw new Error('unread');
    expect(longer.counts[kind] ?? 0).toBeGreaterThan(reading.counts[kind] ?? 0);
    expect(longer.seconds - reading.seconds).toBeCloseTo(seconds, 6);
  }
  // Turns are met anywhere: there is no place to name for them.
  expect(stopsFor(roads, stops, reading, ['left-turn'], instructorStyle)).toEqual([]);
});
