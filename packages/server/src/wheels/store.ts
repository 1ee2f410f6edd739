import { t } from '@jasperwren/words/refusals';
import type { KeptInput, KeptView } from '@jasperwren/contract/wheels';
import type { KeptBody, KeptKind } from '@jasperwren/motion/read-spec';
import type { Call, InSchool } from '../call';
import { invalid, missing } from '../refusal';

/** No school keeps more than so many. */
const most = 500;

/** The vehicles, grounds and questions that a school keeps, by name. */
export async function listKept({ db, who: { schoolId } }: InSchool): Promise<readonly KeptView[]> {
  const rows = await db
    .selectFrom('kept_wheels')
    .selectAll()
    .where('school_id', '=', schoolId)
    .orderBy('name')
    .orderBy('id')
    .execute();
  return rows.map(({ id, kind, name, body, kept_at }) => ({
    id,
    kind: kind as KeptKind,
    name,
    body: JSON.parse(body) as KeptBody,
    keptAt: kept_at,
  }));
}

/** Keeps one, in place of what was kept under the same id. */
export async function keep(call: Call, { id, kind, name, body }: KeptInput): Promise<KeptView> {
  const { db, now } = call;
  const { schoolId } = call.who;
  const kept = await listKept(call);
  if (kept.length >= most && !kept.some((one) => one.id === id))
    throw invalid(t('keepsTooMany', { most }), { code: 'too-many' });
  const row = { school_id: schoolId, id, kind, name, body, kept_at: now.toISOString() };
  await db
    .insertInto('kept_wheels')
    .values(row)
    .onConflict((clash) => clash.columns(['school_id', 'id']).doUpdateSet({ kind, name, body, kept_at: row.kept_at }))
    .execute();
  return { id, kind, name, body: JSON.parse(body) as KeptBody, keptAt: row.kept_at };
}

/** @throws missing where the school keeps no such thing */
export async function dropKept({ db, who: { schoolId } }: Call, id: string): Promise<void> {
  const { numDeletedRows } = await db
    .deleteFrom('kept_wheels')
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .executeTakeFirst();
  if (numDeletedRows === 0n) throw missing(t('alreadyDeleted'), { code: 'not-kept' });
}
