import { degreeMetres } from '@jasperwren/roads/geometry';
import { distance, type Plan, type PlanWay, type Point, type Tags } from './plan';

/** Where the island lies: in the middle of an ocean. */
const origin = { lat: 44.2, lon: -33.4 };

/** The plan as an OpenStreetMap file, an element a line. Rings are drawn here, clockwise: the island keeps left. */
export function writeOsm(plan: Plan): string {
  const ways = plan.ways.map((way) => ({ ...way, nodes: [...way.nodes] }));
  const cut = ways.flatMap((way) => cutAtRings(plan, way));
  const rings = drawRings(plan, cut);
  const all = [...cut, ...rings];
  const used = new Set(all.flatMap(({ nodes }) => nodes));
  const degree = degreeMetres(origin.lat);
  const out = ['<?xml version="1.0" encoding="UTF-8"?>', '<osm version="0.6" generator="Jasperwren">'];
  const fixed = (value: number) => value.toFixed(7);
  plan.nodes.forEach(({ x, y, tags }, i) => {
    if (!used.has(i) && !tags['amenity']) return;
    const place = `lat="${fixed(origin.lat + y / degree.lat)}" lon="${fixed(origin.lon + x / degree.lon)}"`;
    const inner = tagXml(tags);
    out.push(`<node id="${i + 1}" ${place}${inner ? `>${inner}</node>` : '/>'}`);
  });
  all.forEach(({ nodes, tags }, i) => {
    const refs = nodes.map((node) => `<nd ref="${node + 1}"/>`).join('');
    out.push(`<way id="${100_000 + i}">${refs}${tagXml(tags)}</way>`);
  });
  plan.restrictions.forEach(({ kind, from, via, to }, i) => {
    const ids = [from, to].map(
      (way) => 100_000 + cut.findIndex((one) => one.original === way && one.nodes.includes(via)),
    );
    const members = `<member type="way" ref="${ids[0]}" role="from"/><member type="node" ref="${via + 1}" role="via"/><member type="way" ref="${ids[1]}" role="to"/>`;
    out.push(
      `<relation id="${900_000 + i}">${members}${tagXml({ type: 'restriction', restriction: kind })}</relation>`,
    );
  });
  return [...out, '</osm>', ''].join('\n');
}

const tagXml = (tags: Tags) =>
  Object.entries(tags)
    .map(([k, v]) => `<tag k="${k}" v="${v.replaceAll('&', '&amp;')}"/>`)
    .join('');

interface CutWay extends PlanWay {
  readonly original: number;
}

/** A way in pieces that end where a ring or a restriction stands. */
function cutAtRings(plan: Plan, way: PlanWay): CutWay[] {
  const original = plan.ways.findIndex(
    ({ nodes, tags }) => tags === way.tags && nodes[0] === way.nodes[0] && nodes[1] === way.nodes[1],
  );
  const vias = new Set(plan.restrictions.map(({ via }) => via));
  const pieces: CutWay[] = [];
  let run: number[] = [];
  way.nodes.forEach((node, i) => {
    run.push(node);
    if (i > 0 && i + 1 < way.nodes.length && (plan.nodes[node]!.ring || vias.has(node))) {
      pieces.push({ ...way, original, nodes: run });
      run = [node];
    }
  });
  pieces.push({ ...way, original, nodes: run });
  return pieces;
}

/** Replaces each end on a ring's middle by a place on the ring, and returns the rings. */
function drawRings(plan: Plan, ways: readonly PlanWay[]): readonly PlanWay[] {
  const rings: PlanWay[] = [];
  plan.nodes.slice().forEach(({ ring }, centre) => {
    if (!ring) return;
    const [cx, cy] = plan.at(centre);
    const arms: { readonly node: number; readonly angle: number }[] = [];
    for (const way of ways) {
      for (const end of [0, way.nodes.length - 1]) {
        if (way.nodes[end] !== centre) continue;
        const inner = way.nodes[end === 0 ? 1 : end - 1]!;
        const [x, y] = plan.at(inner);
        const angle = Math.atan2(y - cy, x - cx);
        const node = plan.node(onRing([cx, cy], ring.radius, angle));
        arms.push({ node, angle });
        way.nodes[end] = node;
      }
    }
    // Points between the arms, so that the ring is round; none within a few metres of an arm.
    for (let k = 0; k < 12; k++) {
      const angle = (k * Math.PI) / 6;
      const point = onRing([cx, cy], ring.radius, angle);
      if (arms.every(({ node }) => distance(plan.at(node), point) > ring.radius / 5))
        arms.push({ node: plan.node(point), angle: Math.atan2(Math.sin(angle), Math.cos(angle)) });
    }
    const clockwise = arms.sort((a, b) => b.angle - a.angle).map(({ node }) => node);
    rings.push({
      nodes: [...clockwise, clockwise[0]!],
      tags: { highway: 'primary', junction: 'roundabout', maxspeed: '30 mph', ...ring.tags },
    });
  });
  return rings;
}

const onRing = ([x, y]: Point, radius: number, angle: number): Point => [
  x + radius * Math.cos(angle),
  y + radius * Math.sin(angle),
];
