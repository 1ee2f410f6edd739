import { lazy } from 'react';

/** Which route a mock test is driven on; arrives after the page it stands on. */
export const RouteChoice = lazy(() => import('./car/RouteChoice'));
/** A route as its learner rehearses it. */
export const SharedRehearsalView = lazy(() => import('./rehearsal/SharedRehearsalView'));
/** Notes where the car goes, and asks whether it may. */
export const TraceRecorder = lazy(() => import('./traces/TraceRecorder'));
export const TraceConsent = lazy(() => import('./traces/TraceConsent'));
/** Where a drive went, for its debrief. */
export const RoadInDebrief = lazy(() => import('./traces/RoadInDebrief'));
/** What a trace says of the roads of a mock test. */
export const TraceLink = lazy(() => import('./traces/TraceLink'));
/** The next direction of a route, for the marking screen. */
export const DirectionBar = lazy(() => import('./car/DirectionBar'));
