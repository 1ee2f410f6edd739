import type { NewShare, SharedDebrief, ShareView } from '@jasperwren/contract/shares';
import { forLearner, isFinal } from '@jasperwren/core/debrief/for-learner';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { v7 as newId } from 'uuid';
import type { Anybody, Call, InSchool } from '../call';
import { conflict, missing } from '../refusal';
import { drivesOfLearner, getDrive } from '../drives/store';
import { digestOfSecret, newToken } from '../secrets';

const dayMs = 24 * 60 * 60 * 1000;
const pastDrives = 6;

/**
 * Makes a link to a debrief that runs out by itself.
 * @throws missing where the school has no such drive; conflict while something of it is still to be settled
 */
export async function addShare(call: Call, driveId: string, days: number): Promise<NewShare> {
  const { db, who, now: at } = call;
  const { events } = await getDrive(call, driveId);
  if (!isFinal(foldDrive(events)))
    throw conflict('The verdict is not final yet. End the drive and settle what is open, then share it.', {
      code: 'not-final',
    });
  const token = newToken();
  const now = at.getTime();
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
export async function sharesOf({ db, who: { schoolId } }: InSchool, driveId: string): Promise<readonly ShareView[]> {
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
 * @throws missing where the drive has none such
 */
export async function revokeShare(
  { db, who: { schoolId }, now }: InSchool,
  driveId: string,
  id: string,
): Promise<void> {
  const { numUpdatedRows } = await db
    .updateTable('shares')
    .set({ revoked_at: now.toISOString() })
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .where('id', '=', id)
    .where('revoked_at', 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows === 0n) throw missing('Link not found. It may have been revoked.', { code: 'no-share' });
}

/**
 * What a link shows, to whoever has it.
 * @throws missing where the link is unknown, has run out or was taken back: one answer for all, so that none can be guessed
 */
export async function readShare(call: Anybody, token: string): Promise<SharedDebrief> {
  const { db, now } = call;
  const row = await db
    .selectFrom('shares')
    .select(['school_id', 'drive_id', 'expires_at'])
    .where('token_hash', '=', digestOfSecret(token))
    .where('revoked_at', 'is', null)
    .where('expires_at', '>', now.toISOString())
    .executeTakeFirst();
  if (!row)
    throw missing('This link has run out or was taken back. Ask your instructor for a new one.', {
      code: 'no-share',
    });
  return sharedDebrief({ ...call, who: { schoolId: row.school_id } }, row.drive_id, row.expires_at);
}

/** A drive as its learner may read it until a day. */
export async function sharedDebrief(call: InSchool, driveId: string, expiresAt: string): Promise<SharedDebrief> {
  const {
    db,
    who: { schoolId },
  } = call;
  const { summary, standard, events } = await getDrive(call, driveId);
  const [drives, school] = await Promise.all([
    drivesOfLearner(call, summary.learnerId),
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
