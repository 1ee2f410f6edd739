import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { RoadsView } from '@jasperwren/contract/roads';
import type { AnyReading } from '@jasperwren/core/routes/read-route';
import type { RouteStop } from '@jasperwren/core/routes/driving-route';
import { instructorStyle, type CallStyle } from '@jasperwren/roads/directions/calls';
import type { StoredRoads } from '@jasperwren/roads/source';
import { skipToken } from '@reduxjs/toolkit/query';
import { useMemo } from 'react';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { useReadings } from './work/use-roads-work';

/** The newest of the roads of a name that can be used; the newest of all where no name is given. */
export function newestOf(roads: readonly RoadsView[], name?: string): RoadsView | undefined {
  return roads
    .filter((one) => one.state === 'ready' && (name === undefined || one.name === name))
    .sort((a, b) => b.addedAt.localeCompare(a.addedAt))[0];
}

/** A saved route with its roads. */
export function useRoute(routeId: string) {
  const routes = api.useRoutesQuery();
  const route: RouteView | undefined = routes.data?.find(({ id }) => id === routeId);
  const roads = api.useRoadsOfQuery(route ? { roadsId: route.roadsId } : skipToken);
  return {
    route,
    stored: roads.data,
    missing: routes.data !== undefined && route === undefined,
    unfetched: failureOf(routes, roads),
  };
}

const none: readonly RouteStop[] = [];

/** Reads one route beside the page; what was read before stands until the new reading is there. */
export function useReading(
  stored: StoredRoads | undefined,
  stops: readonly RouteStop[] = none,
  style: CallStyle = instructorStyle,
) {
  const question = useMemo(() => ({ stored, routes: [stops], style }), [stored, stops, style]);
  const { parts, working, failed, again } = useReadings(question);
  const reading: AnyReading | undefined = parts.readings?.[0];
  return { reading, working, failed, again };
}
