import type { HandlersOf } from '../http/call';
import { addShare, readShare, revokeShare, sharesOf } from './store';

/** Links to debriefs; reading one needs no sign-in. */
export const shareHandlers: HandlersOf<'shares' | 'share' | 'revokeShare' | 'sharedDebrief'> = {
  shares: (call, { driveId }) => sharesOf(call, driveId),
  share: ({ write }, { driveId }, { days }) => write((trx) => addShare(trx, driveId, days)),
  revokeShare: ({ write }, { driveId, shareId }) => write((trx) => revokeShare(trx, driveId, shareId)),
  sharedDebrief(call, { token }) {
    call.setHeader('x-robots-tag', 'noindex');
    return readShare(call, token);
  },
};
