import type { Route } from './route';
import { accountRoutes } from './routes/account';
import { drivesRoutes } from './routes/drives';
import { learnersRoutes } from './routes/learners';
import { lessonsRoutes } from './routes/lessons';
import { meRoutes } from './routes/me';
import { placesRoutes } from './routes/places';
import { roadsRoutes } from './routes/roads';
import { safetyQuestionsRoutes } from './routes/safety-questions';
import { schoolRoutes } from './routes/school';
import { standardsRoutes } from './routes/standards';
import { wheelsRoutes } from './routes/wheels';
import { yardRoutes } from './routes/yard';

/** Every way of calling the server; what is not here does not exist. The name is also what the audit trail says. */
export const routes = {
  ...accountRoutes,
  ...schoolRoutes,
  ...learnersRoutes,
  ...standardsRoutes,
  ...drivesRoutes,
  ...lessonsRoutes,
  ...safetyQuestionsRoutes,
  ...roadsRoutes,
  ...placesRoutes,
  ...yardRoutes,
  ...wheelsRoutes,
  ...meRoutes,
} as const;

export type Routes = typeof routes;
export type RouteName = keyof Routes;

/** The route of a name, without its types. */
export const routeOf = (name: RouteName): Route => routes[name];
export const routeNames = Object.keys(routes) as readonly RouteName[];

/** Whether a route changes something. */
export const writes = (route: Pick<Route, 'method'>): boolean => route.method !== 'GET';
