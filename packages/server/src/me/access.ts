import { t } from '@jasperwren/words/refusals';
import type { AccessCode, AccessKind } from '@jasperwren/contract/access';
import type { Anybody, Call, LearnerWho } from '../call';
import { conflict } from '../refusal';
import { getLearner } from '../learners/store';
import { digestOfCode, newCode } from '../secrets';

/** A code that is read out is short and lives shortly; an invitation travels, so it is long and lives longer. */
const kinds: Readonly<Record<AccessKind, { readonly length: number; readonly lifeMs: number }>> = {
  code: { length: 8, lifeMs: 15 * 60_000 },
  invitation: { length: 24, lifeMs: 7 * 24 * 3_600_000 },
};

/**
 * Makes a code by which a learner signs in once.
 * @throws missing where the school has no such learner; conflict where the learner is archived
 */
export async function makeCode(call: Call, learnerId: string, kind: AccessKind): Promise<AccessCode> {
  const {
    db,
    who: { schoolId, accountId },
    now,
  } = call;
  const { archivedAt } = await getLearner(call, learnerId);
  if (archivedAt) throw conflict(t('learnerArchived'), { code: 'archived' });
  const { length, lifeMs } = kinds[kind];
  const code = newCode(length);
  const expiresAt = new Date(now.getTime() + lifeMs).toISOString();
  await db
    .insertInto('access_codes')
    .values({
      code_hash: digestOfCode(code),
      school_id: schoolId,
      learner_id: learnerId,
      account_id: accountId,
      expires_at: expiresAt,
    })
    .execute();
  return { code, expiresAt, path: `/learn/sign-in?code=${code}` };
}

/** The learner whom a code lets in; the code is used up. Undefined where it is unknown, used or has run out. */
export async function redeemCode({ db, now }: Anybody, code: string): Promise<LearnerWho | undefined> {
  const row = await db
    .deleteFrom('access_codes')
    .where('code_hash', '=', digestOfCode(code))
    .returning(['school_id', 'learner_id', 'expires_at'])
    .executeTakeFirst();
  if (!row || row.expires_at < now.toISOString()) return undefined;
  return { schoolId: row.school_id, learnerId: row.learner_id };
}
