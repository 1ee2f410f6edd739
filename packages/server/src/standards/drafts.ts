import { t } from '@jasperwren/words/refusals';
import { problemWords } from '@jasperwren/words/marking/problems';
import type { DraftInput, DraftView, NewStandard } from '@jasperwren/contract/standards';
import type { FormatProblem } from '@jasperwren/core/formats/parsed';
import { parseStandardFile, standardShapeProblems } from '@jasperwren/core/formats/standard-file';
import { blankStandard } from '@jasperwren/core/marking/blank';
import { lintStandard } from '@jasperwren/core/marking/lint/lint';
import type { Standard } from '@jasperwren/core/marking/standard';
import { findTemplate } from '@jasperwren/core/marking/find-template';
import type { InSchool } from '../call';
import { conflict, invalid, missing } from '../refusal';
import { getStandard } from './store';

const longestId = 60;

/** Begins a standard of the school's own as a draft. */
export async function beginStandard(call: InSchool, input: NewStandard): Promise<DraftView> {
  const id = await freeId(call, input.name);
  if (input.fromId === undefined) return keep(call, blankStandard(id, input.name));
  const from = await getStandard(call, input.fromId, input.fromVersion ?? 1);
  const basedOn = { id: from.id, version: from.version };
  return keep(call, { ...from, id, version: 1, name: input.name, basedOn });
}

/**
 * The draft of a standard; without one, a draft begun from the latest version and not kept yet.
 * @throws missing where the school has no such standard; conflict for a shipped one
 */
export async function getDraft(call: InSchool, id: string): Promise<DraftView> {
  assertOwn(id);
  const row = await draftRow(call, id);
  if (row) return toView(JSON.parse(row.body) as Standard, row.saved_at);
  const version = await latestVersion(call, id);
  const standard = await getStandard(call, id, version);
  return toView({ ...standard, version: version + 1 }, '');
}

/**
 * Keeps a draft. Contradictions are kept too and told; a wrong shape is refused.
 * @throws invalid with the place and cause of each fault of shape; conflict where somebody else saved meanwhile
 */
export async function saveDraft(call: InSchool, id: string, input: DraftInput): Promise<DraftView> {
  assertOwn(id);
  const row = await draftRow(call, id);
  if (!row && (await latestVersion(call, id)) === 0)
    throw missing(t('noSuchStandard', { id }), { code: 'no-standard' });
  if (row && (input.savedAt ?? '') !== row.saved_at) {
    throw conflict(t('draftSavedMeanwhile'), {
      code: 'stale',
    });
  }
  const version = (await latestVersion(call, id)) + 1;
  const standard = { ...input.standard, id, version };
  refuse(standardShapeProblems(standard), t('wrongShape'));
  return keep(call, standard);
}

/** Forgets a draft; published versions stay. */
export async function dropDraft({ db, who: { schoolId } }: InSchool, id: string): Promise<void> {
  await db.deleteFrom('standard_drafts').where('school_id', '=', schoolId).where('id', '=', id).execute();
}

/**
 * Makes the draft the next version, which never changes again.
 * @throws missing without a draft; invalid while it contradicts itself
 */
export async function publishDraft(call: InSchool, id: string): Promise<Standard> {
  const {
    db,
    who: { schoolId },
    now,
  } = call;
  assertOwn(id);
  const row = await draftRow(call, id);
  if (!row) throw missing(t('noDraft'), { code: 'no-draft' });
  const standard = { ...(JSON.parse(row.body) as Standard), version: (await latestVersion(call, id)) + 1 };
  refuse(lintStandard(standard), t('draftHasProblems'));
  await db
    .insertInto('standards')
    .values({
      school_id: schoolId,
      id,
      version: standard.version,
      body: JSON.stringify(standard),
      created_at: now.toISOString(),
    })
    .execute();
  await db.deleteFrom('standard_drafts').where('school_id', '=', schoolId).where('id', '=', id).execute();
  return standard;
}

/**
 * Takes a file in as a draft of its own.
 * @throws invalid with the place and cause of each problem; nothing is changed then
 */
export async function importDraft(call: InSchool, source: string): Promise<DraftView> {
  const parsed = parseStandardFile(source);
  if (!parsed.ok) {
    refuse(parsed.problems, t('noStandardFile'));
    throw new Error('A file without problems was refused.');
  }
  const standard = parsed.value;
  const id = await freeId(call, standard.id);
  return keep(call, { ...standard, id, version: 1 });
}

async function keep({ db, who: { schoolId }, now }: InSchool, standard: Standard): Promise<DraftView> {
  const saved_at = now.toISOString();
  const body = JSON.stringify(standard);
  await db
    .insertInto('standard_drafts')
    .values({ school_id: schoolId, id: standard.id, body, saved_at })
    .onConflict((conflict) => conflict.columns(['school_id', 'id']).doUpdateSet({ body, saved_at }))
    .execute();
  return toView(standard, saved_at);
}

function toView(standard: Standard, savedAt: string): DraftView {
  return { standard, savedAt, problems: lintStandard(standard) };
}

function draftRow({ db, who: { schoolId } }: InSchool, id: string) {
  return db
    .selectFrom('standard_drafts')
    .selectAll()
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .executeTakeFirst();
}

/** The number of the latest version, 0 where there is none. */
async function latestVersion({ db, who: { schoolId } }: InSchool, id: string): Promise<number> {
  const row = await db
    .selectFrom('standards')
    .select((eb) => eb.fn.max('version').as('version'))
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .executeTakeFirst();
  return Number(row?.version ?? 0);
}

function assertOwn(id: string): void {
  if (findTemplate(id))
    throw conflict(t('shippedStandard'), {
      code: 'template',
    });
}

function refuse(problems: readonly FormatProblem[], message: string): void {
  if (problems.length === 0) return;
  throw invalid(message, {
    problems: problems.map((problem) => ({ field: problem.path, message: problemWords(problem) })),
  });
}

/** An id made from a name that neither the school nor the product uses yet. */
async function freeId(call: InSchool, name: string): Promise<string> {
  const slug =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, longestId - 4) || 'standard';
  for (let n = 1; ; n++) {
    const id = n === 1 ? slug : `${slug}-${n}`;
    const taken = findTemplate(id) ?? (await draftRow(call, id)) ?? ((await latestVersion(call, id)) > 0 || undefined);
    if (!taken) return id;
  }
}
