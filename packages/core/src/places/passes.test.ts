import { createReadStream } from 'node:fs';
import path from 'node:path';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import { readRoads } from '@jasperwren/roads/read-roads';
import { endAt } from '@jasperwren/roads/route/via';
import { simulateTrace } from '@jasperwren/roads/traces/simulate';
import { matchTrace } from '@jasperwren/roads/traces/match';
import { cleanFixes } from '@jasperwren/roads/traces/fix';
import { endsOver, practiceLoop } from '../routes/practice-loop';
import { openGraph } from '../routes/read-route';
import { readingOf, whereAt } from '../traces/reading';
import { passesOf, placeSorts } from './passes';
import { placeMoment } from './place-marks';

const start = { lat: 44.2, lon: -33.405 };
const opened = (async () => {
  const file = path.join(process.cwd(), 'demo/tarnavel.osm');
  const roads = openGraph(await readRoads(file, createReadStream(file)));
  const from = endAt(roads.graph, roads.finder, start);
  const wants = { 'mini-roundabout': 1, 'roundabout-right': 1, 'left-turn': 4 };
  const [loop] = planLoops(roads.graph, roads.router, roads.time, roads.side, {
    from,
    minutes: 25,
    wants,
    loops: 1,
    seed: 4,
  });
  return { roads, path: loop!.path };
})();

it('finds junctions and roads in the order they are driven, none twice at once', async () => {
  const { roads, path: way } = await opened;
  const passes = passesOf(roads.graph, roads.side, way);
  expect(passes.length).toBeGreaterThan(20);
  expect(new Set(passes.map(({ place }) => place.sort)).size).toBeGreaterThanOrEqual(4);
  for (const { place, from, to } of passes) {
    expect(placeSorts).toContain(place.sort);
    expect(to).toBeGreaterThanOrEqual(from);
    expect(to).toBeLessThanOrEqual(way.metres + 1);
    expect(roads.finder.near(place, 30)).not.toEqual([]);
  }
  // The same way again leads over the same places.
  expect(passesOf(roads.graph, roads.side, way)).toEqual(passes);
});

it('leaves out what is not sure', async () => {
  const { roads, path: way } = await opened;
  const none = passesOf(
    roads.graph,
    roads.side,
    way,
    way.edges.map(() => 0.5),
  );
  expect(none).toEqual([]);
});

it('puts a fault that was touched in late at the junction it was made at', async () => {
  const { roads, path: way } = await opened;
  const { fixes, truth } = simulateTrace(roads.graph, roads.time, way, { seed: 3, noise: 3 });
  const cleaned = cleanFixes(fixes);
  const match = matchTrace(roads, cleaned.fixes);
  const reading = readingOf(roads.graph, roads.side, match, cleaned);
  expect(reading.pieces).toHaveLength(1);
  const [piece] = reading.pieces;
  const turn = piece!.passes.find(({ place, to }) => place.sort === 'turn' && to > 400)!;
  const passed = piece!.times.find(([, metres]) => metres >= turn.to)![0];
  // Three seconds after the turn, and while it is come to.
  expect(placeMoment(reading, passed + 3000)!.pass!.place).toEqual(turn.place);
  expect(placeMoment(reading, passed - 2000)!.pass!.place).toEqual(turn.place);
  // Where the car truly was, as far as is said.
  for (const [at, metres] of truth.filter((_, i) => i % 40 === 20)) {
    const where = whereAt(reading, at)!;
    expect(Math.abs(where.metres - metres)).toBeLessThan(3 * where.within + 10);
  }
  expect(whereAt(reading, -1)).toBeUndefined();
  expect(placeMoment(reading, 1e12)).toBeUndefined();
});

it('makes a loop that leads over a place, whatever sort it is', async () => {
  const { roads, path: way } = await opened;
  const passes = passesOf(roads.graph, roads.side, way);
  const found = placeSorts.flatMap((sort) => passes.find(({ place }) => place.sort === sort)?.place ?? []);
  expect(found.length).toBeGreaterThanOrEqual(4);
  const loops = found.map((place) => [place.sort, practiceLoop(roads, place, start)?.length ?? 0] as const);
  expect(loops.filter(([, stops]) => stops > 0).map(([sort]) => sort)).toEqual(found.map(({ sort }) => sort));
});

it('plans loops of a wished length that lead over several places', async () => {
  const { roads, path: way } = await opened;
  const passes = passesOf(roads.graph, roads.side, way).filter(({ place }) => place.sort !== 'turn-round');
  const places = [0.2, 0.5, 0.8].map((share) => passes[Math.floor(share * passes.length)]!.place);
  expect(new Set(places.map(({ id }) => id)).size).toBe(3);
  const loops = planLoops(roads.graph, roads.router, roads.time, roads.side, {
    from: endAt(roads.graph, roads.finder, start),
    minutes: 30,
    over: places.map((place) => endsOver(roads, place)!),
    loops: 2,
    seed: 9,
  });
  expect(loops).toHaveLength(2);
  for (const { path: loop, seconds } of loops) {
    expect(Math.abs(seconds / 1800 - 1)).toBeLessThanOrEqual(0.15);
    expect(roads.router.isLegal(loop.edges)).toBe(true);
    const passed = passesOf(roads.graph, roads.side, loop).map(({ place }) => place.id);
    for (const { id } of places) expect(passed).toContain(id);
  }
});

it('makes no loop over a place that is not there', async () => {
  const { roads } = await opened;
  const nowhere = { id: 'turn.1.2.3', sort: 'turn', turn: 'left', ...start } as const;
  expect(practiceLoop(roads, nowhere, start)).toBeUndefined();
  expect(endsOver(roads, nowhere)).toBeUndefined();
  expect(endsOver(roads, { id: 'road.1', sort: 'road', lat: 10, lon: 10 })).toBeUndefined();
});
