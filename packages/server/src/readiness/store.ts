import { createHash } from 'node:crypto';
import { setImmediate } from 'node:timers/promises';
import type {
  InstructorLoad,
  MarkerView,
  ReadinessInput,
  ReadinessRow,
  SchoolReadiness,
} from '@jasperwren/contract/readiness';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { SheetView } from '@jasperwren/contract/sheets';
import { testMoment } from '@jasperwren/core/checks/aim';
import { bankOf } from '@jasperwren/core/checks/bank/bank';
import { chanceOnTest } from '@jasperwren/core/checks/chance';
import { memoryOf } from '@jasperwren/core/checks/memory';
import type { Standard } from '@jasperwren/core/marking/standard';
import type { School } from '@jasperwren/core/readiness/assumptions';
import { calibrationOf } from '@jasperwren/core/readiness/calibration';
import { asOf, estimate, type Readiness } from '@jasperwren/core/readiness/estimate';
import { evidenceOfSheet, type Evidence } from '@jasperwren/core/readiness/evidence';
import { isLead } from '../accounts/store';
import { checksOf, reviewsOf } from '../checks/store';
import type { Db } from '../db/database';
import { evidenceOfSchool, type SchoolDrive } from '../drives/store';
import { getLearner, listLearners } from '../learners/store';
import { sheetsOfSchool } from '../sheets/store';
import { getStandard, newestStandards } from '../standards/store';
import type { Who } from '../http/context';
import { figuresOf, toView } from './figures';

const fourWeeksMs = 28 * 86_400_000;
const mostKept = 2000;

/** Estimates by everything they depend on: the same question is worked out once. */
const kept = new Map<string, Readiness>();

function estimateOnce(question: Parameters<typeof estimate>[0]): Readiness {
  const { standard, evidence, on, school, questions } = question;
  const key = createHash('sha256')
    .update(JSON.stringify([standard, evidence, on, school && toView(school), questions]))
    .digest('base64');
  const known = kept.get(key);
  if (known) return known;
  const made = estimate(question);
  if (kept.size >= mostKept) kept.delete(kept.keys().next().value!);
  kept.set(key, made);
  return made;
}

/**
 * What an estimate about a learner rests on.
 * @throws 404 where the school has no such learner
 */
export async function readinessInput(db: Db, schoolId: string, learnerId: string, now: Date): Promise<ReadinessInput> {
  const learner = await getLearner(db, schoolId, learnerId);
  const [drives, sheets, standards] = await Promise.all([
    evidenceOfSchool(db, schoolId),
    sheetsOfSchool(db, schoolId),
    newestStandards(db, schoolId),
  ]);
  const standard = standards.find(({ id }) => id === learner.standardId);
  const own = sheets.filter((sheet) => sheet.learnerId === learnerId);
  const questions = standard && (await chanceOfQuestions(db, schoolId, learner, standard, now));
  return {
    evidence: await evidenceOf(db, schoolId, drives.get(learnerId) ?? [], own),
    results: own.map(({ date, official }) => ({ date, passed: official === 'pass' })),
    school: toView(await schoolOf(db, schoolId, drives)),
    ...(questions !== undefined && { questions }),
  };
}

/** The judgement about every learner of the school, the load of its instructors, and how its estimates have done. */
export async function schoolReadiness(db: Db, { schoolId, accountId }: Who, now: Date): Promise<SchoolReadiness> {
  const [learners, drives, sheets, standards] = await Promise.all([
    listLearners(db, schoolId, false),
    evidenceOfSchool(db, schoolId),
    sheetsOfSchool(db, schoolId),
    newestStandards(db, schoolId),
  ]);
  const school = await schoolOf(db, schoolId, drives);
  const rows: ReadinessRow[] = [];
  for (const learner of learners) {
    const standard = standards.find(({ id }) => id === learner.standardId)!;
    const own = drives.get(learner.id) ?? [];
    const questions = await chanceOfQuestions(db, schoolId, learner, standard, now);
    const readiness = estimateOnce({
      standard,
      evidence: await evidenceOf(
        db,
        schoolId,
        own,
        sheets.filter((sheet) => sheet.learnerId === learner.id),
      ),
      on: asOf(now),
      assumptions: school.assumptions,
      school,
      questions,
      seed: 1,
    });
    rows.push(toRow(learner, own, readiness));
    // An estimate takes a while: others are answered between two of them.
    await setImmediate();
  }
  return {
    rows,
    load: loadOf(rows, [...drives.values()].flat(), now),
    calibration: calibrationOf(
      sheets.flatMap(({ before, official }) => (before ? [{ chance: before.mean, passed: official === 'pass' }] : [])),
    ),
    markers: (await isLead(db, schoolId, accountId)) ? markersOf(school, [...drives.values()].flat()) : [],
  };
}

const schoolOf = (db: Db, schoolId: string, drives: ReadonlyMap<string, readonly SchoolDrive[]>): Promise<School> =>
  figuresOf(
    db,
    schoolId,
    [...drives.values()].map((own) => own.map(({ evidence }) => evidence)),
  );

/** How strict each marker is, by name: a fact about marking that only leads see. */
function markersOf({ markers }: School, drives: readonly SchoolDrive[]): readonly MarkerView[] {
  const names = new Map(drives.map(({ evidence, instructorName }) => [evidence.marker, instructorName]));
  return [...markers].map(([id, severity]) => ({ ...severity, name: names.get(id) ?? 'Former instructor' }));
}

async function evidenceOf(
  db: Db,
  schoolId: string,
  drives: readonly SchoolDrive[],
  sheets: readonly SheetView[],
): Promise<readonly Evidence[]> {
  const fromSheets = await Promise.all(
    sheets.map(async ({ standard, entries, date }) =>
      evidenceOfSheet(await getStandard(db, schoolId, standard.id, standard.version), entries, date),
    ),
  );
  return [...drives.map(({ evidence }) => evidence), ...fromSheets];
}

async function chanceOfQuestions(
  db: Db,
  schoolId: string,
  { id, testDate }: LearnerView,
  standard: Standard,
  now: Date,
): Promise<number | undefined> {
  const [{ questions }, reviews] = await Promise.all([checksOf(db, schoolId), reviewsOf(db, schoolId, id)]);
  const test = testDate === undefined ? undefined : testMoment(testDate);
  return chanceOnTest(standard, bankOf(questions), memoryOf(reviews), test && test > now ? test : asOf(now));
}

function toRow(
  { id, name, testDate }: LearnerView,
  drives: readonly SchoolDrive[],
  readiness: Readiness,
): ReadinessRow {
  const { word, next, reasons } = readiness.judgement;
  const { mean, from, to } = readiness.chance;
  const instructorName = drives.at(-1)?.instructorName;
  return {
    learnerId: id,
    name,
    ...(testDate && { testDate }),
    ...(instructorName && { instructorName }),
    word,
    next,
    reasons,
    mean,
    from,
    to,
    drives: readiness.drives,
  };
}

function loadOf(rows: readonly ReadinessRow[], drives: readonly SchoolDrive[], now: Date): readonly InstructorLoad[] {
  const names = new Set([
    ...drives.map((one) => one.instructorName),
    ...rows.flatMap((row) => row.instructorName ?? []),
  ]);
  return [...names].sort().map((name) => ({
    name,
    learners: rows.filter((row) => row.instructorName === name).length,
    drives: drives.filter(
      (one) => one.instructorName === name && now.getTime() - Date.parse(one.evidence.at) <= fourWeeksMs,
    ).length,
  }));
}
