import type { HandlersOf } from '../http/call';
import { addRoute, dropRoute, editRoute, routesOfSchool } from './store';
import { callTimingOf, setCallTiming } from './timing';

export const routeHandlers: HandlersOf<
  'routes' | 'addRoute' | 'editRoute' | 'dropRoute' | 'callTiming' | 'setCallTiming'
> = {
  routes: (call) => routesOfSchool(call),
  addRoute: ({ write }, _, body) => write((trx) => addRoute(trx, body)),
  editRoute: ({ write }, { routeId }, body) => write((trx) => editRoute(trx, routeId, body)),
  callTiming: (call) => callTimingOf(call),
  setCallTiming: ({ write }, _, body) => write((trx) => setCallTiming(trx, body)),
  dropRoute: ({ write }, { routeId }) => write((trx) => dropRoute(trx, routeId)),
};
