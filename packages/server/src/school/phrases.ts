import { t } from '@jasperwren/words/refusals';
import type { PhrasesInput, PhrasesView } from '@jasperwren/contract/phrases';
import type { Call, InSchool } from '../call';
import { refuseStale } from '../stale';

/** What a school says to learners again and again, in the order in which it was kept. */
export async function phrasesOf({ db, who: { schoolId } }: InSchool): Promise<PhrasesView> {
  const row = await db
    .selectFrom('note_phrases')
    .select(['phrases', 'version'])
    .where('school_id', '=', schoolId)
    .executeTakeFirst();
  return row
    ? { phrases: JSON.parse(row.phrases) as readonly string[], version: row.version }
    : { phrases: [], version: 0 };
}

/** @throws conflict where somebody else has changed them since */
export async function setPhrases(call: Call, { phrases, version }: PhrasesInput): Promise<PhrasesView> {
  const now = await phrasesOf(call);
  refuseStale(version, now.version, t('phrasesChanged'), now);
  const values = { phrases: JSON.stringify(phrases), version: now.version + 1 };
  await call.db
    .insertInto('note_phrases')
    .values({ school_id: call.who.schoolId, ...values })
    .onConflict((conflict) => conflict.column('school_id').doUpdateSet(values))
    .execute();
  return phrasesOf(call);
}
