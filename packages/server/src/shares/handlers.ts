import type { HandlersOf } from '../http/call';
import { addShare, readShare, revokeShare, sharesOf } from './store';

/** Links to debriefs; reading one needs no sign-in. */
export const shareHandlers: HandlersOf<'shares' | 'share' | 'revokeShare' | 'sharedDebrief'> = {
  shares: ({ db, who }, { driveId }) => sharesOf(db, who.schoolId, driveId),
  share: ({ write, who }, { driveId }, { days }) => write((db) => addShare(db, who, driveId, days)),
  revokeShare: ({ write, who }, { driveId, shareId }) => write((db) => revokeShare(db, who.schoolId, driveId, shareId)),
  sharedDebrief({ db, setHeader }, { token }) {
    setHeader('x-robots-tag', 'noindex');
    return readShare(db, token);
  },
};
