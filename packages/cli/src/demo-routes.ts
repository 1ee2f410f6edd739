import { placeKinds, type RouteStop } from '@jasperwren/core/routes/driving-route';
import {
  mockTestWants,
  openGraph,
  placesAlong,
  readRoute,
  stopsOf,
  type Roads,
} from '@jasperwren/core/routes/read-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { degreeMetres, type Place } from '@jasperwren/roads/geometry';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import { readOsm } from '@jasperwren/roads/osm/read-osm';
import { endAt } from '@jasperwren/roads/route/via';
import type { RoadsView } from '@jasperwren/contract/roads';
import type { Client } from './demo';

type At = readonly [lat: number, lon: number];

/** The routes of the demo: loops to be planned on the island, and what is known of its roads. */
export interface DemoRoutes {
  readonly file: string;
  /** A road of the first file that the second has no more. */
  readonly causeway: { readonly from: Place; readonly metres: number; readonly name: string };
  readonly loops: readonly {
    readonly name: string;
    readonly from: At;
    readonly minutes: number;
    readonly seed: number;
    /** The share of its stops from which and up to which a device leads. */
    readonly device: readonly [from: number, to: number];
  }[];
  readonly overCauseway: { readonly name: string; readonly from: At };
  readonly notes: readonly { readonly near: string; readonly text: string; readonly months: number }[];
}

const bytes = (text: string) => new TextEncoder().encode(text);
const monthMs = 30 * 24 * 60 * 60 * 1000;

/** Adds two versions of the island's roads, routes on each and notes, through the requests of the web application. */
export async function addDemoRoutes(
  client: Client,
  island: string,
  { file, causeway, loops, overCauseway, notes }: DemoRoutes,
  settled: () => Promise<void>,
): Promise<void> {
  const roads = openGraph(await readOsm([bytes(island)]));
  const earlier = withCauseway(island, roads, causeway);
  const upload = async (text: string): Promise<RoadsView> => {
    const added = await client.upload('addRoads', { file, name: 'Tarnavel' }, bytes(text));
    await settled();
    return added;
  };
  const old = await upload(earlier.osm);
  const now = await upload(island);
  for (const loop of loops) {
    const [lat, lon] = loop.from;
    const from = endAt(roads.graph, roads.finder, { lat, lon });
    const [planned] = planLoops(roads.graph, roads.router, roads.time, roads.side, {
      from,
      minutes: loop.minutes,
      wants: mockTestWants,
      loops: 1,
      seed: loop.seed,
    });
    const stops = stopsOf(roads, planned!.path, from, 'directions').map((stop, i, all): RouteStop => {
      const share = i / all.length;
      return { ...stop, mode: share >= loop.device[0] && share < loop.device[1] ? 'device' : 'directions' };
    });
    await client.call('addRoute', {
      body: { name: loop.name, roadsId: now.id, stops, places: [...placesOn(roads, stops)] },
    });
  }
  const [lat, lon] = overCauseway.from;
  const there: RouteStop[] = [{ lat, lon }, earlier.end, { lat, lon }].map((place) => ({
    ...place,
    mode: 'directions',
  }));
  await client.call('addRoute', { body: { name: overCauseway.name, roadsId: old.id, stops: there, places: [] } });
  for (const { near, text, months } of notes) {
    const way = roads.graph.source.ways.find(({ name }) => name === near);
    if (!way) throw new Error(`The island has no road "${near}".`);
    const node = way.nodes[0]!;
    const reviewBy = new Date(Date.now() + months * monthMs).toISOString().slice(0, 10);
    await client.call('addRoadNote', {
      body: { lat: roads.graph.source.lat[node]!, lon: roads.graph.source.lon[node]!, text, reviewBy },
    });
  }
}

/** Where a mock test pulls up and the like: spread over the route, each once. */
function* placesOn(roads: Roads, stops: readonly RouteStop[]) {
  const reading = readRoute(roads, stops, instructorStyle);
  if (!('line' in reading)) return;
  const at = placesAlong(reading.line);
  for (const [i, kind] of placeKinds.slice(0, 4).entries()) yield { kind, ...at((reading.metres * (i + 0.7)) / 5) };
}

/** The island with one road more, straight out to the west from the road nearest to a place. */
function withCauseway(island: string, roads: Roads, { from, metres, name }: DemoRoutes['causeway']) {
  const { source, vertexNode } = roads.graph;
  const degree = degreeMetres(from.lat);
  const away = (node: number) =>
    Math.hypot((source.lat[node]! - from.lat) * degree.lat, (source.lon[node]! - from.lon) * degree.lon);
  const root = [...vertexNode].reduce((a, b) => (away(b) < away(a) ? b : a));
  const end = { lat: source.lat[root]!, lon: source.lon[root]! - metres / degree.lon };
  const road = `<node id="990001" lat="${end.lat}" lon="${end.lon}"/>
<way id="990002"><nd ref="${source.ids[root]}"/><nd ref="990001"/><tag k="highway" v="unclassified"/><tag k="maxspeed" v="40 mph"/><tag k="name" v="${name}"/></way>
</osm>`;
  return { osm: island.replace('</osm>', road), end };
}
