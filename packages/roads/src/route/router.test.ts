import fc from 'fast-check';
import createGraph from 'ngraph.graph';
import { aStar } from 'ngraph.path';
import { buildGraph, edgeMetres, edgesFrom, type RoadGraph } from '../graph/graph';
import { bansOf } from '../graph/restrictions';
import { finder, type Snapped } from '../graph/snap';
import { drawn, placeAt, type Drawing } from '../testing';
import { makeRouter } from './router';
import { byDistance, byTime } from './time-model';

const routerOf = (graph: RoadGraph) => makeRouter(graph, byDistance(graph));

/** A random net of roads: a grid of bent streets, some one-way, some missing. */
const nets = fc
  .record({
    size: fc.integer({ min: 2, max: 5 }),
    gone: fc.array(fc.nat(60), { maxLength: 8 }),
    oneWay: fc.array(fc.nat(60), { maxLength: 12 }),
    shift: fc.array(fc.integer({ min: -30, max: 30 }), { minLength: 50, maxLength: 50 }),
    bans: fc.array(
      fc.record({
        at: fc.nat(24),
        kind: fc.constantFrom('no_left_turn', 'only_straight_on', 'no_u_turn'),
        from: fc.nat(3),
        to: fc.nat(3),
        long: fc.boolean(),
      }),
      { maxLength: 6 },
    ),
  })
  .map(({ size, gone, oneWay, shift, bans }) => {
    const nodes: Record<string, [number, number]> = {};
    const name = (x: number, y: number) => `n${x}_${y}`;
    for (let x = 0; x < size; x++)
      for (let y = 0; y < size; y++)
        nodes[name(x, y)] = [100 * x + shift[(x * size + y) * 2]!, 100 * y + shift[(x * size + y) * 2 + 1]!];
    const ways: Record<number, [string, Record<string, string>?]> = {};
    const at = new Map<string, number[]>();
    let id = 0;
    const add = (a: string, b: string) => {
      id++;
      if (gone.includes(id)) return;
      ways[id] = [`${a} ${b}`, oneWay.includes(id) ? { oneway: 'yes' } : {}];
      for (const node of [a, b]) at.set(node, [...(at.get(node) ?? []), id]);
    };
    for (let x = 0; x < size; x++)
      for (let y = 0; y < size; y++) {
        if (x + 1 < size) add(name(x, y), name(x + 1, y));
        if (y + 1 < size) add(name(x, y), name(x, y + 1));
      }
    const restrictions: Record<number, [string, string]> = {};
    bans.forEach((ban, i) => {
      const node = Object.keys(nodes)[ban.at % (size * size)]!;
      const around = at.get(node) ?? [];
      const from = around[ban.from % Math.max(1, around.length)];
      const to = around[ban.to % Math.max(1, around.length)];
      if (from === undefined || to === undefined) return;
      if (!ban.long) restrictions[1000 + i] = [ban.kind, `from ${from}, via ${node}, to ${to}`];
      else {
        const [a, b] = ways[to]![0].split(' ');
        const beyond = (at.get(a === node ? b! : a!) ?? []).find((way) => way !== to);
        if (beyond !== undefined && from !== to)
          restrictions[1000 + i] = [ban.kind, `from ${from}, via ${to}, to ${beyond}`];
      }
    });
    return { drawing: { nodes, ways, restrictions } satisfies Drawing, size };
  })
  .filter(({ drawing }) => Object.keys(drawing.ways).length > 0);

/** The least way by trying all of them, up to a length: what may follow is read from the forbidden rows themselves. */
function exhaustive(graph: RoadGraph, first: number, last: number, most: number): number {
  const { words } = bansOf(graph);
  const forbidden = words.map((word) => ` ${word.join(' ')} `);
  let best = most;
  const walk = (edges: readonly number[], metres: number) => {
    if (metres >= best) return;
    const edge = edges.at(-1)!;
    if (edge === last) {
      best = metres;
      return;
    }
    const outs = edgesFrom(graph, graph.edgeTo[edge]!);
    for (const next of outs) {
      if (next === graph.edgeBack[edge] && outs.length > 1) continue;
      const row = [...edges, next];
      const text = ` ${row.join(' ')} `;
      if (forbidden.some((word) => text.endsWith(word))) continue;
      walk(row, metres + edgeMetres(graph, next));
    }
  };
  walk([first], edgeMetres(graph, first));
  return best;
}

/** The middle of an edge. */
const middleOf = (graph: RoadGraph, edge: number): Snapped => {
  const stretch = graph.edgeStretch[edge]!;
  const { lat, lon } = graph.source;
  const [a, b] = [graph.edgeFrom[edge]!, graph.edgeTo[edge]!].map((vertex) => graph.vertexNode[vertex]!);
  const place = { lat: (lat[a!]! + lat[b!]!) / 2, lon: (lon[a!]! + lon[b!]!) / 2 };
  return { ...place, away: 0, stretch, offset: graph.metres[stretch]! / 2 };
};

describe('the shortest way', () => {
  it('is that of another library where nothing is forbidden', async () => {
    await fc.assert(
      fc.asyncProperty(nets, fc.nat(), fc.nat(), async ({ drawing }, a, b) => {
        const graph = buildGraph(await drawn({ ...drawing, restrictions: {} }));
        const other = createGraph<undefined, number>();
        for (let v = 0; v < graph.vertexCount; v++) other.addNode(v);
        for (let e = 0; e < graph.edgeCount; e++)
          other.addLink(graph.edgeFrom[e]!, graph.edgeTo[e]!, edgeMetres(graph, e));
        const [from, to] = [a % graph.edgeCount, b % graph.edgeCount];
        fc.pre(from !== to && from !== graph.edgeBack[to]);
        const path = routerOf(graph).find(middleOf(graph, from), middleOf(graph, to), { after: [from] });
        // Ours ends in the middle of an edge, from either side; theirs runs between vertices.
        const links = aStar(other, { oriented: true, distance: (_, __, link) => link.data });
        const metres = [to, graph.edgeBack[to]!]
          .filter((edge) => edge >= 0)
          .map((edge) => {
            const nodes = links.find(graph.edgeTo[from]!, graph.edgeFrom[edge]!);
            if (nodes.length === 0) return Infinity;
            let sum = edgeMetres(graph, from) / 2 + edgeMetres(graph, edge) / 2;
            const row = nodes.map(({ id }) => id as number).reverse();
            for (let i = 0; i + 1 < row.length; i++)
              sum += Math.min(
                ...[...edgesFrom(graph, row[i]!)]
                  .filter((e) => graph.edgeTo[e] === row[i + 1])
                  .map((e) => edgeMetres(graph, e)),
              );
            return sum;
          });
        const theirs = Math.min(...metres);
        // Turning round at once is free for a graph of vertices and forbidden to a driver.
        if (path === undefined) return;
        expect(path.metres).toBeGreaterThanOrEqual(theirs - 1e-6);
        if (!turnsBack(graph, from, to, theirs)) expect(path.metres).toBeCloseTo(theirs, 6);
      }),
      { numRuns: 200 },
    );
  });

  it('is that of an exhaustive search under restrictions of every kind', async () => {
    let bound = 0;
    await fc.assert(
      fc.asyncProperty(nets, fc.nat(), fc.nat(), async ({ drawing, size }, a, b) => {
        fc.pre(size <= 3);
        const graph = buildGraph(await drawn(drawing));
        if (bansOf(graph).kept > 0) bound++;
        const [from, to] = [a % graph.edgeCount, b % graph.edgeCount];
        fc.pre(graph.edgeStretch[from] !== graph.edgeStretch[to]);
        const router = routerOf(graph);
        const path = router.find(middleOf(graph, from), middleOf(graph, to), { after: [from] });
        const limit = 2500;
        const whole =
          Math.min(
            ...[to, graph.edgeBack[to]!]
              .filter((e) => e >= 0)
              .map((edge) => exhaustive(graph, from, edge, limit) - edgeMetres(graph, edge) / 2),
          ) -
          edgeMetres(graph, from) / 2;
        if (!path || path.metres > limit - 400) expect(whole).toBeGreaterThan(limit - 700);
        else {
          expect(path.metres).toBeCloseTo(whole, 6);
          expect(router.isLegal(path.edges)).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
    expect(bound).toBeGreaterThan(50);
  });
});

/** Whether the shortest row of vertices leads back over the edge it came from. */
function turnsBack(graph: RoadGraph, from: number, to: number, theirs: number): boolean {
  const back = graph.edgeBack[from]!;
  if (back < 0) return false;
  const path = routerOf(graph).find(middleOf(graph, back), middleOf(graph, to), { after: [back] });
  return path !== undefined && path.metres + 2 * (edgeMetres(graph, from) / 2) <= theirs + 1e-6;
}

describe('restrictions', () => {
  const cross = (restrictions: NonNullable<Drawing['restrictions']>) =>
    drawn({
      nodes: {
        w: [-100, 0],
        o: [0, 0],
        e: [100, 0],
        n: [0, 100],
        s: [0, -100],
        f: [200, 0],
        N: [100, 100],
        S: [200, -100],
      },
      ways: { 1: ['w o'], 2: ['o e'], 3: ['n o'], 4: ['o s'], 5: ['e f'], 6: ['e N'], 7: ['f S'], 8: ['N n'] },
      restrictions,
    });
  const row = async (source: ReturnType<typeof cross>, ...letters: [number, number][]) => {
    const graph = buildGraph(await source);
    const near = finder(graph);
    const [from, to] = letters.map(([x, y]) => near.near(placeAt(x, y))[0]!);
    return { graph, path: routerOf(graph).find(from!, to!) };
  };
  const west: [number, number] = [-50, 0];

  it.each<[string, NonNullable<Drawing['restrictions']>, [number, number], number]>([
    ['none', {}, [0, 50], 100],
    ['no left turn', { 1: ['no_left_turn', 'from 1, via o, to 3'] }, [0, 50], 50 + 100 + 100 + 50],
    ['only right turn', { 1: ['only_right_turn', 'from 1, via o, to 4'] }, [50, 0], 50 + 100 + 100 + 50],
    ['only straight on does not bind others', { 1: ['only_straight_on', 'from 3, via o, to 4'] }, [0, 50], 100],
    ['cars exempt', { 1: ['no_left_turn', 'from 1, via o, to 3', { except: 'bus;motorcar' }] }, [0, 50], 100],
    [
      'no left turn for heavy goods',
      { 1: ['x', 'from 1, via o, to 3', { restriction: '', 'restriction:hgv': 'no_left_turn' }] },
      [0, 50],
      100,
    ],
    ['over a way between', { 1: ['no_left_turn', 'from 1, via 2, to 6'] }, [100, 50], 50 + 100 + 100 + 50],
    ['another way onto the way between', { 1: ['no_left_turn', 'from 4, via 2, to 6'] }, [100, 50], 50 + 100 + 50],
    ['only over a way between', { 1: ['only_straight_on', 'from 1, via 2, to 5'] }, [100, 50], 50 + 100 + 100 + 50],
  ])('%s', async (_, restrictions, to, metres) => {
    const { path } = await row(cross(restrictions), west, to);
    expect(path!.metres).toBeCloseTo(metres, 0);
  });

  it('tells which do not bind and why', async () => {
    const graph = buildGraph(
      await cross({
        1: ['no_left_turn', 'from 1, via o, to 99'],
        2: ['no_left_turn', 'from 1, via s, to 3'],
        3: ['no_wheelies', 'from 1, via o, to 3'],
        4: ['no_left_turn', 'from 1, to 3'],
        5: ['no_left_turn', 'from 1, via o, to 3', { except: 'motorcar' }],
        6: ['no_right_turn', 'from 1, via o, to 4'],
      }),
    );
    const { kept, dropped } = bansOf(graph);
    expect(kept).toBe(1);
    expect([...dropped].sort((a, b) => a.id - b.id)).toEqual([
      { id: 1, reason: 'member-missing' },
      { id: 2, reason: 'not-joined' },
      { id: 3, reason: 'unknown-kind' },
      { id: 4, reason: 'member-missing' },
      { id: 5, reason: 'exempt' },
    ]);
  });

  it('does not drive through a road for those with an end there, but to it and from it', async () => {
    const source = drawn({
      nodes: { a: [0, 0], b: [100, 0], c: [200, 0], d: [300, 0], x: [100, 200], y: [200, 200] },
      ways: { 1: ['a b'], 2: ['b c', { access: 'destination' }], 3: ['c d'], 4: ['b x y c'] },
    });
    const through = await row(source, [50, 0], [250, 0]);
    expect(through.path!.metres).toBeCloseTo(50 + 500 + 50, 0);
    expect((await row(source, [50, 0], [180, 0])).path!.metres).toBeCloseTo(130, 0);
    expect((await row(source, [180, 0], [250, 0])).path!.metres).toBeCloseTo(70, 0);
    expect((await row(source, [120, 0], [180, 0])).path!.metres).toBeCloseTo(60, 0);
  });

  it('takes the quicker road where time counts', async () => {
    const graph = buildGraph(
      await drawn({
        nodes: { a: [0, 0], b: [100, 0], c: [600, 0], d: [700, 0], x: [300, 200] },
        ways: {
          1: ['a b', { maxspeed: '50' }],
          2: ['b c', { highway: 'living_street' }],
          3: ['c d', { maxspeed: '50' }],
          4: ['b x c', { highway: 'primary', maxspeed: '80' }],
        },
      }),
    );
    const near = finder(graph);
    const [from, to] = [near.near(placeAt(50, 0))[0]!, near.near(placeAt(650, 0))[0]!];
    expect(routerOf(graph).find(from, to)!.metres).toBeCloseTo(600, 0);
    expect(makeRouter(graph, byTime(graph, 'left')).find(from, to)!.metres).toBeGreaterThan(650);
  });
});
