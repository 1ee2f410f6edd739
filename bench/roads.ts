/** Roads: reading them, the shortest way with turn restrictions, a plan on the island; each against a reference of the same run. */
import { createReadStream, mkdtempSync, rmSync, statSync, createWriteStream } from 'node:fs';
import { once } from 'node:events';
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

const rounds = 5;
const median = (times: readonly number[]) => [...times].sort((a, b) => a - b)[times.length >> 1]!;

/** A net of streets as a file: so many junctions a side, with bends between them and a restriction here and there. */
async function writeNet(file: string, side: number, bends: number): Promise<void> {
  const out = createWriteStream(file);
  const write = async (text: string) => {
    if (!out.write(text)) await once(out, 'drain');
  };
  await write('<?xml version="1.0" encoding="UTF-8"?>\n<osm version="0.6">\n');
  const junction = (x: number, y: number) => 1 + x * side + y;
  let next = side * side + 1;
  let ways = '';
  let way = 1;
  const relations: string[] = [];
  for (let x = 0; x < side; x++) {
    let nodes = '';
    for (let y = 0; y < side; y++) {
      const [lat, lon] = [48 + y * 0.001 + ((x * 7919 + y * 104_729) % 97) * 4e-6, -30 + x * 0.0014];
      nodes += `  <node id="${junction(x, y)}" version="1" timestamp="2026-01-01T00:00:00Z" lat="${lat.toFixed(7)}" lon="${lon.toFixed(7)}"/>\n`;
      for (const [dx, dy] of [
        [1, 0],
        [0, 1],
      ] as const) {
        if (x + dx >= side || y + dy >= side) continue;
        let refs = `<nd ref="${junction(x, y)}"/>`;
        for (let b = 1; b <= bends; b++) {
          const share = b / (bends + 1);
          nodes += `  <node id="${next}" version="1" timestamp="2026-01-01T00:00:00Z" lat="${(lat + dy * 0.001 * share).toFixed(7)}" lon="${(lon + dx * 0.0014 * share).toFixed(7)}"/>\n`;
          refs += `<nd ref="${next++}"/>`;
        }
        refs += `<nd ref="${junction(x + dx, y + dy)}"/>`;
        ways += `  <way id="${way}" version="1">${refs}<tag k="highway" v="residential"/><tag k="name" v="Street ${way}"/>${way % 9 === 0 ? '<tag k="oneway" v="yes"/>' : ''}</way>\n`;
        if (way % 40 === 0 && way > 1)
          relations.push(
            `  <relation id="${way}"><member type="way" ref="${way - 1}" role="from"/><member type="node" ref="${junction(x, y)}" role="via"/><member type="way" ref="${way}" role="to"/><tag k="type" v="restriction"/><tag k="restriction" v="no_left_turn"/></relation>\n`,
          );
        way++;
      }
    }
    await write(nodes);
  }
  await write(ways);
  await write(relations.join(''));
  out.end('</osm>\n');
  await once(out, 'finish');
}

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
