import { degreeMetres, type Place } from '@jasperwren/roads/geometry';
import { openRoads, type RoadSource, type StoredRoads } from '@jasperwren/roads/source';

const opened = new WeakMap<StoredRoads, RoadSource>();

/** The name of the road at a place on it; undefined where it has none. */
export function edgeNameNear(stored: StoredRoads, at: Place): string | undefined {
  let roads = opened.get(stored);
  if (!roads) opened.set(stored, (roads = openRoads(stored)));
  const { lat, lon, ways } = roads;
  const degree = degreeMetres(at.lat);
  let best = { away: 40, name: undefined as string | undefined };
  for (const { nodes, name, ref } of ways)
    for (let i = 0; i + 1 < nodes.length; i++) {
      const [a, b] = [nodes[i]!, nodes[i + 1]!];
      const [ax, ay] = [(lon[a]! - at.lon) * degree.lon, (lat[a]! - at.lat) * degree.lat];
      const [bx, by] = [(lon[b]! - at.lon) * degree.lon, (lat[b]! - at.lat) * degree.lat];
      const [dx, dy] = [bx - ax, by - ay];
      const length2 = dx * dx + dy * dy;
      const share = length2 === 0 ? 0 : Math.min(1, Math.max(0, -(ax * dx + ay * dy) / length2));
      const away = Math.hypot(ax + share * dx, ay + share * dy);
      if (away < best.away) best = { away, name: name ?? ref };
    }
  return best.name;
}
