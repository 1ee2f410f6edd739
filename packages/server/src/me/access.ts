import { createHash, randomInt } from 'node:crypto';
import type { AccessCode, AccessKind } from '@jasperwren/contract/checks';
import createError from 'http-errors';
import type { Db } from '../db/database';
import type { LearnerWho, Who } from '../http/context';
import { getLearner } from '../learners/store';

/** No letters that are read as digits or as each other. */
const letters = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
/** A code that is read out is short and lives shortly; an invitation travels, so it is long and lives longer. */
const kinds: Readonly<Record<AccessKind, { readonly length: number; readonly lifeMs: number }>> = {
  code: { length: 8, lifeMs: 15 * 60_000 },
  invitation: { length: 24, lifeMs: 7 * 24 * 3_600_000 },
};

const plain = (code: string) => code.toUpperCase().replace(/[^A-Z0-9]/g, '');
const digestOf = (code: string) => createHash('sha256').update(plain(code)).digest('hex');

/**
 * Makes a code by which a learner signs in once.
 * @throws 404 where the school has no such learner; 409 where the learner is archived
 */
export async function makeCode(
  db: Db,
  { schoolId, accountId }: Who,
  learnerId: string,
  kind: AccessKind,
): Promise<AccessCode> {
  const { archivedAt } = await getLearner(db, schoolId, learnerId);
  if (archivedAt)
    throw createError(409, 'This learner is archived. Put them back on the list first.', { code: 'archived' });
  const { length, lifeMs } = kinds[kind];
  const bare = Array.from({ length }, () => letters[randomInt(letters.length)]).join('');
  const code = bare.match(/.{4}/g)!.join('-');
  const expiresAt = new Date(Date.now() + lifeMs).toISOString();
  await db
    .insertInto('access_codes')
    .values({
      code_hash: digestOf(code),
      school_id: schoolId,
      learner_id: learnerId,
      account_id: accountId,
      expires_at: expiresAt,
    })
    .execute();
  return { code, expiresAt, path: `/learn/sign-in?code=${code}` };
}

/** The learner whom a code lets in; the code is used up. Undefined where it is unknown, used or has run out. */
export async function useCode(db: Db, code: string): Promise<LearnerWho | undefined> {
  const row = await db
    .deleteFrom('access_codes')
    .where('code_hash', '=', digestOf(code))
    .returning(['school_id', 'learner_id', 'expires_at'])
    .executeTakeFirst();
  if (!row || row.expires_at < new Date().toISOString()) return undefined;
  return { schoolId: row.school_id, learnerId: row.learner_id };
}

/**
 * Ends every sign-in of a learner and every code that is still open.
 * @throws 404 where the school has no such learner
 */
export async function endAccess(db: Db, schoolId: string, learnerId: string): Promise<void> {
  await getLearner(db, schoolId, learnerId);
  await db.transaction().execute(async (trx) => {
    for (const table of ['sessions', 'access_codes'] as const)
      await trx.deleteFrom(table).where('school_id', '=', schoolId).where('learner_id', '=', learnerId).execute();
  });
}
