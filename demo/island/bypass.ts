import { between, distance, type Plan, type Point } from './plan';

/** Metres between the carriageways, and yards of the countdown markers before a slip road. */
const apart = 22;
const markers = [300, 200, 100];

/**
 * A dual carriageway from one ring to another with a junction in its middle: slip roads to two rings on a road that crosses
 * over it by a bridge. Returns the two ends of that road.
 */
export function addBypass(
  plan: Plan,
  line: readonly Point[],
  ends: readonly [number, number],
  name: string,
): readonly [number, number] {
  const middle = Math.floor(line.length / 2);
  const carriageway = (side: 1 | -1, from: number, to: number) => {
    const points = side === 1 ? line : line.toReversed();
    const own = points.slice(1, -1).map((point, i) => {
      const [before, after] = [points[i]!, points[i + 2]!];
      return between(point, [point[0] + after[0] - before[0], point[1] + after[1] - before[1]], 0, apart / 2);
    });
    const tags = { highway: 'trunk', oneway: 'yes', lanes: '2', maxspeed: '70 mph', name };
    const nodes = own.map((point) => plan.node(point));
    const at = (side === 1 ? middle : line.length - 1 - middle) - 1;
    const [off, on] = [nodes[at - 1]!, nodes[at + 1]!];
    plan.nodes[off]!.tags['highway'] = 'motorway_junction';
    const counted = markers.map((yards) => {
      const [a, b] = [own[at - 2]!, own[at - 1]!];
      return plan.node(between(b, a, (yards * 0.9144) / distance(a, b)), { traffic_sign: `countdown:${yards}` });
    });
    plan.way([from, ...nodes.slice(0, at - 1), ...counted, ...nodes.slice(at - 1), to], tags);
    return { off, on, mid: own[at]!, before: own[at - 1]!, after: own[at + 1]! };
  };
  const [west, east] = ends;
  const near = carriageway(1, west, east);
  const far = carriageway(-1, east, west);
  // Each side has a ring away from its carriageway, joined over the bridge.
  const ringAt = ({ before, after, mid }: typeof near) => {
    const out = between(mid, [mid[0] + after[0] - before[0], mid[1] + after[1] - before[1]], 0, 120);
    const node = plan.node(out);
    plan.nodes[node]!.ring = { radius: 22, tags: {} };
    return node;
  };
  const slip = { highway: 'trunk_link', oneway: 'yes', maxspeed: '50 mph' };
  const ringed = [near, far].map((one) => {
    const ring = ringAt(one);
    const bend = (node: number, share: number) =>
      plan.node(between(plan.at(node), plan.at(ring), share, share < 0.5 ? 18 : 14));
    plan.way([one.off, bend(one.off, 0.35), bend(one.off, 0.7), ring], { ...slip, destination: 'Port Ysmer;Quenlow' });
    plan.way([ring, bend(one.on, 0.7), bend(one.on, 0.35), one.on], slip);
    return ring;
  });
  const [a, b] = ringed as [number, number];
  const bridge = [plan.node(between(plan.at(a), plan.at(b), 0.3)), plan.node(between(plan.at(a), plan.at(b), 0.7))];
  const over = { highway: 'secondary', maxspeed: '40 mph', name: 'Overgate' };
  plan.way([a, bridge[0]!], over);
  plan.way([bridge[0]!, bridge[1]!], { ...over, bridge: 'yes', layer: '1' });
  plan.way([bridge[1]!, b], over);
  return [a, b];
}
