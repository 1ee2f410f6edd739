import { t } from '@jasperwren/words/refusals';
import type { SheetEdit, SheetInput, SheetView } from '@jasperwren/contract/sheets';
import { judgeSheet, strangeEntries } from '@jasperwren/core/marking/sheet';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { resultDetail } from '@jasperwren/core/marking/result-detail';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import { invalid, missing } from '../refusal';
import { getLearner } from '../learners/store';
import { refuseStale } from '../stale';
import { boundStandard } from '../standards/store';

type SheetBody = Pick<SheetView, 'centre' | 'official' | 'notes' | 'entries' | 'before'>;

/** The sheets of a learner's real tests, oldest first. */
export async function sheetsOfLearner(call: InSchool, learnerId: string): Promise<readonly SheetView[]> {
  await getLearner(call, learnerId);
  const rows = await selectSheets(call).where('learner_id', '=', learnerId).orderBy('date').execute();
  return rows.map(toView);
}

/** How the driving tests of a school ended, where, and what was expected, oldest first; nothing is judged for it. */
export async function testsOfSchool({
  db,
  who: { schoolId },
}: InSchool): Promise<readonly Pick<SheetView, 'learnerId' | 'centre' | 'official' | 'before'>[]> {
  const rows = await db
    .selectFrom('sheets')
    .select(['learner_id', 'body'])
    .where('school_id', '=', schoolId)
    .orderBy('date')
    .execute();
  return rows.map(({ learner_id, body }) => {
    const { centre, official, before } = JSON.parse(body) as SheetBody;
    return { learnerId: learner_id, official, ...(centre !== undefined && { centre }), ...(before && { before }) };
  });
}

/** The sheets of all driving tests of a school, oldest first. */
export async function sheetsOfSchool(call: InSchool): Promise<readonly SheetView[]> {
  const rows = await selectSheets(call).orderBy('date').execute();
  return rows.map(toView);
}

/** @throws missing where the school has no such sheet, also when another has */
export async function getSheet(call: InSchool, id: string): Promise<SheetView> {
  const row = await selectSheets(call).where('sheets.id', '=', id).executeTakeFirst();
  if (!row) throw missing(t('testResultNotFound'), { code: 'no-sheet' });
  return toView(row);
}

/**
 * Keeps a sheet.
 * @param before the chance of a pass as it was estimated before the test
 * @throws missing where the school has no such learner or standard; invalid where an entry is not of the standard
 */
export async function addSheet(
  call: Call,
  learnerId: string,
  input: SheetInput,
  before: SheetView['before'],
): Promise<SheetView> {
  const {
    db,
    who: { schoolId, accountId },
  } = call;
  await getLearner(call, learnerId);
  const id = newId();
  await db
    .insertInto('sheets')
    .values({
      school_id: schoolId,
      id,
      learner_id: learnerId,
      account_id: accountId,
      ...(await toRow(call, input, before)),
    })
    .execute();
  return getSheet(call, id);
}

/**
 * As `addSheet`, in place of what was typed before.
 * @throws conflict where somebody else has changed it since
 */
export async function editSheet(call: InSchool, id: string, input: SheetEdit): Promise<SheetView> {
  const {
    db,
    who: { schoolId },
  } = call;
  const now = await getSheet(call, id);
  refuseStale(input.version, now.version, t('testResultChanged'), now);
  const row = { ...(await toRow(call, input, now.before)), version: now.version + 1 };
  await db.updateTable('sheets').set(row).where('school_id', '=', schoolId).where('id', '=', id).execute();
  return getSheet(call, id);
}

/** @throws missing where the school has no such sheet */
export async function dropSheet(call: InSchool, id: string): Promise<void> {
  const {
    db,
    who: { schoolId },
  } = call;
  await getSheet(call, id);
  await db.deleteFrom('sheets').where('school_id', '=', schoolId).where('id', '=', id).execute();
}

async function toRow(call: InSchool, input: SheetInput, before: SheetView['before']) {
  const { standardId, standardVersion, date, centre, official, notes, entries } = input;
  const standard = await boundStandard(call, standardId, standardVersion);
  const strange = strangeEntries(standard, entries);
  if (strange.length > 0) {
    throw invalid(t('itemsNotOfStandard'), {
      problems: strange.map((entry) => ({
        field: `entries.${entries.findIndex((e) => e === entry)}`,
        message: t('noSuchGradeOfItem', { name: standard.name, item: entry.item, grade: entry.grade }),
      })),
    });
  }
  const body: SheetBody = {
    official,
    entries: entries.map(({ item, grade, count }) => ({ item, grade, count })),
    ...(centre !== undefined && { centre }),
    ...(notes !== undefined && { notes }),
    ...(before && { before }),
  };
  return { standard_id: standardId, standard_version: standardVersion, date, body: JSON.stringify(body) };
}

function selectSheets({ db, who: { schoolId } }: InSchool) {
  return db
    .selectFrom('sheets')
    .innerJoin('standards', (join) =>
      join
        .onRef('standards.school_id', '=', 'sheets.school_id')
        .onRef('standards.id', '=', 'sheets.standard_id')
        .onRef('standards.version', '=', 'sheets.standard_version'),
    )
    .select([
      'sheets.id',
      'sheets.learner_id',
      'sheets.date',
      'sheets.body',
      'sheets.version',
      'standards.body as standard',
    ])
    .where('sheets.school_id', '=', schoolId);
}

type SheetRow = Awaited<ReturnType<ReturnType<typeof selectSheets>['executeTakeFirstOrThrow']>>;

function toView(row: SheetRow): SheetView {
  const standard = JSON.parse(row.standard) as EffectiveStandard;
  const body = JSON.parse(row.body) as SheetBody;
  const { verdict, agrees } = judgeSheet(standard, body.entries, body.official);
  return {
    id: row.id,
    learnerId: row.learner_id,
    version: row.version,
    date: row.date,
    standard: { id: standard.id, version: standard.version, name: standard.name },
    outcome: verdict.outcome,
    detail: resultDetail(standard, verdict),
    agrees,
    ...body,
  };
}
