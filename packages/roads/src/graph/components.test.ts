import fc from 'fast-check';
import { drawn, type Drawing } from '../testing';
import { deadEnds, partsOf, stronglyConnected } from './components';
import { buildGraph, edgesFrom, type RoadGraph } from './graph';

const letters = 'abcdefghijkl';

/** Streets between places on a grid, some of one way. */
const drawing = fc
  .uniqueArray(fc.tuple(fc.nat(letters.length - 1), fc.nat(letters.length - 1), fc.boolean()), {
    minLength: 3,
    maxLength: 16,
    selector: ([a, b]) => `${Math.min(a, b)} ${Math.max(a, b)}`,
  })
  .map((streets): Drawing => {
    const used = streets.filter(([a, b]) => a !== b);
    return {
      nodes: Object.fromEntries(
        [...letters].map((letter, i) => [letter, [(i % 4) * 150 + (i >> 2) * 13, (i >> 2) * 170 + (i % 4) * 7]]),
      ),
      ways: Object.fromEntries(
        used.map(([a, b, oneway], i) => [i + 1, [`${letters[a]} ${letters[b]}`, oneway ? { oneway: 'yes' } : {}]]),
      ),
    };
  })
  .filter(({ ways }) => Object.keys(ways).length > 0);

/** Where one can drive to from a vertex, by trying every road. */
function reached(graph: RoadGraph, from: number): ReadonlySet<number> {
  const seen = new Set([from]);
  const open = [from];
  for (let v = open.pop(); v !== undefined; v = open.pop())
    for (const edge of edgesFrom(graph, v)) {
      const to = graph.edgeTo[edge]!;
      if (!seen.has(to)) open.push(to);
      seen.add(to);
    }
  return seen;
}

it('puts together exactly what can be driven to and back from, whatever the roads', async () => {
  await fc.assert(
    fc.asyncProperty(drawing, async (one) => {
      const graph = buildGraph(await drawn(one));
      const { part, count } = stronglyConnected(graph);
      const reach = Array.from({ length: graph.vertexCount }, (_, v) => reached(graph, v));
      for (let a = 0; a < graph.vertexCount; a++)
        for (let b = 0; b < graph.vertexCount; b++)
          expect(part[a] === part[b]).toBe(reach[a]!.has(b) && reach[b]!.has(a));
      const parts = partsOf(graph);
      expect(parts).toHaveLength(count);
      expect(parts.flat().sort((a, b) => a - b)).toEqual(Array.from({ length: graph.vertexCount }, (_, v) => v));
      expect(parts.map(({ length }) => length)).toEqual(parts.map(({ length }) => length).sort((a, b) => b - a));
    }),
    { numRuns: 60 },
  );
});

it('finds where a road ends, and not where one can only arrive', async () => {
  const graph = buildGraph(
    await drawn({
      nodes: { a: [0, 0], b: [100, 0], c: [200, 0], d: [100, 100], e: [100, -100] },
      ways: { 1: ['a b c'], 2: ['b d', { oneway: 'yes' }], 3: ['b e'] },
    }),
  );
  // Of a, c, e and d only d has no way back.
  expect(deadEnds(graph)).toHaveLength(3);
});
