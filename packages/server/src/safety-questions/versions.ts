import type { KeptVersion } from '@jasperwren/contract/safety-questions';
import type { Call, InSchool } from '../call';

type Table = 'check_questions' | 'vehicles';

/** The newest version of each, retired ones included. */
export async function newestOf<T>(
  { db, who: { schoolId } }: InSchool,
  table: Table,
): Promise<readonly { readonly value: T; readonly retired: boolean }[]> {
  const rows = await db
    .selectFrom(table)
    // With max(), SQLite takes the other columns from the row that holds the maximum.
    .select((eb) => ['id', 'body', 'retired', eb.fn.max('version').as('version')])
    .where('school_id', '=', schoolId)
    .groupBy('id')
    .orderBy('id')
    .execute();
  return rows.map(({ body, retired }) => ({ value: JSON.parse(body) as T, retired: retired === 1 }));
}

/** Every version of one, the newest first, with who made it. */
export async function versionsOf<T>(
  { db, who: { schoolId } }: InSchool,
  table: Table,
  id: string,
): Promise<readonly KeptVersion<T>[]> {
  const rows = await db
    .selectFrom(table)
    .innerJoin('accounts', 'accounts.id', `${table}.account_id`)
    .select([`${table}.body`, `${table}.retired`, `${table}.created_at`, 'accounts.name'])
    .where(`${table}.school_id`, '=', schoolId)
    .where(`${table}.id`, '=', id)
    .orderBy(`${table}.version`, 'desc')
    .execute();
  return rows.map(({ body, retired, created_at, name }) => ({
    value: JSON.parse(body) as T,
    retired: retired === 1,
    by: name,
    at: created_at,
  }));
}

/**
 * Keeps a new version.
 * @param shippedVersion the version that ships under this id; 0 where none does
 */
export async function keepVersion<T extends object>(
  { db, who: { schoolId, accountId }, now }: Call,
  table: Table,
  id: string,
  value: T,
  shippedVersion: number,
  retired = false,
): Promise<T & { id: string; version: number }> {
  const last = await db
    .selectFrom(table)
    .select((eb) => eb.fn.max('version').as('version'))
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .executeTakeFirst();
  const kept = { ...value, id, version: Math.max(shippedVersion, last?.version ?? 0) + 1 };
  await db
    .insertInto(table)
    .values({
      school_id: schoolId,
      id,
      version: kept.version,
      body: JSON.stringify(kept),
      retired: retired ? 1 : 0,
      account_id: accountId,
      created_at: now.toISOString(),
    })
    .execute();
  return kept;
}
