import { t } from '@jasperwren/words/refusals';
import type { StandardSummary, StandardVersion, StandardView } from '@jasperwren/contract/standards';
import type { Standard } from '@jasperwren/core/marking/standard';
import { findTemplate } from '@jasperwren/core/marking/find-template';
import type { InSchool } from '../call';
import { conflict, missing } from '../refusal';
import { getStandard, shippedOrder } from './store';

/** Everything a school has of standards: shipped ones, its own, drafts and retired ones. */
export async function library({ db, who: { schoolId } }: InSchool): Promise<readonly StandardSummary[]> {
  const [published, drafts, retired, drives] = await Promise.all([
    db
      .selectFrom('standards')
      .select(['id', 'version', 'body'])
      .where('school_id', '=', schoolId)
      .orderBy('version')
      .execute(),
    db.selectFrom('standard_drafts').selectAll().where('school_id', '=', schoolId).execute(),
    db.selectFrom('retired_standards').selectAll().where('school_id', '=', schoolId).execute(),
    db
      .selectFrom('drives')
      .select(['standard_id', (eb) => eb.fn.countAll<number>().as('n')])
      .where('school_id', '=', schoolId)
      .groupBy('standard_id')
      .execute(),
  ]);
  const latest = new Map(published.map((row) => [row.id, row]));
  const ids = [...new Set([...latest.keys(), ...drafts.map(({ id }) => id)])];
  return ids
    .map((id): StandardSummary => {
      const row = latest.get(id);
      const draft = drafts.find((candidate) => candidate.id === id);
      const retiredAt = retired.find((candidate) => candidate.id === id)?.retired_at;
      const { name, summary } = JSON.parse(row?.body ?? draft!.body) as Standard;
      return {
        id,
        name,
        summary,
        template: findTemplate(id) !== undefined,
        drives: Number(drives.find(({ standard_id }) => standard_id === id)?.n ?? 0),
        ...(row && { version: row.version }),
        ...(draft && { draftSavedAt: draft.saved_at }),
        ...(retiredAt !== undefined && { retiredAt }),
      };
    })
    .sort((a, b) => shippedOrder(a.id) - shippedOrder(b.id) || a.name.localeCompare(b.name));
}

/**
 * The latest version of a standard, with the list of all.
 * @throws missing where the school has published none such
 */
export async function viewStandard(call: InSchool, id: string): Promise<StandardView> {
  const {
    db,
    who: { schoolId },
  } = call;
  const rows = await db
    .selectFrom('standards')
    .select(['version', 'body', 'created_at'])
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .orderBy('version')
    .execute();
  const versions = rows.map((row): StandardVersion => ({
    version: row.version,
    name: (JSON.parse(row.body) as Standard).name,
    publishedAt: row.created_at,
  }));
  const [retired, draft] = await Promise.all([
    db
      .selectFrom('retired_standards')
      .select('retired_at')
      .where('school_id', '=', schoolId)
      .where('id', '=', id)
      .executeTakeFirst(),
    db
      .selectFrom('standard_drafts')
      .select('id')
      .where('school_id', '=', schoolId)
      .where('id', '=', id)
      .executeTakeFirst(),
  ]);
  return {
    standard: await getStandard(call, id, versions.at(-1)?.version ?? 1),
    template: findTemplate(id) !== undefined,
    versions,
    hasDraft: draft !== undefined,
    ...(retired && { retiredAt: retired.retired_at }),
  };
}

/**
 * Takes a standard out of use, or brings it back. Drives and sheets marked under it stay as they are.
 * @throws missing where the school has none such; conflict where learners are still to be tested under it
 */
export async function setRetired(call: InSchool, id: string, retired: boolean): Promise<void> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  const { versions } = await viewStandard(call, id);
  if (versions.length === 0) throw missing(t('noSuchStandard', { id }), { code: 'no-standard' });
  if (!retired) {
    await db.deleteFrom('retired_standards').where('school_id', '=', schoolId).where('id', '=', id).execute();
    return;
  }
  const { n } = await db
    .selectFrom('learners')
    .select((eb) => eb.fn.countAll<number>().as('n'))
    .where('school_id', '=', schoolId)
    .where('standard_id', '=', id)
    .where('archived_at', 'is', null)
    .executeTakeFirstOrThrow();
  if (Number(n) > 0) {
    throw conflict(t('stillToBeTested', { count: Number(n) }), {
      code: 'in-use',
    });
  }
  await db
    .insertInto('retired_standards')
    .values({ school_id: schoolId, id, retired_at: now.toISOString() })
    .onConflict((conflict) => conflict.columns(['school_id', 'id']).doNothing())
    .execute();
}
