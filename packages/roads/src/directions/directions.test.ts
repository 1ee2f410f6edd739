import { buildGraph } from '../graph/graph';
import { finder } from '../graph/snap';
import { trafficSide, type Side } from '../graph/side';
import { makeRouter } from '../route/router';
import { byDistance } from '../route/time-model';
import { drawn, placeAt, type Drawing } from '../testing';
import { callsOf, deviceStyle, instructorStyle, leadAt, type CallStyle } from './calls';
import { kmhPerMph, metresPerYard } from '../units';
import { decisionsOf } from './decisions';

type At = readonly [x: number, y: number];

async function drive(drawing: Drawing, from: At, to: At, style: CallStyle = instructorStyle, side?: Side) {
  const graph = buildGraph(await drawn(drawing));
  const near = finder(graph);
  const [a, b] = [near.near(placeAt(...from))[0]!, near.near(placeAt(...to))[0]!];
  const path = makeRouter(graph, byDistance(graph)).find(a, b)!;
  const keep = side ?? trafficSide(graph.source);
  return { decisions: decisionsOf(graph, path, keep), calls: callsOf(graph, path, keep, style), path };
}

/** A ring of radius 30 with roads to west, north, east and south, and a gate between north and east. */
const ring = (clockwise: boolean): Drawing => {
  const order = ['n', 'g', 'e', 's', 'w', 'n'];
  const nodes = clockwise ? order : [...order].reverse();
  return {
    nodes: {
      n: [0, 30],
      e: [30, 0],
      s: [0, -30],
      w: [-30, 0],
      g: [21, 21],
      N: [0, 400],
      E: [400, 0],
      S: [0, -400],
      W: [-400, 0],
      G: [60, 60],
    },
    ways: {
      1: [nodes.join(' '), { junction: 'roundabout' }],
      2: ['N n', { name: 'North Road' }],
      3: ['E e', { name: 'East Road' }],
      4: ['S s', { name: 'South Road' }],
      5: ['W w', { name: 'West Road' }],
      6: ['g G', { highway: 'service', access: 'private' }],
    },
  };
};

describe('exits of a roundabout', () => {
  // Counted by hand on paper, coming from the west.
  it.each<[string, boolean, At, number, string, number]>([
    ['north, keeping left', true, [0, 200], 1, 'left', 0],
    ['east, keeping left', true, [200, 0], 2, 'ahead', 1],
    ['south, keeping left', true, [0, -200], 3, 'right', 1],
    ['south, keeping right', false, [0, -200], 1, 'right', 0],
    ['east, keeping right', false, [200, 0], 2, 'ahead', 0],
    ['north, keeping right', false, [0, 200], 3, 'left', 1],
  ])('to the %s', async (_, clockwise, to, exit, turn, notExits) => {
    const { decisions } = await drive(ring(clockwise), [-300, 0], to);
    expect(decisions).toHaveLength(1);
    expect(decisions[0]).toMatchObject({ kind: 'roundabout', exit, exits: 4, turn, notExits });
  });

  it('does not count roads one may only come by', async () => {
    const drawing = ring(true);
    const { decisions } = await drive(
      { ...drawing, ways: { ...drawing.ways, 2: ['N n', { oneway: 'yes' }] } },
      [-300, 0],
      [200, 0],
    );
    expect(decisions[0]).toMatchObject({ exit: 1, exits: 3, turn: 'ahead' });
  });

  it('is announced on the way round where the ring is large', async () => {
    const { calls } = await drive(ring(true), [-300, 0], [0, -200]);
    expect(calls.map(({ again }) => again ?? 'first')).toEqual(['first', 'exit']);
    expect(calls[1]!.at).toBeGreaterThan(calls[0]!.decision.metres);
  });

  it.each<[string, Side, At, number]>([
    ['north, keeping left', 'left', [0, 100], 1],
    ['east, keeping left', 'left', [100, 0], 2],
    ['south, keeping left', 'left', [0, -100], 3],
    ['south, keeping right', 'right', [0, -100], 1],
    ['north, keeping right', 'right', [0, 100], 3],
  ])('of a mini roundabout to the %s', async (_, side, to, exit) => {
    const drawing: Drawing = {
      nodes: { o: [0, 0, { highway: 'mini_roundabout' }], n: [0, 200], e: [200, 0], s: [0, -200], w: [-300, 0] },
      ways: { 1: ['w o'], 2: ['o e'], 3: ['o n'], 4: ['o s'] },
    };
    const { decisions } = await drive(drawing, [-200, 0], to, instructorStyle, side);
    expect(decisions).toMatchObject([{ kind: 'mini', exit, exits: 4 }]);
  });
});

/** A road from west to east with side roads, and a T at its end. */
const street: Drawing = {
  nodes: {
    a: [0, 0],
    b: [300, 0],
    c: [380, 0],
    d: [600, 0],
    p: [300, 100],
    q: [380, 100],
    r: [380, -100],
    u: [600, 200],
    v: [600, -200],
    x: [500, 0, { highway: 'traffic_signals' }],
    y: [500, 100],
    z: [500, -100],
  },
  ways: {
    1: ['a b c x d', { name: 'Long Street', maxspeed: '30 mph' }],
    2: ['b p'],
    3: ['q c r'],
    4: ['u d v', { name: 'Cross Street' }],
    5: ['y x z'],
  },
};

describe('decisions', () => {
  it('are none where the road goes on', async () => {
    expect((await drive(street, [20, 0], [550, 0])).decisions).toEqual([]);
  });

  it('say what stands at the junction', async () => {
    expect((await drive(street, [20, 0], [600, 100])).decisions).toMatchObject([
      { kind: 'turn', turn: 'left', at: 'end-of-road', name: 'Cross Street' },
    ]);
    expect((await drive(street, [20, 0], [500, -80])).decisions).toMatchObject([{ turn: 'right', at: 'signals' }]);
    expect((await drive(street, [20, 0], [380, -80])).decisions).toMatchObject([{ turn: 'right', at: 'crossroads' }]);
  });

  it('count turnings from where they are announced', async () => {
    const { calls } = await drive(street, [20, 0], [380, 80]);
    expect(calls).toMatchObject([{ nth: 2, decision: { turn: 'left' } }]);
  });

  it('take a slip road and fork', async () => {
    const drawing: Drawing = {
      nodes: { a: [0, 0], b: [600, 0], c: [1200, 0], s: [700, 40], t: [900, 120], f: [1000, 160], g: [1000, 90] },
      ways: {
        1: ['a b c', { highway: 'trunk', oneway: 'yes', name: 'Fast Road', maxspeed: '70 mph' }],
        2: ['b s t', { highway: 'trunk_link', oneway: 'yes', destination: 'Upper Town' }],
        3: ['t f'],
        4: ['t g'],
      },
    };
    const { decisions, calls } = await drive(drawing, [20, 0], [980, 152]);
    expect(decisions).toMatchObject([
      { kind: 'slip', turn: 'left', toward: 'Upper Town' },
      { kind: 'bear', turn: 'left' },
    ]);
    expect(calls[0]!.distance).toBeGreaterThan(300);
  });

  it('turn round at a dead end', async () => {
    const drawing: Drawing = {
      nodes: { a: [0, 0], b: [100, 0], c: [200, 0], n: [100, 300] },
      ways: { 1: ['a b'], 2: ['b c'], 3: ['n b'] },
      restrictions: { 5: ['no_right_turn', 'from 3, via b, to 1'] },
    };
    const { decisions } = await drive(drawing, [100, 250], [20, 0]);
    expect(decisions.map(({ kind }) => kind)).toEqual(['turn', 'turn-round']);
  });
});

describe('when a call is made', () => {
  const yards = (style: CallStyle, mph: number) => leadAt(style, mph * kmhPerMph) / metresPerYard;

  it('an instructor speaks 150 to 200 yards before in town, earlier when faster (common practice)', () => {
    for (const mph of [10, 20, 25, 30, 40]) {
      expect(yards(instructorStyle, mph)).toBeGreaterThanOrEqual(150 - 1e-9);
      expect(yards(instructorStyle, mph)).toBeLessThanOrEqual(200 + 1e-9);
    }
    expect(yards(instructorStyle, 60)).toBeGreaterThan(yards(instructorStyle, 40));
  });

  it.each([
    [5, 100],
    [20, 200],
    [30, 300],
    [40, 300],
    [50, 800],
    [70, 800],
  ])('a device speaks at %d mph first %d yards before (common practice)', (mph, distance) => {
    expect(yards(deviceStyle, mph)).toBeCloseTo(distance, 6);
  });

  it('two junctions close together are one call', async () => {
    const drawing: Drawing = {
      nodes: { a: [0, 0], b: [400, 0], c: [800, 0], p: [400, 40], q: [300, 40], r: [500, 40] },
      ways: { 1: ['a b c', { name: 'Main' }], 2: ['b p'], 3: ['q p r', { name: 'Back Lane' }] },
    };
    const { calls } = await drive(drawing, [20, 0], [480, 40]);
    expect(calls).toMatchObject([{ decision: { turn: 'left' }, then: { turn: 'right', at: 'end-of-road' } }]);
  });

  it('a device says it again at the junction', async () => {
    const { calls } = await drive(street, [20, 0], [600, 100], deviceStyle);
    expect(calls.map(({ again }) => again ?? 'first')).toEqual(['first', 'again']);
    for (const { at, distance, decision } of calls) expect(at + distance).toBeCloseTo(decision.metres, 6);
  });

  it('names the lanes that lead the way', async () => {
    const lanes: Drawing = {
      ...street,
      ways: { ...street.ways, 1: ['a b c x d', { name: 'Long Street', 'turn:lanes:forward': 'left|through|right' }] },
    };
    expect((await drive(lanes, [20, 0], [500, -80])).decisions[0]!.lanes).toEqual({ use: [3], of: 3 });
  });
});
