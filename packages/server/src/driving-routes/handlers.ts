import type { HandlersOf } from '../http/call';
import { addRoute, dropRoute, editRoute, routesOfSchool } from './store';

export const routeHandlers: HandlersOf<'routes' | 'addRoute' | 'editRoute' | 'dropRoute'> = {
  routes: (call) => routesOfSchool(call),
  addRoute: ({ write }, _, body) => write((trx) => addRoute(trx, body)),
  editRoute: ({ write }, { routeId }, body) => write((trx) => editRoute(trx, routeId, body)),
  dropRoute: ({ write }, { routeId }) => write((trx) => dropRoute(trx, routeId)),
};
