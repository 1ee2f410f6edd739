import { roundTheWay } from '../traces/shared-road';
import type { HandlersOf } from '../http/call';
import type { Workers } from '../jobs/threads';
import { addShare, openShare, revokeShare, sharedDebrief, sharesOf } from './store';

/** Links to debriefs; reading one needs no sign-in. */
export const shareHandlers = (
  workers: Workers,
): HandlersOf<'shares' | 'share' | 'revokeShare' | 'sharedDebrief' | 'sharedDebriefRoad'> => ({
  shares: (call, { driveId }) => sharesOf(call, driveId),
  share: ({ write }, { driveId }, { days }) => write((trx) => addShare(trx, driveId, days)),
  revokeShare: ({ withdraw }, { driveId, shareId }) => withdraw((trx) => revokeShare(trx, driveId, shareId)),
  async sharedDebrief(call, { token }) {
    call.setHeader('x-robots-tag', 'noindex');
    return sharedDebrief(call, await openShare(call, token));
  },
  async sharedDebriefRoad(call, { token }) {
    call.setHeader('x-robots-tag', 'noindex');
    return workers.run({ kind: 'shared-road', around: roundTheWay.link, ...(await openShare(call, token)) });
  },
});
