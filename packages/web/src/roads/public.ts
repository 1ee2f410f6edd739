import { lazy } from 'react';

/** Which route a mock test is driven on; arrives after the page it stands on. */
export const RouteChoice = lazy(() => import('./car/RouteChoice'));
/** The next direction of a route, for the marking screen. */
export const DirectionBar = lazy(() => import('./car/DirectionBar'));
