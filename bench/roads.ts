/** Roads: reading them, the shortest way with turn restrictions, a plan on the island; each against a reference of the same run. */
import { createReadStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import createGraph from 'ngraph.graph';
import { aStar } from 'ngraph.path';
import { SaxesParser } from 'saxes';
import { readOsm } from '@jasperwren/roads/osm/read-osm';
import { buildGraph, edgeMetres, type RoadGraph } from '@jasperwren/roads/graph/graph';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import { makeRouter, type AtVertex } from '@jasperwren/roads/route/router';
import { byDistance, byTime } from '@jasperwren/roads/route/time-model';
import { writeNet } from './net';

const rounds = 5;
const median = (times: readonly number[]) => [...times].sort((a, b) => a - b)[times.length >> 1]!;

async function bareRead(file: string): Promise<number> {
  const began = performance.now();
  const parser = new SaxesParser({ xmlns: false, position: true });
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let elements = 0;
  parser.on('opentag', () => elements++);
  for await (const chunk of createReadStream(file)) parser.write(decoder.decode(chunk as Uint8Array, { stream: true }));
  parser.close();
  if (elements === 0) throw new Error('Nothing was read.');
  return performance.now() - began;
}

const atVertex = ({ source, vertexNode }: RoadGraph, vertex: number): AtVertex => {
  const node = vertexNode[vertex]!;
  return { vertex, lat: source.lat[node]!, lon: source.lon[node]! };
};

function compareWays(graph: RoadGraph): void {
  const router = makeRouter(graph, byDistance(graph));
  const other = createGraph<undefined, number>();
  for (let v = 0; v < graph.vertexCount; v++) other.addNode(v);
  for (let e = 0; e < graph.edgeCount; e++) other.addLink(graph.edgeFrom[e]!, graph.edgeTo[e]!, edgeMetres(graph, e));
  const plain = aStar(other, { oriented: true, distance: (_, __, link) => link.data });
  const pairs = Array.from(
    { length: 20 },
    (_, i) => [(i * 7919) % graph.vertexCount, (i * 104_729 + 511) % graph.vertexCount] as const,
  );
  const ours: number[] = [];
  const theirs: number[] = [];
  for (let round = 0; round < rounds; round++) {
    let began = performance.now();
    for (const [a, b] of pairs) router.find(atVertex(graph, a), atVertex(graph, b));
    ours.push(performance.now() - began);
    began = performance.now();
    for (const [a, b] of pairs) plain.find(a, b);
    theirs.push(performance.now() - began);
  }
  const [own, theirOwn] = [median(ours) / pairs.length, median(theirs) / pairs.length];
  console.log(
    `shortest way with restrictions, ${graph.edgeCount} edges: ${own.toFixed(1)} ms, ${(own / theirOwn).toFixed(2)} times ngraph.path without (${theirOwn.toFixed(1)} ms)`,
  );
}

const folder = mkdtempSync(join(tmpdir(), 'roads-bench-'));
try {
  const large = join(folder, 'large.osm');
  await writeNet(large, 160, 7);
  const megabytes = statSync(large).size / 1e6;
  const bare: number[] = [];
  const whole: number[] = [];
  let most = 0;
  for (let round = 0; round < 3; round++) {
    bare.push(await bareRead(large));
    const began = performance.now();
    const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 50);
    buildGraph(await readOsm(createReadStream(large)));
    clearInterval(watch);
    whole.push(performance.now() - began);
  }
  console.log(
    `reading ${megabytes.toFixed(0)} MB of XML into a graph: ${median(whole).toFixed(0)} ms, ${(median(whole) / median(bare)).toFixed(2)} times the bare XML reader (${median(bare).toFixed(0)} ms); at most ${(most / 1e6).toFixed(0)} MB`,
  );
  const net = join(folder, 'net.osm');
  await writeNet(net, 165, 0);
  compareWays(buildGraph(await readOsm(createReadStream(net))));
  const island = buildGraph(await readOsm(createReadStream('demo/tarnavel.osm')));
  const time = byTime(island, 'left');
  const router = makeRouter(island, time);
  const plans: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const began = performance.now();
    planLoops(island, router, time, 'left', {
      from: atVertex(island, 300),
      minutes: 40,
      seed: round,
      wants: { signals: 2, stop: 1, 'mini-roundabout': 1, 'roundabout-right': 1, 'dual-carriageway': 1 },
    });
    plans.push(performance.now() - began);
  }
  const search: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const began = performance.now();
    router.spread(atVertex(island, 300));
    search.push(performance.now() - began);
  }
  console.log(
    `three loops of 40 min on the island: ${median(plans).toFixed(0)} ms, ${(median(plans) / median(search)).toFixed(0)} times one search over all of it (${median(search).toFixed(1)} ms)`,
  );
} finally {
  rmSync(folder, { recursive: true, force: true });
}
