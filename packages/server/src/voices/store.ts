import { t } from '@jasperwren/words/refusals';
import type { VoiceInput, VoiceType, VoiceView } from '@jasperwren/contract/voices';
import type { Call, InSchool } from '../call';
import { refuseMarker } from '../drives/may-mark';
import { missing } from '../refusal';
import { noteWithdrawal } from '../withdrawals/note';

/** The drive that a voice belongs to. @throws missing where it has not arrived yet */
async function driveOf({ db, who: { schoolId } }: InSchool, driveId: string) {
  const drive = await db
    .selectFrom('drives')
    .select(['account_id', 'learner_id'])
    .where('school_id', '=', schoolId)
    .where('id', '=', driveId)
    .executeTakeFirst();
  if (!drive) throw missing(t('testNotArrived'), { code: 'not-yet' });
  return drive;
}

/** The same for whoever changes what was said. @throws notAllowed where somebody else drives */
async function learnerOnDrive(call: Call, driveId: string): Promise<{ readonly learnerId: string }> {
  const drive = await driveOf(call, driveId);
  await refuseMarker(call, driveId, drive.account_id);
  return { learnerId: drive.learner_id };
}

/** Keeps what was said with a pin; said again, it takes its place. */
export async function keepVoice(
  call: Call,
  driveId: string,
  pin: string,
  { type, audio }: VoiceInput,
): Promise<{ readonly learnerId: string }> {
  const drive = await learnerOnDrive(call, driveId);
  const values = { type, audio, said_at: call.now.toISOString() };
  await call.db
    .insertInto('pin_voices')
    .values({ school_id: call.who.schoolId, drive_id: driveId, pin_id: pin, ...values })
    .onConflict((conflict) => conflict.columns(['school_id', 'drive_id', 'pin_id']).doUpdateSet(values))
    .execute();
  return drive;
}

/** Takes out what was said with a pin; nothing where there is none. */
export async function dropVoice(call: Call, driveId: string, pin: string): Promise<{ readonly learnerId: string }> {
  const drive = await learnerOnDrive(call, driveId);
  const subject = JSON.stringify([driveId, pin]);
  if (await takeOutVoice(call, subject)) await noteWithdrawal(call, 'voice', subject);
  return drive;
}

/**
 * The same for one that has come back with a restore. Returns whether it had.
 * @param subject the drive and the pin as a JSON array
 */
export async function takeOutVoice({ db, who: { schoolId } }: InSchool, subject: string): Promise<boolean> {
  const [driveId, pin] = JSON.parse(subject) as readonly [string, string];
  const { numDeletedRows } = await db
    .deleteFrom('pin_voices')
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .where('pin_id', '=', pin)
    .executeTakeFirst();
  return numDeletedRows > 0n;
}

/** What was said with the pins of a drive. */
export async function voicesOf(call: InSchool, driveId: string): Promise<readonly VoiceView[]> {
  await driveOf(call, driveId);
  const { schoolId } = call.who;
  const rows = await call.db
    .selectFrom('pin_voices')
    .select(['pin_id', 'type', 'audio'])
    .where('school_id', '=', schoolId)
    .where('drive_id', '=', driveId)
    .orderBy('said_at')
    .execute();
  return rows.map(({ pin_id: pin, type, audio }) => ({ pin, type: type as VoiceType, audio }));
}
