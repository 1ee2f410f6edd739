import { buildGraph } from '../graph/graph';
import { finder } from '../graph/snap';
import { makeRouter } from '../route/router';
import { byDistance } from '../route/time-model';
import { drawn, placeAt, type Drawing } from '../testing';
import { countFeatures, featuresOf } from './features';

async function counted(drawing: Drawing, from: readonly [number, number], to: readonly [number, number]) {
  const graph = buildGraph(await drawn(drawing));
  const { near } = finder(graph);
  const path = makeRouter(graph, byDistance(graph)).find(near(placeAt(...from))[0]!, near(placeAt(...to))[0]!)!;
  const features = featuresOf(graph, path, 'left');
  return { features, counts: countFeatures(features) };
}

const road: Drawing = {
  nodes: {
    a: [0, 0],
    b: [200, 0],
    c: [240, 0],
    d: [400, 0],
    e: [600, 0],
    f: [600, 200],
    l: [200, 100],
    r: [240, -100],
    u: [400, 100],
    v: [400, -100],
    s: [590, 0, { highway: 'stop', direction: 'forward' }],
    g: [50, 0, { highway: 'give_way', direction: 'backward' }],
    x: [300, 0, { highway: 'crossing', traffic_calming: 'table' }],
    w: [600, -200],
  },
  ways: {
    1: ['a g b c x d', { maxspeed: '30 mph', name: 'High Row' }],
    2: ['d s e', { maxspeed: '20 mph', name: 'High Row' }],
    3: ['b l'],
    4: ['c r'],
    5: ['u d v'],
    6: ['e f', { lanes: '1', maxspeed: '60 mph', incline: '10%' }],
    7: ['w e'],
  },
};

describe('features of a way', () => {
  it('are counted by hand', async () => {
    const { counts } = await counted(road, [10, 0], [600, 190]);
    expect(counts).toEqual({
      staggered: 1,
      crossing: 1,
      raised: 1,
      crossroads: 1,
      'limit-change': 2,
      stop: 1,
      'left-turn': 1,
      narrow: 1,
      'fast-lane': 1,
      steep: 1,
    });
  });

  it('face the driver: the other way round the give way line counts and the stop line does not', async () => {
    const { counts } = await counted(road, [600, 190], [10, 0]);
    expect(counts).toMatchObject({ 'give-way': 1, 'right-turn': 1 });
    expect(counts.stop).toBeUndefined();
  });

  it('stand in order with their metres', async () => {
    const { features } = await counted(road, [10, 0], [600, 190]);
    expect(features.find(({ kind }) => kind === 'crossing')!.metres).toBeCloseTo(290, 0);
    expect(features.find(({ kind }) => kind === 'narrow')).toMatchObject({ length: expect.closeTo(190, 0) });
    expect(features.map(({ metres }) => metres)).toEqual(
      features.map(({ metres }) => metres).toSorted((a, b) => a - b),
    );
  });
});
