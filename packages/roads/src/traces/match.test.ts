import { createReadStream } from 'node:fs';
import path from 'node:path';
import { buildGraph, edgeMetres } from '../graph/graph';
import { trafficSide } from '../graph/side';
import { finder } from '../graph/snap';
import { planLoops } from '../plan/plan-loops';
import { readRoads } from '../read-roads';
import { metresBetween } from '../geometry';
import { makeRouter } from '../route/router';
import { byTime } from '../route/time-model';
import { endAt } from '../route/via';
import { drawn, placeAt, type Drawing } from '../testing';
import { measuredLine } from './along-piece';
import { cleanFixes } from './fix';
import { matchTrace } from './match';
import { simulateTrace } from './simulate';

const island = (async () => {
  const file = path.join(process.cwd(), 'demo/tarnavel.osm');
  const source = await readRoads(file, createReadStream(file));
  return opened(buildGraph(source), trafficSide(source));
})();

function opened(graph: ReturnType<typeof buildGraph>, side: 'left' | 'right') {
  const time = byTime(graph, side);
  return { graph, side, time, finder: finder(graph), router: makeRouter(graph, time) };
}

const onDrawing = async (drawing: Drawing) => opened(buildGraph(await drawn(drawing)), 'left');

const starts = [
  [44.2, -33.405],
  [44.212, -33.42],
  [44.188, -33.39],
] as const;

it('finds the roads that were driven, through noise, gaps and a car that stands', async () => {
  const roads = await island;
  const { graph, router, time, side } = roads;
  // TRACES=200 tries as many as the figures in docs/roads.md rest on.
  const drives = Number(process.env['TRACES'] ?? 16);
  let [right, whole, driven, sureRight, sure, within, asked, parallel] = [0, 0, 0, 0, 0, 0, 0, 0];
  for (let k = 0; k < drives; k++) {
    const [lat, lon] = starts[k % starts.length]!;
    const from = endAt(graph, roads.finder, { lat, lon });
    // Two of four look for a road with two carriageways beside each other.
    const wants = k % 4 < 2 ? {} : { 'dual-carriageway': 1 };
    const [loop] = planLoops(graph, router, time, side, { from, minutes: 12 + (k % 4) * 8, wants, loops: 1, seed: k });
    const { path: truth, counts } = loop!;
    if ((counts['dual-carriageway'] ?? 0) > 0) parallel++;
    const gap = [0, 15, 30, 60][k % 4]!;
    const begin = 60 + ((k * 37) % 300);
    const { fixes, truth: places } = simulateTrace(graph, time, truth, {
      seed: k + 1,
      noise: 10,
      lasting: k % 2 ? 0.7 : 0,
      gaps: [0, 200].map((later) => [begin + later, begin + later + gap] as const),
      parked: 60,
    });
    const match = matchTrace(roads, cleanFixes(fixes).fixes);
    const found = new Map<number, number>();
    for (const piece of match.pieces) {
      expect(router.isLegal(piece.path.edges)).toBe(true);
      driven += piece.path.metres;
      piece.path.edges.forEach((edge, i) => {
        found.set(edge, (found.get(edge) ?? 0) + 1);
        if (piece.sure[i]! < 0.95) return;
        sure++;
        if (truth.edges.includes(edge)) sureRight++;
      });
    }
    truth.edges.forEach((edge, i) => {
      const last = i === truth.edges.length - 1;
      const metres = (last ? truth.end : edgeMetres(graph, edge)) - (i === 0 ? truth.start : 0);
      const count = found.get(edge) ?? 0;
      whole += metres;
      if (count > 0) right += metres;
      found.set(edge, count - 1);
    });
    const placeTruly = placeOn(measuredLine(graph, truth));
    for (const { path: way, times } of match.pieces) {
      const placeFound = placeOn(measuredLine(graph, way));
      for (const [at, metres] of times) {
        const [a, b] = [placeFound(metres), placeTruly(between(places, at))];
        asked++;
        if (metresBetween(a[0], a[1], b[0], b[1]) <= 1.96 * match.noise) within++;
      }
    }
  }
  if (process.env['TRACES']) {
    const shares = {
      drives,
      parallel,
      right: right / whole,
      sure,
      sureRight: sureRight / sure,
      within: within / asked,
    };
    process.stdout.write(`${JSON.stringify(shares)}\n`);
  }
  expect(parallel).toBeGreaterThanOrEqual(drives / 4);
  expect(right / whole).toBeGreaterThanOrEqual(0.98);
  expect(driven / whole).toBeLessThan(1.02);
  expect(sureRight / sure).toBeGreaterThanOrEqual(0.95);
  expect(asked).toBeGreaterThan(1000);
  expect(within / asked).toBeGreaterThanOrEqual(0.95);
}, 600_000);

const carriageways: Drawing = {
  nodes: { a: [0, 0], b: [800, 0], c: [0, 25], d: [800, 25], e: [-300, 0], f: [1200, 0] },
  ways: {
    1: ['a b', { highway: 'primary', oneway: 'yes', name: 'North Way' }],
    2: ['d c', { highway: 'primary', oneway: 'yes', name: 'North Way' }],
    3: ['e a', { highway: 'primary' }],
    4: ['b f', { highway: 'primary' }],
    5: ['c e', { highway: 'primary', oneway: 'yes' }],
    6: ['f d', { highway: 'primary', oneway: 'yes' }],
  },
};

type Line = ReturnType<typeof measuredLine>;

/** Gives the place so many metres along a line. */
function placeOn(line: Line) {
  return (metres: number): readonly [lat: number, lon: number] => {
    const i = Math.max(
      1,
      line.findIndex(([, , at]) => at >= metres),
    );
    const [[latA, lonA, from], [latB, lonB, to]] = [line[i - 1]!, line[i]!];
    const share = to > from ? (metres - from) / (to - from) : 0;
    return [latA + share * (latB - latA), lonA + share * (lonB - lonA)];
  };
}

/** Metres at a moment, of a drive with a place every second. */
const between = (places: readonly (readonly [number, number])[], at: number) =>
  places[Math.round((at - places[0]![0]) / 1000)]![1];

/** Fixes along a line of metres, at so many metres a second. */
const along = (places: readonly (readonly [x: number, y: number])[], speed: number) => {
  const fixes: { at: number; lat: number; lon: number }[] = [];
  let at = 0;
  for (let i = 0; i + 1 < places.length; i++) {
    const [[xa, ya], [xb, yb]] = [places[i]!, places[i + 1]!];
    const seconds = Math.hypot(xb - xa, yb - ya) / speed;
    for (let s = 0; s < seconds; s++) {
      const share = s / seconds;
      fixes.push({ at: at * 1000, ...placeAt(xa + share * (xb - xa), ya + share * (yb - ya)) });
      at++;
    }
  }
  return fixes;
};

it('stays on its own carriageway where the fixes lie nearer to the other one', async () => {
  const roads = await onDrawing(carriageways);
  const { pieces } = matchTrace(
    roads,
    along(
      [
        [-300, 15],
        [1200, 15],
      ],
      15,
    ),
  );
  const names = pieces.flatMap(({ path }) => path.edges.map((edge) => roads.graph.edgeTo[edge]));
  expect(pieces).toHaveLength(1);
  expect(names).toHaveLength(3);
  expect(roads.graph.bearingOut[pieces[0]!.path.edges[1]!]).toBeCloseTo(90, 0);
});

it('says what lies on no road, and goes on where roads begin again', async () => {
  const roads = await onDrawing({
    nodes: { a: [0, 0], b: [600, 0], c: [1400, 0], d: [2000, 0] },
    ways: { 1: ['a b'], 2: ['c d'] },
  });
  const { pieces, unmatched } = matchTrace(
    roads,
    along(
      [
        [0, 3],
        [2000, 3],
      ],
      10,
    ),
  );
  expect(pieces.map(({ path }) => Math.round(path.metres / 100))).toEqual([6, 6]);
  expect(unmatched).toHaveLength(1);
  expect((unmatched[0]!.to - unmatched[0]!.from) / 1000).toBeGreaterThan(60);
});

it('begins a new piece where the car turned round in the road', async () => {
  const roads = await onDrawing({ nodes: { a: [0, 0], b: [1000, 0] }, ways: { 1: ['a b'] } });
  const { pieces } = matchTrace(
    roads,
    along(
      [
        [100, 2],
        [600, 2],
        [50, 2],
      ],
      8,
    ),
  );
  expect(pieces).toHaveLength(2);
  expect(pieces[0]!.path.edges[0]).not.toBe(pieces[1]!.path.edges[0]);
  expect(pieces.map(({ path }) => path.metres > 400)).toEqual([true, true]);
});

it('finds nothing where there is nothing', async () => {
  const roads = await island;
  expect(matchTrace(roads, [])).toMatchObject({ pieces: [], unmatched: [] });
  const far = [0, 1, 2].map((i) => ({ at: i * 1000, lat: 10, lon: 10 + i / 10_000 }));
  const { pieces, unmatched } = matchTrace(roads, far);
  expect(pieces).toEqual([]);
  expect(unmatched).toEqual([]);
});
