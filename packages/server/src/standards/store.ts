import { LRUCache } from 'lru-cache';
import { t } from '@jasperwren/words/refusals';
import { effective } from '@jasperwren/core/marking/options';
import type { EffectiveStandard, Standard } from '@jasperwren/core/marking/standard';
import { templates } from '@jasperwren/core/marking/templates';
import type { Anybody, InSchool } from '../call';
import { invalid, missing } from '../refusal';

/** Gives a school the shipped standards it does not have yet; versions it has stay as they are. */
export async function addTemplates({ db, who: { schoolId }, now }: InSchool): Promise<void> {
  const created_at = now.toISOString();
  await db
    .insertInto('standards')
    .values(
      templates.map((standard) => ({
        school_id: schoolId,
        id: standard.id,
        version: standard.version,
        body: JSON.stringify(standard),
        created_at,
      })),
    )
    .onConflict((conflict) => conflict.columns(['school_id', 'id', 'version']).doNothing())
    .execute();
}

/** As `addTemplates`, for every school: what a new release ships reaches the schools at its first start. */
export async function addTemplatesEverywhere(call: Anybody): Promise<void> {
  for (const { id: schoolId } of await call.db.selectFrom('schools').select('id').execute())
    await addTemplates({ ...call, who: { schoolId } });
}

/** For sorting: the school's own standards first, then the shipped ones in their order. */
export function shippedOrder(id: string): number {
  return templates.findIndex((template) => template.id === id);
}

/** The latest version of each standard of a school that is not retired, its own first. */
export async function latestStandards(call: InSchool): Promise<readonly EffectiveStandard[]> {
  const {
    db,
    who: { schoolId },
  } = call;
  const [all, retired] = await Promise.all([
    newestStandards(call),
    db.selectFrom('retired_standards').select('id').where('school_id', '=', schoolId).execute(),
  ]);
  return all
    .filter(({ id }) => !retired.some((one) => one.id === id))
    .sort((a, b) => shippedOrder(a.id) - shippedOrder(b.id));
}

/** The latest version of each standard of a school as it is judged by, retired ones included: a learner may still be tested under one. */
export async function newestStandards(call: InSchool): Promise<readonly EffectiveStandard[]> {
  const rows = await call.db
    .selectFrom('standards')
    .select((eb) => ['id', eb.fn.max('version').as('version')])
    .where('school_id', '=', call.who.schoolId)
    .groupBy('id')
    .orderBy('id')
    .execute();
  return Promise.all(rows.map(({ id, version }) => boundStandard(call, id, version)));
}

interface Version {
  readonly standard: Standard;
  readonly effective: EffectiveStandard;
}

/** A version never changes: one that was read is kept as it was read. */
const kept = new LRUCache<string, Version>({ max: 300 });

async function versionOf({ db, who: { schoolId } }: InSchool, id: string, version: number): Promise<Version> {
  const key = JSON.stringify([schoolId, id, version]);
  const known = kept.get(key);
  if (known) return known;
  const row = await db
    .selectFrom('standards')
    .select('body')
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .where('version', '=', version)
    .executeTakeFirst();
  if (!row) throw missing(t('noSuchVersion', { id, version }), { code: 'no-standard' });
  const standard = JSON.parse(row.body) as Standard;
  const read = { standard, effective: effective(standard) };
  kept.set(key, read);
  return read;
}

/**
 * One version of a standard.
 * @throws missing where the school has none such
 */
export const getStandard = async (call: InSchool, id: string, version: number): Promise<Standard> =>
  (await versionOf(call, id, version)).standard;

/**
 * The version that something is bound to, as it is judged by.
 * @throws missing where the school has none such
 */
export const boundStandard = async (call: InSchool, id: string, version: number): Promise<EffectiveStandard> =>
  (await versionOf(call, id, version)).effective;

/**
 * Says no where the school has no such standard in any version.
 * @throws 422
 */
export async function assertStandard({ db, who: { schoolId } }: InSchool, id: string): Promise<void> {
  const row = await db
    .selectFrom('standards')
    .select('id')
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .executeTakeFirst();
  if (row) return;
  const problems = [{ field: 'standardId', message: t('notYourStandard') }];
  throw invalid(t('notYourStandardNothingSaved'), { problems });
}
