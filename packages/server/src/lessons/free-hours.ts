import { t } from '@jasperwren/words/refusals';
import type { FreeHoursList, FreeHoursView } from '@jasperwren/contract/lessons';
import type { FreeHours } from '@jasperwren/core/readiness/plan';
import type { Call } from '../call';
import { refuseStale } from '../stale';

/** When an instructor gives lessons. */
export async function freeHoursOf({ db, who: { schoolId, accountId } }: Call): Promise<FreeHoursView> {
  const row = await db
    .selectFrom('accounts')
    .select(['free_hours', 'hours_version'])
    .where('school_id', '=', schoolId)
    .where('id', '=', accountId)
    .executeTakeFirstOrThrow();
  return { hours: JSON.parse(row.free_hours ?? '[]') as FreeHours[], version: row.hours_version };
}

/**
 * Says when an instructor gives lessons.
 * @throws conflict where they were changed since, on another device
 */
export async function setFreeHours(call: Call, { hours, version }: FreeHoursList): Promise<FreeHoursView> {
  const { db, who } = call;
  const now = await freeHoursOf(call);
  refuseStale(version, now.version, t('hoursChanged'), now);
  await db
    .updateTable('accounts')
    .set({ free_hours: JSON.stringify(hours), hours_version: now.version + 1 })
    .where('school_id', '=', who.schoolId)
    .where('id', '=', who.accountId)
    .execute();
  return freeHoursOf(call);
}
