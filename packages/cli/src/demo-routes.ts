import type { RoadNoteInput } from '@jasperwren/contract/roads';
import { placeKinds, type RouteBody, type RouteStop } from '@jasperwren/core/routes/driving-route';
import { mockTestWants, openGraph, readRoute, type Roads } from '@jasperwren/core/routes/read-route';
import { stopsOf } from '@jasperwren/core/routes/stops-of';
import { placesAlong } from '@jasperwren/core/routes/along-line';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { degreeMetres, type Place } from '@jasperwren/roads/geometry';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import { readOsm } from '@jasperwren/roads/osm/read-osm';
import { endAt } from '@jasperwren/roads/route/via';
import type { Client } from './client';

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

/** What is added to the demo, worked out before there is a server that it would hold up. */
export interface PlannedDemo {
  readonly roads: Roads;
  readonly file: string;
  readonly earlier: string;
  readonly now: string;
  /** On the earlier roads, and on those of now. */
  readonly onEarlier: readonly RouteBody[];
  readonly onNow: readonly RouteBody[];
  readonly notes: readonly RoadNoteInput[];
}

/** Plans the demo's routes on the island. */
export async function planDemoRoutes(island: string, demo: DemoRoutes): Promise<PlannedDemo> {
  const roads = openGraph(await readOsm([bytes(island)]));
  const earlier = withCauseway(island, roads, demo.causeway);
  const [lat, lon] = demo.overCauseway.from;
  const there: RouteStop[] = [{ lat, lon }, earlier.end, { lat, lon }].map((place) => ({
    ...place,
    mode: 'directions',
  }));
  return {
    roads,
    file: demo.file,
    earlier: earlier.osm,
    now: island,
    onEarlier: [{ name: demo.overCauseway.name, stops: there, places: [] }],
    onNow: demo.loops.map((loop) => loopOf(roads, loop)),
    notes: demo.notes.map(({ near, text, months }) => ({
      ...beginningOf(roads, near),
      text,
      reviewBy: inMonths(months),
    })),
  };
}

function loopOf(
  roads: Roads,
  { name, from: [lat, lon], minutes, seed, device }: DemoRoutes['loops'][number],
): RouteBody {
  const from = endAt(roads.graph, roads.finder, { lat, lon });
  const wish = { from, minutes, wants: mockTestWants, loops: 1, seed };
  const [planned] = planLoops(roads.graph, roads.router, roads.time, roads.side, wish);
  const stops = stopsOf(roads, planned!.path, from, 'directions').map((stop, i, all): RouteStop => {
    const share = i / all.length;
    return { ...stop, mode: share >= device[0] && share < device[1] ? 'device' : 'directions' };
  });
  return { name, stops, places: [...placesOn(roads, stops)] };
}

function beginningOf({ graph: { source } }: Roads, road: string): Place {
  const way = source.ways.find(({ name }) => name === road);
  if (!way) throw new Error(`The island has no road "${road}".`);
  const node = way.nodes[0]!;
  return { lat: source.lat[node]!, lon: source.lon[node]! };
}

const inMonths = (months: number) => new Date(Date.now() + months * monthMs).toISOString().slice(0, 10);

/** Adds two versions of the island's roads, routes on each and notes, through the requests of the web application. */
export async function addDemoRoutes(
  client: Client,
  { file, earlier, now, onEarlier, onNow, notes }: PlannedDemo,
  settled: () => Promise<void>,
): Promise<void> {
  for (const [text, routes] of [
    [earlier, onEarlier],
    [now, onNow],
  ] as const) {
    const { id } = await client.upload('addRoads', { file, name: 'Tarnavel' }, bytes(text));
    await settled();
    for (const route of routes)
      await client.call('addRoute', { body: { ...route, roadsId: id, places: [...route.places] } });
  }
  for (const body of notes) await client.call('addRoadNote', { body });
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
