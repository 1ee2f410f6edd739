import type { HandlersOf } from '../http/call';
import type { Workers } from '../jobs/threads';
import { addRouteShare, myRoute, myRoutes, openLink, revokeRouteShare, routeSharesOf } from './store';

type Names = 'routeShares' | 'shareRoute' | 'revokeRouteShare' | 'sharedRoute' | 'myRoutes' | 'myRoute';

/** Links by which learners rehearse a route, and what they lead to. */
export const routeShareHandlers = (workers: Workers): HandlersOf<Names> => ({
  routeShares: (call, { routeId }) => routeSharesOf(call, routeId),
  shareRoute: ({ write }, { routeId }, { days }) => write((trx) => addRouteShare(trx, routeId, days)),
  revokeRouteShare: ({ withdraw }, { routeId, linkId }) => withdraw((trx) => revokeRouteShare(trx, routeId, linkId)),
  async sharedRoute(call, { token }) {
    call.setHeader('x-robots-tag', 'noindex');
    return workers.run({ kind: 'rehearsal', ...(await openLink(call, token)) });
  },
  myRoutes: (call) => myRoutes(call),
  myRoute: async (call, { routeId }) => workers.run({ kind: 'rehearsal', ...(await myRoute(call, routeId)) }),
});
