import { lazy } from 'react';
import { lazyOrNothing } from '../base/lazy-or-nothing';

/** Which route a mock test is driven on; arrives after the page it stands on. */
export type { ChosenRoute } from './car/RouteChoice';
export const RouteChoice = lazyOrNothing(() => import('./car/RouteChoice'));
/** A route as its learner rehearses it. */
export const SharedRehearsalView = lazy(() => import('./rehearsal/SharedRehearsalView'));
/** Notes where the car goes, and asks whether it may. */
export const TraceRecorder = lazyOrNothing(() => import('./traces/TraceRecorder'));
export const TraceConsent = lazyOrNothing(() => import('./traces/TraceConsent'));
/** Where a drive went, for its debrief. */
export const RoadInDebrief = lazyOrNothing(() => import('./traces/RoadInDebrief'));
/** The trace of a drive, or the way to add one. */
export const TraceOfDrive = lazy(() => import('./traces/TraceOfDrive'));
/** Where a fault was made on the planned route. */
export const PlaceOnRoute = lazyOrNothing(() => import('./traces/PlaceOnRoute'));
/** What a trace says of the roads of a mock test. */
export const TraceLink = lazyOrNothing(() => import('./traces/TraceLink'));
/** How fast it was at a moment of a mock test. */
export const SpeedAtMoment = lazyOrNothing(() => import('./traces/SpeedAtMoment'));
/** The next direction of a route, for the marking screen. */
export const DirectionBar = lazyOrNothing(() => import('./car/DirectionBar'));
