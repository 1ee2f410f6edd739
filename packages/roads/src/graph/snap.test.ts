import fc from 'fast-check';
import { metresBetween } from '../geometry';
import { drawn, placeAt } from '../testing';
import { buildGraph, stretchLine } from './graph';
import { finder } from './snap';

const net = drawn({
  nodes: { a: [0, 0], b: [400, 30], c: [800, 0], d: [400, 500], e: [0, 480], f: [900, 900], g: [20, 900] },
  ways: { 1: ['a b'], 2: ['b c'], 3: ['b d e'], 4: ['e a'], 5: ['f g'], 6: ['d f'] },
}).then(buildGraph);

it('finds the nearest road: no point of any road is nearer', async () => {
  const graph = await net;
  const { near } = finder(graph);
  const points = Array.from({ length: graph.stretchCount }, (_, stretch) => stretchLine(graph, stretch)).flatMap(
    (line) =>
      line.slice(1).flatMap(([lat, lon], i) =>
        Array.from({ length: 200 }, (__, k) => {
          const [latA, lonA] = line[i]!;
          return [latA + ((lat - latA) * k) / 200, lonA + ((lon - lonA) * k) / 200] as const;
        }),
      ),
  );
  const metres = fc.double({ min: -200, max: 1100, noNaN: true });
  fc.assert(
    fc.property(metres, metres, (x, y) => {
      const place = placeAt(x, y);
      const [found] = near(place);
      const least = Math.min(...points.map(([lat, lon]) => metresBetween(place.lat, place.lon, lat, lon)));
      expect(found!.away).toBeLessThan(least + 0.2);
      expect(metresBetween(place.lat, place.lon, found!.lat, found!.lon)).toBeCloseTo(found!.away, 0);
    }),
    { numRuns: 150 },
  );
});

it('gives several stretches nearest first, each once, and none farther than asked', async () => {
  const graph = await net;
  const all = finder(graph).near(placeAt(380, 60), Infinity, 99);
  expect(all).toHaveLength(graph.stretchCount);
  expect(new Set(all.map(({ stretch }) => stretch)).size).toBe(all.length);
  expect(all.map(({ away }) => away)).toEqual(all.map(({ away }) => away).sort((a, b) => a - b));
  const close = finder(graph).near(placeAt(380, 60), 40, 99);
  expect(close.length).toBeGreaterThan(0);
  for (const { away } of close) expect(away).toBeLessThanOrEqual(40);
  expect(finder(graph).near(placeAt(5000, 5000), 100)).toEqual([]);
});
