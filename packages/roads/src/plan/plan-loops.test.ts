import { createReadStream } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { countFeatures, featuresOf, type FeatureKind } from '../features/features';
import { buildGraph, type RoadGraph } from '../graph/graph';
import { finder } from '../graph/snap';
import { readRoads } from '../read-roads';
import { makeRouter } from '../route/router';
import { byTime } from '../route/time-model';
import { endAt, repeatedShare } from '../route/via';
import { drawn, placeAt, type Drawing } from '../testing';
import { planLoops } from './plan-loops';
import type { Loop } from './loop';
import { sitesOf } from './sites';

const island = (async () => {
  const file = path.join(process.cwd(), 'demo/tarnavel.osm');
  const graph = buildGraph(await readRoads(file, createReadStream(file)));
  const time = byTime(graph, 'left');
  return { graph, time, router: makeRouter(graph, time), near: finder(graph) };
})();

function endOf(graph: RoadGraph, vertex: number) {
  const node = graph.vertexNode[vertex]!;
  return { vertex, lat: graph.source.lat[node]!, lon: graph.source.lon[node]! };
}

describe('loops on the island', () => {
  it('last as long as wished and hold what is wished, or say what they lack, from 20 places', async () => {
    const { graph, time, router } = await island;
    const wants: Partial<Record<FeatureKind, number>> = {
      signals: 2,
      stop: 1,
      'mini-roundabout': 1,
      'roundabout-right': 1,
      crossing: 2,
      'limit-change': 4,
    };
    for (let i = 0; i < 20; i++) {
      const vertex = (i * 7919) % graph.vertexCount;
      const [loop] = planLoops(graph, router, time, 'left', {
        from: endOf(graph, vertex),
        minutes: 40,
        wants,
        loops: 1,
        seed: i,
      });
      expect(Math.abs(loop!.seconds / 2400 - 1)).toBeLessThanOrEqual(0.1);
      expect(router.isLegal(loop!.path.edges)).toBe(true);
      expect(graph.edgeFrom[loop!.path.edges[0]!]).toBe(vertex);
      expect(graph.edgeTo[loop!.path.edges.at(-1)!]).toBe(vertex);
      const counts = countFeatures(featuresOf(graph, loop!.path, 'left'));
      for (const [kind, count] of Object.entries(wants) as [FeatureKind, number][]) {
        const lacking = loop!.unmet.find((one) => one.kind === kind);
        expect((counts[kind] ?? 0) >= count || lacking?.found === (counts[kind] ?? 0)).toBe(true);
      }
    }
  }, 240_000);

  it('are the same for the same seed, and differ from one another', async () => {
    const { graph, time, router, near } = await island;
    const wish = {
      from: endAt(graph, near, { lat: 44.2, lon: -33.405 }),
      minutes: 35,
      seed: 11,
      wants: { signals: 1 },
    };
    const run = () => planLoops(graph, router, time, 'left', wish);
    const first = run();
    expect(first.map(({ path: { edges } }) => edges)).toEqual(run().map(({ path: { edges } }) => edges));
    expect(first).toHaveLength(3);
    for (const loop of first.slice(1)) expect(loop.shared).toBeLessThanOrEqual(0.5);
    for (const loop of first) expect(loop.repeated).toBe(repeatedShare(graph, loop.path));
  });

  it('names what the roads do not have', async () => {
    const graph = buildGraph(await drawn(town(4)));
    const time = byTime(graph, 'left');
    const [loop] = planLoops(graph, makeRouter(graph, time), time, 'left', {
      from: endOf(graph, 0),
      minutes: 3,
      wants: { signals: 1 },
      loops: 1,
      seed: 1,
    });
    expect(loop!.unmet).toEqual([{ kind: 'signals', wanted: 1, found: 0 }]);
    expect(sitesOf(graph).get('signals')).toBeUndefined();
  });

  it('stop when asked to', async () => {
    const { graph, time, router } = await island;
    let asked = 0;
    const wish = { from: endOf(graph, 5), minutes: 40, seed: 1, loops: 1, wants: { signals: 99 } };
    const [loop] = planLoops(graph, router, time, 'left', wish, { shouldStop: () => ++asked > 5 });
    expect(asked).toBe(6);
    expect(loop).toBeDefined();
  });
});

/** A net of streets, every fourth of them one-way. */
function town(size: number, oneWay: readonly number[] = []): Drawing {
  const nodes: Record<string, [number, number]> = {};
  const ways: Record<number, [string, Record<string, string>]> = {};
  let id = 0;
  for (let x = 0; x < size; x++)
    for (let y = 0; y < size; y++) {
      nodes[`n${x}_${y}`] = [250 * x + 17 * y, 250 * y - 11 * x];
      for (const [dx, dy] of [
        [1, 0],
        [0, 1],
      ] as const)
        if (x + dx < size && y + dy < size)
          ways[++id] = [`n${x}_${y} n${x + dx}_${y + dy}`, oneWay.includes(id) ? { oneway: 'yes' } : {}];
    }
  return { nodes, ways };
}

/** The loop nearest to a wished time among all that use no street twice. */
function exhaustive(
  graph: RoadGraph,
  loops: (edges: readonly number[]) => number,
  start: number,
  seconds: number,
): number {
  let best = Infinity;
  const walk = (edges: readonly number[], used: ReadonlySet<number>) => {
    const vertex = edges.length === 0 ? start : graph.edgeTo[edges.at(-1)!]!;
    if (edges.length > 0) {
      const taken = loops(edges);
      if (taken > seconds * 1.6) return;
      if (vertex === start) best = Math.min(best, Math.abs(taken / seconds - 1));
    }
    for (let i = graph.outStart[vertex]!; i < graph.outStart[vertex + 1]!; i++) {
      const edge = graph.out[i]!;
      const stretch = graph.edgeStretch[edge]!;
      if (used.has(stretch) || edge === graph.edgeBack[edges.at(-1)!]) continue;
      walk([...edges, edge], new Set(used).add(stretch));
    }
  };
  walk([], new Set());
  return best;
}

describe('loops on small nets', () => {
  it('are within five hundredths of the best there is', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 2, max: 6 }),
        fc.array(fc.integer({ min: 1, max: 12 }), { maxLength: 2 }),
        fc.nat(1000),
        async (quarters, oneWay, seed) => {
          const graph = buildGraph(await drawn(town(3, oneWay)));
          const time = byTime(graph, 'left');
          const seconds = quarters * 45;
          const cost = (edges: readonly number[]) =>
            edges.reduce((sum, edge, i) => sum + time.edge[edge]! + (i > 0 ? time.turn(edges[i - 1]!, edge) : 0), 0);
          const best = exhaustive(graph, cost, 0, seconds);
          fc.pre(best < Infinity);
          let loop: Loop | undefined;
          try {
            [loop] = planLoops(graph, makeRouter(graph, time), time, 'left', {
              from: endOf(graph, 0),
              minutes: seconds / 60,
              loops: 1,
              seed,
            });
          } catch {
            loop = undefined;
          }
          expect(loop).toBeDefined();
          expect(Math.abs(loop!.seconds / seconds - 1)).toBeLessThanOrEqual(best + 0.05 + 1e-9);
        },
      ),
      {
        numRuns: 60,
        examples: [
          [6, [3], 0],
          [6, [3], 99],
          [3, [], 501],
          [6, [], 0],
        ],
      },
    );
  });

  it('begin and end at their place, even in the middle of a street', async () => {
    const graph = buildGraph(await drawn(town(4, [3])));
    const time = byTime(graph, 'left');
    const from = endAt(graph, finder(graph), placeAt(125, 0));
    expect('stretch' in from).toBe(true);
    const [loop] = planLoops(graph, makeRouter(graph, time), time, 'left', { from, minutes: 5, loops: 1, seed: 3 });
    const { edges } = loop!.path;
    expect(graph.edgeStretch[edges[0]!]).toBe((from as { stretch: number }).stretch);
    expect(graph.edgeStretch[edges.at(-1)!]).toBe((from as { stretch: number }).stretch);
  });
});
