import { buildGraph } from '@jasperwren/roads/graph/graph';
import { drawn } from '@jasperwren/roads/testing';
import { detoursOf } from './kept-route';

/** A ladder of streets: the edges along the lower rail, and those that lead round by the upper one. */
const ladder = (async () => {
  const graph = buildGraph(
    await drawn({
      nodes: { a: [0, 0], b: [200, 0], c: [400, 0], d: [600, 0], e: [200, 150], f: [400, 150] },
      ways: { 1: ['a b c d'], 2: ['b e'], 3: ['e f'], 4: ['f c'] },
    }),
  );
  const edge = (from: string, to: string) => {
    const node = (letter: string) => graph.source.ids.indexOf('abcdef'.indexOf(letter) + 1);
    for (let e = 0; e < graph.edgeCount; e++)
      if (graph.vertexNode[graph.edgeFrom[e]!] === node(from) && graph.vertexNode[graph.edgeTo[e]!] === node(to))
        return e;
    throw new Error(`No edge ${from} ${to}.`);
  };
  const path = (letters: string) => {
    const edges = [...letters].slice(1).map((to, i) => edge(letters[i]!, to));
    return { edges, start: 0, end: 200, metres: 200 * edges.length, cost: 0 };
  };
  return { graph, path };
})();

describe('a drive beside its route', () => {
  it('that kept to it left it nowhere', async () => {
    const { graph, path } = await ladder;
    expect(detoursOf(graph, path('abcd'), path('abcd').edges)).toEqual([]);
  });

  it('says where it was left and come back to', async () => {
    const { graph, path } = await ladder;
    const [detour, ...others] = detoursOf(graph, path('abefcd'), path('abcd').edges);
    expect(others).toEqual([]);
    expect(detour!.from).toBeCloseTo(200, 0);
    expect(detour!.to).toBeCloseTo(700, 0);
  });

  it('says that it was not come back to', async () => {
    const { graph, path } = await ladder;
    const [detour] = detoursOf(graph, path('abef'), path('abcd').edges);
    expect(detour).toEqual({ from: expect.closeTo(200, 0) as number });
    expect(detoursOf(graph, path('ef'), path('abcd').edges)).toEqual([{ from: 0 }]);
  });
});
