import type { RoadSource } from '../source';
import { roundaboutsOf } from './summary';

/** The side of the road one drives on. */
export type Side = 'left' | 'right';

/**
 * The side of the road the traffic keeps to: what ways say (`driving_side`), or the way most rings are driven: clockwise where
 * traffic keeps left. Left where nothing tells.
 */
export function trafficSide(source: RoadSource): Side {
  let left = 0;
  for (const { side } of source.ways) if (side) left += side === 'left' ? 1 : -1;
  if (left !== 0) return left > 0 ? 'left' : 'right';
  for (const ring of roundaboutsOf(source)) left += turnsRight(source, ring) ? 1 : -1;
  return left >= 0 ? 'left' : 'right';
}

/** Whether a ring is driven clockwise, by the area it encloses. */
function turnsRight({ ways, lat, lon }: RoadSource, ring: readonly number[]): boolean {
  const [first] = ring.flatMap((at) => ways[at]!.nodes);
  let area = 0;
  for (const at of ring) {
    const way = ways[at]!;
    const nodes = way.flow === 'against' ? way.nodes.toReversed() : way.nodes;
    for (let i = 0; i + 1 < nodes.length; i++) {
      const [a, b] = [nodes[i]!, nodes[i + 1]!];
      area += (lon[a]! - lon[first!]!) * (lat[b]! - lat[first!]!) - (lon[b]! - lon[first!]!) * (lat[a]! - lat[first!]!);
    }
  }
  return area < 0;
}
