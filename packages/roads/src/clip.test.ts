import { clipRoads } from './clip';
import { metresBetween } from './geometry';
import { buildGraph } from './graph/graph';
import { finder } from './graph/snap';
import { makeRouter } from './route/router';
import { byTime } from './route/time-model';
import { endAt } from './route/via';
import { openRoads, storeRoads } from './source';
import { drawn, placeAt } from './testing';

const roads = drawn({
  nodes: { a: [0, 0], b: [500, 0], c: [1000, 0], d: [500, 300], e: [500, 900], f: [500, 4000], g: [900, 4000] },
  ways: { 1: ['a b c'], 2: ['b d e'], 3: ['e f'], 4: ['f g'] },
  restrictions: { 7: ['no_left_turn', 'from 1, via b, to 2'], 8: ['no_right_turn', 'from 3, via f, to 4'] },
});
const line = [placeAt(0, 0), placeAt(1000, 0)].map(({ lat, lon }) => [lat, lon] as const);

describe('the roads near a line', () => {
  it('are its own and those that come near it, whole', async () => {
    const near = clipRoads(await roads, line, 400);
    expect(near.ways.map(({ id }) => id)).toEqual([1, 2]);
    expect(near.restrictions.map(({ id }) => id)).toEqual([7]);
    const [, second] = near.ways;
    const end = second!.nodes.at(-1)!;
    const { lat, lon } = placeAt(500, 900);
    expect(metresBetween(near.lat[end]!, near.lon[end]!, lat, lon)).toBeLessThan(0.1);
    expect(near.ids).toHaveLength(5);
  });

  it('keep every sign and survive being kept', async () => {
    const near = clipRoads(await roads, line, 400);
    expect(openRoads(storeRoads(near)).ways).toEqual(near.ways);
  });

  it('lead the same way as all roads do, where that stays near', async () => {
    const ways = [await roads, clipRoads(await roads, line, 400)].map((source) => {
      const graph = buildGraph(source);
      const find = finder(graph);
      const end = (x: number, y: number) => endAt(graph, find, placeAt(x, y));
      return makeRouter(graph, byTime(graph, 'left')).find(end(0, 0), end(1000, 0))!.metres;
    });
    expect(ways[1]).toBeCloseTo(ways[0]!, 6);
  });

  it('are none without a line', async () => {
    expect(clipRoads(await roads, [], 400).ways).toEqual([]);
  });
});
