import type { NewShare, SharedDebrief, ShareView } from '@jasperwren/contract/shares';
import { forLearner, isFinal } from '@jasperwren/core/debrief/for-learner';
import { foldDrive } from '@jasperwren/core/drive/fold';
import createError from 'http-errors';
import { v7 as newId } from 'uuid';
import type { Db } from '../db/database';
import { drivesOfLearner, getDrive } from '../drives/store';
import type { Who } from '../http/call';
import { digestOfSecret, newToken } from '../secrets';

const dayMs = 24 * 60 * 60 * 1000;
const pastDrives = 6;

/**
 * Makes a link to a debrief that runs out by itself.
 * @throws 404 where the school has no such drive; 409 while something of it is still to be settled
 */
export async function addShare(db: Db, who: Who, driveId: string, days: number): Promise<NewShare> {
  const { events } = await getDrive(db, who.schoolId, driveId);
  if (!isFinal(foldDrive(events)))
    throw createError(409, 'The verdict is not final yet. End the drive and settle what is open, then share it.', {
      code: 'not-final',
    });
  const token = newToken();
  const now = Date.now();
  const share = {
    id: newId(),
    created_at: new Date(now).toISOString(),
    expires_at: new Date(now + days * dayMs).toISOString(),
  };
  await db
    .insertInto('shares')
    .values({
      ...share,
      token_hash: digestOfSecret(token),
      school_id: who.schoolId,
      drive_id: driveId,
      account_id: who.accountId,
      revoked_at: null,
    })
    .execute();
  return { ...toView({ ...share, revoked_at: null }), path: `/shared/${token}` };
}

/** The links to a debrief, the newest first, those that have run out or were revoked included. */
export async function sharesOf(db: Db, schoolId: string, driveId: string): Promise<readonly ShareView[]> {
  const rows = await db
    .selectFrom('shares')
    .select(['id', 'created_at', 'expires_at', 'revoked_at'])
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .orderBy('created_at', 'desc')
    .execute();
  return rows.map(toView);
}

/**
 * Takes a link back.
 * @throws 404 where the drive has none such
 */
export async function revokeShare(db: Db, schoolId: string, driveId: string, id: string): Promise<void> {
  const { numUpdatedRows } = await db
    .updateTable('shares')
    .set({ revoked_at: new Date().toISOString() })
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .where('id', '=', id)
    .where('revoked_at', 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows === 0n)
    throw createError(404, 'There is no such link, or it was taken back before.', { code: 'no-share' });
}

/**
 * What a link shows, to whoever has it.
 * @throws 404 where the link is unknown, has run out or was taken back: one answer for all, so that none can be guessed
 */
export async function readShare(db: Db, token: string): Promise<SharedDebrief> {
  const row = await db
    .selectFrom('shares')
    .select(['school_id', 'drive_id', 'expires_at'])
    .where('token_hash', '=', digestOfSecret(token))
    .where('revoked_at', 'is', null)
    .where('expires_at', '>', new Date().toISOString())
    .executeTakeFirst();
  if (!row)
    throw createError(404, 'This link has run out or was taken back. Ask your instructor for a new one.', {
      code: 'no-share',
    });
  return sharedDebrief(db, row.school_id, row.drive_id, row.expires_at);
}

/** A drive as its learner may read it until a day. */
export async function sharedDebrief(
  db: Db,
  schoolId: string,
  driveId: string,
  expiresAt: string,
): Promise<SharedDebrief> {
  const { summary, standard, events } = await getDrive(db, schoolId, driveId);
  const [drives, school] = await Promise.all([
    drivesOfLearner(db, schoolId, summary.learnerId),
    db.selectFrom('schools').select('name').where('id', '=', schoolId).executeTakeFirstOrThrow(),
  ]);
  const place = drives.findIndex(({ id }) => id === summary.id);
  return {
    school: school.name,
    firstName: summary.learnerName.split(/\s+/)[0] ?? '',
    startedAt: summary.startedAt,
    expiresAt,
    standard,
    drive: forLearner(foldDrive(events)),
    past: drives.slice(Math.max(0, place - pastDrives), place).map(({ byItem }) => byItem),
  };
}

interface ShareRow {
  readonly id: string;
  readonly created_at: string;
  readonly expires_at: string;
  readonly revoked_at: string | null;
}

function toView({ id, created_at, expires_at, revoked_at }: ShareRow): ShareView {
  return { id, createdAt: created_at, expiresAt: expires_at, ...(revoked_at !== null && { revokedAt: revoked_at }) };
}
