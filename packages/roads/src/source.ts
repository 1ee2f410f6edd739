import type { Delays } from './delays';
import type { Access, Road } from './road-tags';

/** One way of a file, cut where nodes outside the file interrupt it. */
export interface RoadWay extends Road {
  readonly id: number;
  /** Its nodes, as places in the lists of nodes; at least two. */
  readonly nodes: readonly number[];
}

/** A turn restriction as the file gives it. */
export interface Restriction {
  readonly id: number;
  /** `no_left_turn`, `only_straight_on` and so on. */
  readonly kind: string;
  readonly from: readonly number[];
  readonly to: readonly number[];
  /** A node's number, or the numbers of the ways between. */
  readonly via: { readonly node: number } | { readonly ways: readonly number[] };
}

/** Why a restriction does not bind or cannot be read. */
export type RestrictionProblem =
  'exempt' | 'other-vehicles' | 'unknown-kind' | 'member-missing' | 'not-for-cars' | 'not-joined';

export interface DroppedRestriction {
  readonly id: number;
  readonly reason: RestrictionProblem;
}

export interface School {
  readonly lat: number;
  readonly lon: number;
  readonly name?: string;
}

/** The roads of a file: what is kept of it, for graph and picture. Nodes are only those its roads need. */
export interface RoadSource {
  readonly ids: Float64Array;
  readonly lat: Float64Array;
  readonly lon: Float64Array;
  /** Signs of each node, see `signs`. */
  readonly signs: Uint16Array;
  readonly ways: readonly RoadWay[];
  readonly restrictions: readonly Restriction[];
  readonly dropped: readonly DroppedRestriction[];
  readonly schools: readonly School[];
  /** Places of ways whose node is not in the file. */
  readonly missingNodes: number;
  /** Seconds lost at junctions as drives on these roads measured them; the rest is as usual. */
  readonly delays?: Delays | undefined;
}

/** Whether anyone may drive a road at all. */
export const isDrivable = ({ access }: { readonly access: Access }): boolean => access !== 'closed';

/** Whether limits are given in miles an hour on these roads. */
export const isInMiles = ({ ways }: { readonly ways: readonly Pick<RoadWay, 'mph'>[] }): boolean =>
  ways.some(({ mph }) => mph);

/** A source as plain JSON: coordinates in ten-millionths of a degree. */
export interface StoredRoads {
  readonly version: 1;
  readonly ids: readonly number[];
  readonly lat: readonly number[];
  readonly lon: readonly number[];
  readonly signs: readonly (readonly [node: number, bits: number])[];
  readonly ways: readonly RoadWay[];
  readonly restrictions: readonly Restriction[];
  readonly dropped: readonly DroppedRestriction[];
  readonly schools: readonly School[];
  readonly missingNodes: number;
  readonly delays?: Delays | undefined;
}

const scale = 1e7;

/** The roads as JSON to keep or send. */
export function storeRoads({ ids, lat, lon, signs, ...rest }: RoadSource): StoredRoads {
  const marked: [number, number][] = [];
  signs.forEach((bits, node) => bits && marked.push([node, bits]));
  return {
    version: 1,
    ids: [...ids],
    lat: Array.from(lat, (value) => Math.round(value * scale)),
    lon: Array.from(lon, (value) => Math.round(value * scale)),
    signs: marked,
    ...rest,
  };
}

/** The roads of kept JSON. */
export function openRoads(stored: StoredRoads): RoadSource {
  const { ids, lat, lon, signs: marked, ways, restrictions, dropped, schools, missingNodes, delays } = stored;
  const signs = new Uint16Array(ids.length);
  for (const [node, bits] of marked) signs[node] = bits;
  const degrees = (values: readonly number[]) => Float64Array.from(values, (value) => value / scale);
  return {
    ids: Float64Array.from(ids),
    lat: degrees(lat),
    lon: degrees(lon),
    signs,
    ways,
    restrictions,
    dropped,
    schools,
    missingNodes,
    ...(delays && { delays }),
  };
}
