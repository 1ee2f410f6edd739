import { t } from '@jasperwren/words/refusals';
import type { ShareView } from '@jasperwren/contract/shares';
import { v7 as newId } from 'uuid';
import type { Call } from '../call';
import { missing } from '../refusal';
import { digestOfSecret, newToken } from '../secrets';

const dayMs = 24 * 60 * 60 * 1000;

/** A link that runs out by itself: its row, and the token that only its address holds. */
export function newLink({ who: { schoolId, accountId }, now }: Call, days: number) {
  const token = newToken();
  const row = {
    id: newId(),
    token_hash: digestOfSecret(token),
    school_id: schoolId,
    account_id: accountId,
    created_at: now.toISOString(),
    expires_at: new Date(now.getTime() + days * dayMs).toISOString(),
    revoked_at: null,
  };
  return { token, row };
}

interface LinkRow {
  readonly id: string;
  readonly created_at: string;
  readonly expires_at: string;
  readonly revoked_at: string | null;
}

/** A link as those who made it see it. */
export const linkView = ({ id, created_at, expires_at, revoked_at }: LinkRow): ShareView => ({
  id,
  createdAt: created_at,
  expiresAt: expires_at,
  ...(revoked_at !== null && { revokedAt: revoked_at }),
});

/** Where a link is not there, or not any more. */
export const noLink = () => missing(t('linkNotFound'), { code: 'no-share' });

/** One answer for a link that is unknown, has run out or was taken back, so that none can be guessed. */
export const deadLink = () => missing(t('linkExpired'), { code: 'no-share' });
