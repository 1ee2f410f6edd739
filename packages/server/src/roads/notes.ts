import { t } from '@jasperwren/words/refusals';
import type { RoadNoteInput, RoadNoteView } from '@jasperwren/contract/roads';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import { missing } from '../refusal';

/** What a school knows of places on its roads, oldest first. */
export async function notesOfSchool(call: InSchool): Promise<readonly RoadNoteView[]> {
  return (await selectNotes(call).orderBy('road_notes.written_at').execute()).map(toView);
}

export async function addNote(
  call: Call,
  { lat, lon, along = false, text, reviewBy }: RoadNoteInput,
): Promise<RoadNoteView> {
  const id = newId();
  const { schoolId, accountId } = call.who;
  await call.db
    .insertInto('road_notes')
    .values({
      id,
      school_id: schoolId,
      account_id: accountId,
      lat,
      lon,
      along: Number(along),
      text,
      review_by: reviewBy,
      written_at: call.now.toISOString(),
    })
    .execute();
  return getNote(call, id);
}

/** Writes a note anew: it is then as old as today, and whoever wrote last stands under it. */
export async function editNote(
  call: Call,
  id: string,
  { lat, lon, along = false, text, reviewBy }: RoadNoteInput,
): Promise<RoadNoteView> {
  await getNote(call, id);
  await call.db
    .updateTable('road_notes')
    .set({
      ...{ lat, lon, text, review_by: reviewBy, along: Number(along) },
      ...{ account_id: call.who.accountId, written_at: call.now.toISOString() },
    })
    .where('id', '=', id)
    .execute();
  return getNote(call, id);
}

export async function dropNote(call: Call, id: string): Promise<void> {
  await getNote(call, id);
  await call.db.deleteFrom('road_notes').where('id', '=', id).execute();
}

/** @throws missing where the school has no such note */
async function getNote(call: InSchool, id: string): Promise<RoadNoteView> {
  const row = await selectNotes(call).where('road_notes.id', '=', id).executeTakeFirst();
  if (!row) throw missing(t('noteNotFound'), { code: 'no-note' });
  return toView(row);
}

const selectNotes = ({ db, who: { schoolId } }: InSchool) =>
  db
    .selectFrom('road_notes')
    .innerJoin('accounts', 'accounts.id', 'road_notes.account_id')
    .select(['road_notes.id', 'lat', 'lon', 'along', 'text', 'review_by', 'written_at', 'accounts.name as writtenBy'])
    .where('road_notes.school_id', '=', schoolId);

type Row = Awaited<ReturnType<ReturnType<typeof selectNotes>['executeTakeFirstOrThrow']>>;

const toView = ({ review_by: reviewBy, written_at: writtenAt, along, ...row }: Row): RoadNoteView => ({
  ...row,
  along: along === 1,
  reviewBy,
  writtenAt,
});
