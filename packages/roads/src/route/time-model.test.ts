import { buildGraph, edgeMetres, isAlong, wayOf } from '../graph/graph';
import { signs } from '../road-tags';
import { drawn, type Drawing } from '../testing';
import { byDistance, byTime, dayFactor, dayFactors, isNarrow, paceOf, signsMet, timeModel } from './time-model';

const graphOf = async (drawing: Drawing) => buildGraph(await drawn(drawing));

/** The edge of a way that is driven along its nodes, or against them. */
const edgeOf = (graph: Awaited<ReturnType<typeof graphOf>>, way: number, along = true) =>
  Array.from({ length: graph.edgeCount }, (_, edge) => edge).find(
    (edge) => wayOf(graph, edge).id === way && isAlong(graph, edge) === along,
  )!;

/** A cross of four streets of 200 m around a place. */
const cross: Drawing = {
  nodes: { c: [0, 0], n: [0, 200], e: [200, 0], s: [0, -200], w: [-200, 0] },
  ways: { 1: ['s c'], 2: ['c n'], 3: ['w c'], 4: ['c e'] },
};

it('weighs by distance the metres of an edge, and no turn', async () => {
  const graph = await graphOf(cross);
  const weights = byDistance(graph);
  for (let edge = 0; edge < graph.edgeCount; edge++) expect(weights.edge[edge]).toBeCloseTo(200, 1);
  expect(weights.turn(0, 1)).toBe(0);
  expect(weights.leastPerMetre).toBe(1);
});

it('takes a share of the limit by class of road, less where it is narrow or loose', async () => {
  const straight = (tags: Record<string, string>) =>
    graphOf({ nodes: { a: [0, 0], b: [500, 0] }, ways: { 1: ['a b', tags] } });
  const pace = async (tags: Record<string, string>) => paceOf(await straight(tags), 0);
  expect(await pace({ maxspeed: '50' })).toBeCloseTo(50 * timeModel.pace.residential, 9);
  expect(await pace({ highway: 'primary', maxspeed: '100' })).toBeCloseTo(100 * timeModel.pace.primary, 9);
  expect(await pace({ highway: 'primary', maxspeed: '100', lanes: '1' })).toBe(timeModel.narrowKmh);
  expect(await pace({ highway: 'primary', maxspeed: '100', surface: 'gravel' })).toBe(timeModel.unpavedKmh);
  // Nobody drives slower than a walk for long.
  expect(await pace({ maxspeed: '5' })).toBe(5);
});

it('calls a road narrow where two cars cannot pass, and never where there is one direction', () => {
  expect(isNarrow({ flow: 'both', lanes: 1 })).toBe(true);
  expect(isNarrow({ flow: 'both', width: 3.9 })).toBe(true);
  expect(isNarrow({ flow: 'both', width: 4 })).toBe(false);
  expect(isNarrow({ flow: 'along', lanes: 1 })).toBe(false);
});

it('loses time at signs that face the driver, once, and at none that was left behind', async () => {
  const graph = await graphOf({
    nodes: { a: [0, 0], m: [100, 0, { highway: 'stop', direction: 'forward' }], b: [200, 0], x: [200, 90] },
    ways: { 1: ['a m b'], 2: ['b x'] },
  });
  const [there, back] = [edgeOf(graph, 1), edgeOf(graph, 1, false)];
  const { edge } = byTime(graph, 'left');
  expect(edge[there]! - edge[back]!).toBeCloseTo(timeModel.stop, 6);
  expect(signsMet(graph, there, true)).toEqual([expect.objectContaining({ metres: expect.closeTo(100, 0) as number })]);
  expect(signsMet(graph, there, true)[0]!.bits & signs.stop).toBe(signs.stop);
  expect(signsMet(graph, back, false)).toEqual([]);
});

it('takes what a school measured in place of the model', async () => {
  const source = await drawn({
    nodes: { a: [0, 0], m: [100, 0, { highway: 'traffic_signals' }], b: [200, 0] },
    ways: { 1: ['a m b'] },
  });
  const usual = byTime(buildGraph(source), 'left').edge[0]!;
  const measured = byTime(buildGraph({ ...source, delays: { signals: timeModel.signals + 10 } }), 'left').edge[0]!;
  expect(measured - usual).toBeCloseTo(10, 6);
});

it.each(['left', 'right'] as const)(
  'loses more by a turn across the traffic, where traffic keeps to the %s',
  async (side) => {
    const graph = await graphOf(cross);
    const { turn } = byTime(graph, side);
    const from = edgeOf(graph, 1);
    const [ahead, right, left] = [edgeOf(graph, 2), edgeOf(graph, 4), edgeOf(graph, 3, false)];
    expect(turn(from, ahead)).toBe(0);
    expect(turn(from, right)).toBe(side === 'right' ? timeModel.nearTurn : timeModel.acrossTurn);
    expect(turn(from, left)).toBe(side === 'left' ? timeModel.nearTurn : timeModel.acrossTurn);
    expect(turn(from, edgeOf(graph, 1, false))).toBe(timeModel.turnRound);
  },
);

it('promises a search no more than the fastest road', async () => {
  const graph = await graphOf({
    nodes: { a: [0, 0], b: [400, 0], c: [900, 0] },
    ways: { 1: ['a b', { maxspeed: '30' }], 2: ['b c', { highway: 'trunk', maxspeed: '100' }] },
  });
  const { edge, leastPerMetre } = byTime(graph, 'left');
  for (let e = 0; e < graph.edgeCount; e++)
    expect(edge[e]! / edgeMetres(graph, e)).toBeGreaterThanOrEqual(leastPerMetre - 1e-12);
});

it('has a factor for every hour of the day, the longest as people go home', () => {
  expect(dayFactor(0)).toBe(dayFactors[0]![1]);
  expect(dayFactor(8.99)).toBe(1.18);
  expect(dayFactor(9.5)).toBe(1);
  expect(dayFactor(23.9)).toBe(0.94);
  expect(Math.max(...dayFactors.map(([, factor]) => factor))).toBe(dayFactor(17));
});
