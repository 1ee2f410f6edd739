import { t } from '@jasperwren/words/refusals';
import { linkTo } from '@jasperwren/contract/link-pages';
import type { NewShare, SharedDebrief, ShareView } from '@jasperwren/contract/shares';
import { forLearner, isFinal } from '@jasperwren/core/debrief/for-learner';
import { foldDrive } from '@jasperwren/core/drive/fold';
import type { Anybody, Call, InSchool } from '../call';
import { conflict } from '../refusal';
import { drivesOfLearner, getDrive } from '../drives/store';
import { noteWithdrawal } from '../withdrawals/note';
import { digestOfSecret } from '../secrets';
import { deadLink, linkView, newLink, noLink } from './links';

const pastDrives = 6;

/**
 * Makes a link to a debrief that runs out by itself.
 * @throws missing where the school has no such drive; conflict while something of it is still to be settled
 */
export async function addShare(call: Call, driveId: string, days: number): Promise<NewShare> {
  const { db } = call;
  const { events } = await getDrive(call, driveId);
  if (!isFinal(foldDrive(events)))
    throw conflict(t('resultNotFinal'), {
      code: 'not-final',
    });
  const { token, row } = newLink(call, days);
  await db
    .insertInto('shares')
    .values({ ...row, drive_id: driveId })
    .execute();
  return { ...linkView(row), path: linkTo('debrief', token) };
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
  return rows.map(linkView);
}

/**
 * Takes a link back.
 * @throws missing where the drive has none such
 */
export async function revokeShare(call: InSchool, driveId: string, id: string): Promise<void> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  const { numUpdatedRows } = await db
    .updateTable('shares')
    .set({ revoked_at: now.toISOString() })
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .where('id', '=', id)
    .where('revoked_at', 'is', null)
    .executeTakeFirst();
  if (numUpdatedRows === 0n) throw noLink();
  await noteWithdrawal(call, 'debrief-link', id);
}

/** A drive that a link leads to. */
export interface SharedDrive {
  readonly schoolId: string;
  readonly driveId: string;
  readonly expiresAt: string;
}

/**
 * What a link leads to, for whoever has it.
 * @throws missing where the link is unknown, has run out or was taken back: one answer for all, so that none can be guessed
 */
export async function openShare({ db, now }: Anybody, token: string): Promise<SharedDrive> {
  const row = await db
    .selectFrom('shares')
    .select(['school_id', 'drive_id', 'expires_at'])
    .where('token_hash', '=', digestOfSecret(token))
    .where('revoked_at', 'is', null)
    .where('expires_at', '>', now.toISOString())
    .executeTakeFirst();
  if (!row) throw deadLink();
  return { schoolId: row.school_id, driveId: row.drive_id, expiresAt: row.expires_at };
}

/** A drive as its learner may read it until a day. */
export async function sharedDebrief(
  given: Anybody,
  { schoolId, driveId, expiresAt }: SharedDrive,
): Promise<SharedDebrief> {
  const { db } = given;
  const call = { ...given, who: { schoolId } };
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
