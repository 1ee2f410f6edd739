import { readFileSync } from 'node:fs';
import path from 'node:path';
import PathFinder from 'geojson-path-finder';
import { buildGraph } from '../graph/graph';
import { stronglyConnected } from '../graph/components';
import { makeRouter } from '../route/router';
import { byDistance } from '../route/time-model';
import { metresBetween } from '../geometry';
import { readGeoJson } from './read-geojson';

// The network that the package `geojson-path-finder` is tested with: 20,000 lines of a real town's roads and paths.
const file = path.join(process.cwd(), 'node_modules/geojson-path-finder/test/large-network.json');

describe('a large file of GeoJSON lines', () => {
  it('is routed as that package routes it', async () => {
    const bytes = readFileSync(file);
    const roads = await readGeoJson([bytes]);
    const graph = buildGraph(roads);
    // The package knows no access and no area; it is given the very roads ours keeps.
    const features = roads.ways
      .filter(({ access }) => access !== 'closed')
      .map(({ nodes, flow }) => ({
        type: 'Feature' as const,
        properties: { flow },
        geometry: {
          type: 'LineString' as const,
          coordinates: nodes.map((node) => [roads.lon[node]!, roads.lat[node]!]),
        },
      }));
    const other = new PathFinder({ type: 'FeatureCollection', features }, {
      tolerance: 1e-9,
      weight: ([lonA, latA]: number[], [lonB, latB]: number[], { flow }: { flow: string }) => {
        const metres = metresBetween(latA!, lonA!, latB!, lonB!);
        return { forward: flow === 'against' ? 0 : metres, backward: flow === 'along' ? 0 : metres };
      },
    } as never);
    const router = makeRouter(graph, byDistance(graph));
    const { part } = stronglyConnected(graph);
    const sizes = new Map<number, number>();
    part.forEach((at) => sizes.set(at, (sizes.get(at) ?? 0) + 1));
    const [largest] = [...sizes].sort((a, b) => b[1] - a[1])[0]!;
    const main = [...part.keys()].filter((vertex) => part[vertex] === largest);
    let same = 0;
    for (let i = 0; i < 12; i++) {
      const [a, b] = [main[(i * 7919) % main.length]!, main[(i * 104_729 + 17) % main.length]!];
      const end = (vertex: number) => {
        const node = graph.vertexNode[vertex]!;
        return { vertex, lat: roads.lat[node]!, lon: roads.lon[node]! };
      };
      const [from, to] = [end(a), end(b)];
      const ours = router.find(from, to)!;
      const theirs = other.findPath(
        { type: 'Feature', properties: {}, geometry: { type: 'Point', coordinates: [from.lon, from.lat] } },
        { type: 'Feature', properties: {}, geometry: { type: 'Point', coordinates: [to.lon, to.lat] } },
      )!;
      // Ours may not drive through a road for those with an end there; theirs drops some of the roads that lie side by side.
      expect(Math.abs(ours.metres / theirs.weight - 1)).toBeLessThan(0.02);
      if (Math.abs(ours.metres - theirs.weight) < 1) same++;
    }
    expect(same).toBeGreaterThanOrEqual(9);
  });
});
