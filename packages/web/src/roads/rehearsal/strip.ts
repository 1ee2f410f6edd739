import { bearing, degreeMetres, type Place } from '@jasperwren/roads/geometry';

/** A point of the strip in parts of its width and height. */
export type Dot = readonly [x: number, y: number];

/** Height of the eye above the road, the horizon's height on the strip and how wide the view is. */
const eye = 1.3;
const horizon = 0.42;
const focal = 0.9;
/** Metres of road that are drawn ahead, and how far apart its points lie near and far. */
const reach = 260;
const halfRoad = 3.4;

/** What a driver sees from a place of the route. */
export interface Scene {
  /** The left and the right edge of the road and its middle line, from near to far. */
  readonly left: readonly Dot[];
  readonly right: readonly Dot[];
  readonly middle: readonly Dot[];
  /** Where something at the roadside so many metres ahead stands, with its scale; nothing behind or too far. */
  readonly at: (ahead: number, side: number) => { readonly dot: Dot; readonly scale: number } | undefined;
}

/** The road ahead as it looks from a car: the line bent by the road, seen in perspective. */
export function sceneAt(placeAt: (metres: number) => Place, metres: number, whole: number): Scene {
  const from = placeAt(metres);
  const toward = placeAt(Math.min(whole, metres + 8));
  const heading = (bearing(from.lat, from.lon, toward.lat, toward.lon) * Math.PI) / 180;
  const degree = degreeMetres(from.lat);
  /** Metres ahead of and to the right of the car. */
  const local = (place: Place): readonly [ahead: number, right: number] => {
    const [x, y] = [(place.lon - from.lon) * degree.lon, (place.lat - from.lat) * degree.lat];
    return [x * Math.sin(heading) + y * Math.cos(heading), x * Math.cos(heading) - y * Math.sin(heading)];
  };
  const seen = (ahead: number, right: number): Dot => [0.5 + (focal * right) / ahead, horizon + (focal * eye) / ahead];
  const edges = (distance: number) => {
    const here = local(placeAt(Math.min(whole, metres + distance)));
    const next = local(placeAt(Math.min(whole, metres + distance + 3)));
    const angle = Math.atan2(next[1] - here[1], next[0] - here[0]);
    return { here, across: [-Math.sin(angle), Math.cos(angle)] as const };
  };
  const line = (side: number): Dot[] => {
    const dots: Dot[] = [];
    for (let distance = 1.6; distance < Math.min(reach, whole - metres); distance *= 1.09) {
      const { here, across } = edges(distance);
      const ahead = here[0] + across[0] * side;
      // Round a corner nothing more is seen.
      if (ahead < 1.2 || across[0] < -0.95 || across[0] > 0.95) break;
      dots.push(seen(ahead, here[1] + across[1] * side));
    }
    return dots;
  };
  return {
    left: line(-halfRoad),
    right: line(halfRoad),
    middle: line(0),
    at(distance, side) {
      if (distance < 4 || distance > reach || metres + distance > whole) return undefined;
      const { here, across } = edges(distance);
      const ahead = here[0] + across[0] * side;
      if (ahead < 3) return undefined;
      return { dot: seen(ahead, here[1] + across[1] * side), scale: 1 / ahead };
    },
  };
}
