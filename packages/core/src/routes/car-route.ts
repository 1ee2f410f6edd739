import { metresBetween, project, type Place } from '@jasperwren/roads/geometry';
import type { StoredRoads } from '@jasperwren/roads/source';
import type { RouteStop } from './driving-route';
import type { PlacedCall, RouteReading } from './read-route';

/** What a route needs in the car, without a network. */
export interface CarRoute {
  readonly id: string;
  readonly name: string;
  /** How its limits and distances are given. */
  readonly units: 'miles' | 'metric';
  readonly line: RouteReading['line'];
  readonly pace: RouteReading['pace'];
  readonly calls: readonly PlacedCall[];
  readonly metres: number;
  /** With the roads near it, for a new way where it is left; absent in what was kept before there were any. */
  readonly around?: {
    readonly roads: StoredRoads;
    readonly stops: readonly RouteStop[];
  } & Pick<RouteReading, 'legs' | 'edges'>;
}

/** Where a car is along a route. */
export interface Along {
  readonly metres: number;
  /** Metres beside the route. */
  readonly away: number;
}

/** Farther beside the route than this, in metres, a car has left it: wider than a road and the error of a phone. */
export const leftRoute = 60;
/** A fix is looked for on this much of the route behind and ahead of the last, in metres, before all of it is. */
const behind = 80;
const ahead = 700;

/**
 * Where on a route a place is: near where the car was before, where the route is there, since routes cross and repeat
 * themselves; anywhere on it otherwise.
 */
export function alongRoute(line: CarRoute['line'], at: Place, before?: number): Along {
  const near = before === undefined ? undefined : nearest(line, at, before - behind, before + ahead);
  if (near && near.away <= leftRoute) return near;
  const any = nearest(line, at, -Infinity, Infinity);
  return near && any.away > leftRoute ? near : any;
}

function nearest(line: CarRoute['line'], at: Place, from: number, to: number): Along {
  let best: Along = { metres: 0, away: Infinity };
  let metres = 0;
  for (let i = 0; i + 1 < line.length; i++) {
    const [[latA, lonA], [latB, lonB]] = [line[i]!, line[i + 1]!];
    const length = metresBetween(latA, lonA, latB, lonB);
    if (metres + length >= from && metres <= to) {
      const { share, metres: away } = project(at, latA, lonA, latB, lonB);
      if (away < best.away) best = { metres: metres + share * length, away };
    }
    metres += length;
  }
  return best;
}
