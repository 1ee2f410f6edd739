import { drawn, placeAt } from '../testing';
import { buildGraph } from './graph';
import { reachOf } from './reach';
import { summarise } from './summary';

describe('what is hard to drive to', () => {
  it('is named by its roads, the largest part apart first, with every dead end', async () => {
    const graph = buildGraph(
      await drawn({
        nodes: {
          a: [0, 0],
          b: [100, 0],
          c: [200, 0],
          d: [100, 100],
          e: [200, 100],
          k: [5000, 0],
          l: [5100, 0],
          m: [5200, 0],
          n: [5100, 100],
        },
        ways: {
          1: ['a b c', { name: 'Quay Street' }],
          2: ['b d e', { name: 'Mill Lane' }],
          3: ['c e'],
          4: ['k l m', { name: 'Isle Road' }],
          5: ['l n'],
        },
      }),
    );
    const { apart, deadEnds } = reachOf(graph);
    expect(apart).toHaveLength(1);
    expect(apart[0]).toMatchObject({ junctions: 1, names: ['Isle Road'] });
    expect(deadEnds.map(({ name }) => name)).toEqual(['Quay Street', 'Isle Road', 'Isle Road', undefined]);
    expect(deadEnds[0]!.lat).toBeCloseTo(placeAt(0, 0).lat, 6);
    const { components, deadEnds: count } = summarise(graph);
    expect([components.length - 1, count]).toEqual([apart.length, deadEnds.length]);
  });
});
