import type {
  InstructorLoad,
  MarkerView,
  ReadinessInput,
  ReadinessRow,
  SchoolReadiness,
} from '@jasperwren/contract/readiness';
import { t } from '@jasperwren/words/readiness';
import type { LearnerView } from '@jasperwren/contract/learners';
import { asOf } from '@jasperwren/core/readiness/estimate';
import { calibrationOf } from '@jasperwren/core/readiness/calibration';
import type { School } from '@jasperwren/core/readiness/assumptions';
import { figuresOfKinds } from '@jasperwren/core/readiness/school-figures';
import type { Call, InSchool } from '../call';
import { everybody } from '../accounts/store';
import { getLearner, listLearners } from '../learners/store';
import { sheetsOfLearner, testsOfSchool } from '../sheets/store';
import { newestStandards } from '../standards/store';
import { evidenceOfLearner, evidenceOfSheets } from './evidence';
import { figuresOf } from './figures';
import { knownOf, sightsFor } from './known';
import { testsAt, testsByMarker, usualMarkers } from './tests-here';
import { chanceOfQuestions } from './questions';
import { estimateVersion, type KeptEstimate } from './refresh';

const fourWeeksMs = 28 * 86_400_000;

/**
 * What an estimate about a learner rests on.
 * @throws 404 where the school has no such learner
 */
export async function readinessInput(call: InSchool, learnerId: string): Promise<ReadinessInput> {
  const learner = await getLearner(call, learnerId);
  const [drives, sheets, standards, { school, madeAt }] = await Promise.all([
    evidenceOfLearner(call, learnerId),
    sheetsOfLearner(call, learnerId),
    newestStandards(call),
    figuresOf(call),
  ]);
  const standard = standards.find(({ id }) => id === learner.standardId);
  const questions = standard && (await chanceOfQuestions(call, learner, standard));
  const evidence = [...drives, ...(await evidenceOfSheets(call, sheets))];
  return {
    evidence,
    on: asOf(call.now).toISOString(),
    ...(await knownOf(call, learner)),
    sights: sightsFor(evidence, standards),
    results: sheets.map(({ date, official }) => ({ date, passed: official === 'pass' })),
    school: figuresOfKinds(school),
    ...(madeAt !== undefined && { schoolMadeAt: madeAt }),
    ...(questions !== undefined && { questions }),
  };
}

/** What is known without working anything out, and whether every learner has an estimate of today. */
type KnownReadiness = Omit<SchoolReadiness, 'pending'> & { readonly allOfToday: boolean };

/**
 * The judgement about every learner of the school as it was last worked out, the load of its instructors, and how its
 * estimates have done.
 */
export async function schoolReadiness(call: Call): Promise<KnownReadiness> {
  const { db, who, now } = call;
  const { schoolId } = who;
  const [learners, kept, told, people, { school }] = await Promise.all([
    listLearners(call, false),
    db.selectFrom('estimates').select(['learner_id', 'body', 'made_at']).where('school_id', '=', schoolId).execute(),
    testsOfSchool(call),
    everybody(call),
    figuresOf(call),
  ]);
  const estimates = new Map(kept.map((row) => [row.learner_id, row]));
  const today = now.toISOString().slice(0, 10);
  const tests = told.flatMap(({ before, official, ...test }) =>
    before ? [{ ...test, chance: before.mean, passed: official === 'pass' }] : [],
  );
  return {
    allOfToday: learners.every(({ id }) => estimates.get(id)?.made_at.startsWith(today)),
    rows: learners.flatMap((learner) => {
      const row = estimates.get(learner.id);
      const estimate = row && (JSON.parse(row.body) as KeptEstimate);
      // One of an older release holds other things: it is made again soon.
      return estimate?.version === estimateVersion ? [toRow(learner, estimate, row!.made_at)] : [];
    }),
    load: await loadOf(call, learners),
    calibration: calibrationOf(tests),
    centres: testsAt(tests, school.road),
    ...(who.role === 'lead'
      ? {
          markers: markersOf(school.road, people),
          testsByMarker: testsByMarker(
            tests,
            school.road,
            people,
            tests.length > 0 ? await usualMarkers(call) : new Map(),
          ),
        }
      : { markers: [], testsByMarker: [] }),
  };
}

/** How strict each marker is, by name: a fact about marking that only leads see. */
function markersOf(
  { markers }: School,
  people: readonly { readonly id: string; readonly name: string }[],
): readonly MarkerView[] {
  const names = new Map(people.map(({ id, name }) => [id, name]));
  return [...markers].map(([id, severity]) => ({ ...severity, name: names.get(id) ?? t('formerInstructor') }));
}

function toRow(
  { id, name, testDate, instructorName }: LearnerView,
  { word, next, advice, reason, mean, from, to, drives }: KeptEstimate,
  madeAt: string,
): ReadinessRow {
  return {
    learnerId: id,
    name,
    ...(testDate && { testDate }),
    ...(instructorName && { instructorName }),
    word,
    next,
    advice,
    ...(reason && { reason }),
    mean,
    from,
    to,
    drives,
    madeAt,
  };
}

async function loadOf(
  { db, who: { schoolId }, now }: InSchool,
  learners: readonly LearnerView[],
): Promise<readonly InstructorLoad[]> {
  const driven = await db
    .selectFrom('drives')
    .innerJoin('accounts', 'accounts.id', 'drives.account_id')
    .select((eb) => ['accounts.name', eb.fn.countAll<number>().as('n')])
    .where('drives.school_id', '=', schoolId)
    .where('started_at', '>=', new Date(now.getTime() - fourWeeksMs).toISOString())
    .where((eb) => eb(eb.fn('json_extract', ['digest', eb.val('$.phase')]), '=', 'ended'))
    .groupBy('accounts.id')
    .execute();
  const names = new Set([...driven.map(({ name }) => name), ...learners.flatMap((one) => one.instructorName ?? [])]);
  return [...names].sort().map((name) => ({
    name,
    learners: learners.filter((learner) => learner.instructorName === name).length,
    drives: Number(driven.find((row) => row.name === name)?.n ?? 0),
  }));
}
