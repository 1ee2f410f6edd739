import fc from 'fast-check';
import { metresBetween } from '../geometry';
import { buildGraph, edgeMetres } from '../graph/graph';
import { finder } from '../graph/snap';
import { makeRouter } from '../route/router';
import { byDistance } from '../route/time-model';
import { drawn, placeAt } from '../testing';
import { measuredLine, placeOf, timesAlong, withinPath } from './along-piece';

/** A road with two bends, 1,000 m from its first node to its last. */
const road = (async () => {
  const graph = buildGraph(
    await drawn({
      nodes: { a: [0, 0], b: [300, 0], c: [300, 400], d: [600, 400], x: [300, -60] },
      ways: { 1: ['a b'], 2: ['b c d'], 3: ['b x'] },
    }),
  );
  const { near } = finder(graph);
  const path = makeRouter(graph, byDistance(graph)).find(near(placeAt(100, 0))[0]!, near(placeAt(500, 400))[0]!)!;
  return { graph, path };
})();

it('measures a path from where it begins on its first edge, piece by piece', async () => {
  const { graph, path } = await road;
  const line = measuredLine(graph, path);
  expect(path.metres).toBeCloseTo(200 + 400 + 200, 0);
  expect(line[0]![2]).toBeCloseTo(-path.start, 6);
  expect(line.at(-1)![2]).toBeCloseTo(
    path.edges.reduce((sum, edge) => sum + edgeMetres(graph, edge), 0) - path.start,
    6,
  );
  line.slice(1).forEach(([lat, lon, metres], i) => {
    const [latA, lonA, before] = line[i]!;
    expect(metres - before).toBeCloseTo(metresBetween(latA, lonA, lat, lon), 6);
  });
});

it('says where so many metres on are: as far apart along the line as they are asked for', async () => {
  const { graph, path } = await road;
  const line = measuredLine(graph, path);
  const at = placeOf(line);
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 190, noNaN: true }),
      fc.double({ min: 0, max: 190, noNaN: true }),
      (one, other) => {
        // On the straight first part the way and the line of sight are one.
        const [a, b] = [at(one), at(other)];
        expect(metresBetween(a.lat, a.lon, b.lat, b.lon)).toBeCloseTo(Math.abs(one - other), 3);
      },
    ),
  );
  expect(at(-1e6)).toEqual({ lat: line[0]![0], lon: line[0]![1] });
  expect(at(1e6)).toEqual({ lat: line.at(-1)![0], lon: line.at(-1)![1] });
});

it('cuts a line where the path begins and ends', async () => {
  const { graph, path } = await road;
  const cut = withinPath(measuredLine(graph, path), path.metres);
  expect(cut[0]![2]).toBe(0);
  expect(cut.at(-1)![2]).toBe(path.metres);
  const [from, to] = [placeAt(100, 0), placeAt(500, 400)];
  expect(metresBetween(cut[0]![0], cut[0]![1], from.lat, from.lon)).toBeLessThan(0.1);
  expect(metresBetween(cut.at(-1)![0], cut.at(-1)![1], to.lat, to.lon)).toBeLessThan(0.1);
  expect(cut.map(([, , metres]) => metres)).toEqual(cut.map(([, , metres]) => metres).sort((a, b) => a - b));
});

it('a car never goes back, however the fixes waver, and stands where it stood', async () => {
  const { graph, path } = await road;
  const line = measuredLine(graph, path);
  const at = placeOf(line);
  const noise = 6;
  const wavering = fc.array(fc.double({ min: -2 * noise, max: 2 * noise, noNaN: true }), {
    minLength: 81,
    maxLength: 81,
  });
  fc.assert(
    fc.property(wavering, (off) => {
      // Ten metres a second, with ten seconds at the corner.
      const truly = (second: number) =>
        Math.min(path.metres, second <= 20 ? second * 10 : second <= 30 ? 200 : (second - 10) * 10);
      const fixes = off.map((by, second) => ({ ...at(Math.max(0, truly(second) + by)), at: second * 1000 }));
      const seen = [0, 20, 40, 60, 80].map((second) => [second * 1000, truly(second)] as const);
      const { times, away } = timesAlong(graph, path, seen, fixes, noise);
      const metres = times.map(([, along]) => along);
      expect(metres).toEqual([...metres].sort((a, b) => a - b));
      expect(times.map(([time]) => time)).toEqual(times.map(([time]) => time).sort((a, b) => a - b));
      expect(Math.min(...metres)).toBeGreaterThanOrEqual(-1e-9);
      expect(Math.max(...metres)).toBeLessThanOrEqual(path.metres + 1e-6);
      for (const by of away) expect(by).toBeLessThan(4 * noise);
      for (const [time, along] of times) expect(Math.abs(along - truly(time / 1000))).toBeLessThan(4 * noise);
    }),
  );
});

it('fixes on the line lie nowhere beside it', async () => {
  const { graph, path } = await road;
  const at = placeOf(measuredLine(graph, path));
  const fixes = Array.from({ length: 9 }, (_, i) => ({ ...at(i * 100), at: i * 1000 }));
  const { times, away } = timesAlong(
    graph,
    path,
    [
      [0, 0],
      [8000, 800],
    ],
    fixes,
    5,
  );
  for (const by of away) expect(by).toBeLessThan(0.05);
  for (const [time, along] of times) expect(along).toBeCloseTo(time / 10, 0);
});
