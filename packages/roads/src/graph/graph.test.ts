import geodesic from 'geographiclib-geodesic';
import { metresBetween } from '../geometry';
import { drawn } from '../testing';
import { buildGraph } from './graph';
import { trafficSide } from './side';
import { summarise } from './summary';

describe('lengths', () => {
  it('agree with a published line', () => {
    // Flinders Peak to Buninyong, T. Vincenty, Direct and inverse solutions of geodesics, Survey Review 1975 (from memory),
    // on the ellipsoid of GRS 80, whose difference to WGS 84 is far below a millimetre here.
    const dms = (degrees: number, minutes: number, seconds: number) => degrees + minutes / 60 + seconds / 3600;
    const metres = metresBetween(
      -dms(37, 57, 3.7203),
      dms(144, 25, 29.5244),
      -dms(37, 39, 10.15611),
      dms(143, 55, 35.38393),
    );
    expect(metres).toBeCloseTo(54_972.271, 2);
  });

  it.each([0, 20, 48, 65, 80])('agree with another library at latitude %d', (lat) => {
    for (const [dy, dx] of [
      [0.001, 0.002],
      [0.01, -0.015],
      [-0.0003, 0],
    ] as const) {
      const other = geodesic.Geodesic.WGS84.Inverse(lat, 10, lat + dy, 10 + dx).s12!;
      expect(Math.abs(metresBetween(lat, 10, lat + dy, 10 + dx) - other)).toBeLessThan(0.01);
    }
  });
});

describe('the graph of a drawing', () => {
  // A ring driven clockwise with four roads, one of them a one-way that leaves, and a gate nobody may use.
  const ring = drawn({
    nodes: {
      n: [0, 20],
      e: [20, 0],
      s: [0, -20],
      w: [-20, 0],
      N: [0, 120],
      E: [120, 0],
      S: [0, -120],
      W: [-120, 0],
      g: [18, 10],
      G: [60, 40],
      m: [60, 0, { highway: 'crossing' }],
      X: [120, 80],
    },
    ways: {
      1: ['n g e s w n', { junction: 'roundabout' }],
      2: ['N n'],
      3: ['e m E', { oneway: 'yes' }],
      4: ['S s', { highway: 'tertiary' }],
      5: ['W w'],
      6: ['g G', { access: 'private', highway: 'service' }],
      7: ['E X', { oneway: 'yes' }],
      8: ['N X', { highway: 'construction' }],
    },
  });

  it('is counted by hand', async () => {
    const graph = buildGraph(await ring);
    expect(summarise(graph)).toMatchObject({
      ways: 6,
      junctions: 4,
      // Four pieces of the ring, three roads both ways, and two pieces of one-way road.
      edges: 4 + 6 + 2,
      roundabouts: 1,
      crossings: 1,
      signals: 0,
      components: [4],
      restrictions: { kept: 0, dropped: [] },
    });
    const { km, oneWayKm, kmByClass } = summarise(graph);
    expect(kmByClass['tertiary']).toBe(0.1);
    const around = 2 * Math.hypot(20, 20) + Math.hypot(20, 20) + Math.hypot(18, 10) + Math.hypot(2, 10);
    expect(oneWayKm * 1000).toBeCloseTo(around + 100 + 80, 0);
    expect(km * 1000).toBeCloseTo(around + 180 + 300, 0);
  });

  it('knows the side of the traffic by its rings', async () => {
    expect(trafficSide(await ring)).toBe('left');
    const mirrored = drawn({
      nodes: { n: [0, 20], e: [20, 0], s: [0, -20] },
      ways: { 1: ['n s e n', { junction: 'roundabout' }] },
    });
    expect(trafficSide(await mirrored)).toBe('right');
  });

  it('ends at a bollard, and bridges do not join', async () => {
    const graph = buildGraph(
      await drawn({
        nodes: {
          a: [0, 0],
          b: [50, 0],
          p: [60, 0, { barrier: 'bollard' }],
          c: [70, 0],
          d: [120, 0],
          x: [25, 50],
          y: [25, -50],
        },
        ways: { 1: ['a b p c d'], 2: ['x y', { bridge: 'yes' }] },
      }),
    );
    expect(graph.stretchCount).toBe(3);
    expect(summarise(graph)).toMatchObject({ junctions: 0, deadEnds: 6, edges: 6 });
  });
});
