import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { buildGraph } from './graph/graph';
import { bansOf } from './graph/restrictions';
import { summarise } from './graph/summary';
import { RoadsError } from './problem';
import { readRoads } from './read-roads';
import { makeRouter } from './route/router';
import { byTime } from './route/time-model';
import { osmXml } from './testing';
import { spoilt } from './testing-mutations';

const xml = osmXml({
  nodes: {
    a: [0, 0],
    b: [100, 0, { highway: 'stop' }],
    c: [200, 0],
    d: [100, 100],
    e: [100, -100],
    f: [0, 30],
    g: [30, 60],
  },
  ways: {
    1: ['a b', { name: 'Lower Row', maxspeed: '30 mph' }],
    2: ['b c', { oneway: '-1' }],
    3: ['e b d', { highway: 'secondary', lanes: '2', 'turn:lanes': 'left|through' }],
    4: ['a f g a', { junction: 'roundabout' }],
  },
  restrictions: { 9: ['no_left_turn', 'from 1, via b, to 3'], 10: ['only_straight_on', 'from 3, via 2, to 1'] },
});
const json = JSON.stringify(
  {
    type: 'FeatureCollection',
    features: [
      {
        type: 'Feature',
        properties: { highway: 'primary' },
        geometry: {
          type: 'LineString',
          coordinates: [
            [0, 0],
            [0.001, 0],
            [0.001, 0.001],
          ],
        },
      },
      {
        type: 'Feature',
        properties: {},
        geometry: {
          type: 'MultiLineString',
          coordinates: [
            [
              [0, 0],
              [0, 0.001],
            ],
          ],
        },
      },
    ],
  },
  null,
  1,
);

it.each([
  ['town.osm', xml, 700],
  ['lines.geojson', json, 300],
])('a spoilt %s gives roads or says what is wrong, and never anything else', async (name, text, count) => {
  const source = xoroshiro128plus(Number(process.env['MUTATION_SEED'] ?? 5));
  const random = () => uniformFloat64(source);
  const times = Number(process.env['MUTATIONS'] ?? count);
  const outcomes = new Map<string, number>();
  for (let i = 0; i < times; i++) {
    const bytes = spoilt(text, random);
    let outcome = 'read';
    try {
      const graph = buildGraph(await readRoads(name, [bytes]));
      summarise(graph, bansOf(graph));
      makeRouter(graph, byTime(graph, 'left'));
    } catch (error) {
      if (!(error instanceof RoadsError))
        throw new Error(`${new TextDecoder().decode(bytes)}\n${String(error)}`, { cause: error });
      outcome = error.problem.code;
    }
    outcomes.set(outcome, (outcomes.get(outcome) ?? 0) + 1);
  }
  // Many are still read, many are not, in more than one way.
  expect(outcomes.get('read')).toBeGreaterThan(times / 20);
  expect(outcomes.size).toBeGreaterThan(2);
});
