import { t } from '@jasperwren/words/refusals';
import type {
  NewYardCar,
  RunSource,
  YardCarInput,
  YardCarView,
  YardRunInput,
  YardRunView,
} from '@jasperwren/contract/yard';
import { mostSamples } from '@jasperwren/core/yard/telemetry-csv';
import { v7 as newId } from 'uuid';
import type { Call, InSchool } from '../call';
import type { Db } from '../db/database';
import { conflict, invalid, missing } from '../refusal';
import { digestOfSecret, newToken } from '../secrets';
import { noteWithdrawal } from '../withdrawals/note';

/** A run is being sent while its last rows came less than so many milliseconds ago. */
const sendingMs = 5000;

/** The runs of a school, the newest first. */
export async function listRuns({ db, who: { schoolId }, now }: InSchool): Promise<readonly YardRunView[]> {
  const rows = await db
    .selectFrom('yard_runs as run')
    .leftJoin('yard_cars as car', (join) =>
      join.onRef('car.id', '=', 'run.car_id').onRef('car.school_id', '=', 'run.school_id'),
    )
    .leftJoin('learners as learner', (join) =>
      join.onRef('learner.id', '=', 'run.learner_id').onRef('learner.school_id', '=', 'run.school_id'),
    )
    .selectAll('run')
    .select(['car.name as car_name', 'learner.name as learner_name'])
    .where('run.school_id', '=', schoolId)
    .orderBy('run.started_at', 'desc')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    source: row.source as RunSource,
    startedAt: row.started_at,
    samples: row.samples,
    sending: now.getTime() - Date.parse(row.seen_at) < sendingMs,
    ...(row.standard_id !== null && { standardId: row.standard_id }),
    ...(row.car_name !== null && { car: row.car_name }),
    ...(row.learner_id !== null && { learner: { id: row.learner_id, name: row.learner_name ?? '' } }),
    ...(row.drive_id !== null && { driveId: row.drive_id }),
  }));
}

/** @throws missing where the school has no such run */
async function getRun(call: InSchool, runId: string): Promise<YardRunView> {
  const run = (await listRuns(call)).find(({ id }) => id === runId);
  if (!run) throw noRun();
  return run;
}

const noRun = () => missing(t('runNotFound'), { code: 'no-run' });

/** What is needed to take rows of a run or to pass them on. */
export interface RunHead {
  readonly schoolId: string;
  readonly id: string;
  readonly columns: string;
  readonly samples: number;
  /** The car that sends it; missing where people do. */
  readonly carId?: string;
}

/** The head of a run; undefined where the school has none such. */
export async function runHead(db: Db, schoolId: string, id: string): Promise<RunHead | undefined> {
  const row = await db
    .selectFrom('yard_runs')
    .select(['columns', 'samples', 'car_id'])
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .executeTakeFirst();
  return (
    row && {
      schoolId,
      id,
      columns: row.columns,
      samples: row.samples,
      ...(row.car_id !== null && { carId: row.car_id }),
    }
  );
}

/** Begins a run whose rows are about to be sent; asked for again with the same id it stays the same. */
export async function addRun(call: Call, input: YardRunInput): Promise<YardRunView> {
  const { schoolId, accountId } = call.who;
  if (input.learnerId !== undefined) await refuseStranger(call, input.learnerId);
  await beginRun(call.db, call.now, {
    school_id: schoolId,
    id: input.id,
    name: input.name,
    source: input.source,
    columns: input.columns,
    standard_id: input.standardId,
    account_id: accountId,
    learner_id: input.learnerId ?? null,
  });
  return getRun(call, input.id);
}

async function refuseStranger({ db, who: { schoolId } }: Call, learnerId: string): Promise<void> {
  const row = await db
    .selectFrom('learners')
    .select('id')
    .where('school_id', '=', schoolId)
    .where('id', '=', learnerId)
    .executeTakeFirst();
  if (!row) throw missing(t('noSuchLearner'), { code: 'no-learner' });
}

interface NewRun {
  readonly school_id: string;
  readonly id: string;
  readonly name: string;
  readonly source: RunSource;
  readonly columns: string;
  readonly standard_id?: string;
  readonly account_id?: string;
  readonly learner_id?: string | null;
  readonly car_id?: string;
}

/** @throws conflict where there is a run with this id whose rows hold something else */
export async function beginRun(db: Db, now: Date, run: NewRun): Promise<void> {
  const known = await runHead(db, run.school_id, run.id);
  if (known && known.columns !== run.columns)
    throw conflict(t('runIdTaken'), {
      code: 'run-conflict',
    });
  const at = now.toISOString();
  await db
    .insertInto('yard_runs')
    .values({ ...run, samples: 0, started_at: at, seen_at: at })
    .onConflict((one) => one.columns(['school_id', 'id']).doNothing())
    .execute();
}

/**
 * Takes rows of a run, each place once.
 * @returns how many rows it has now, and those that were new
 */
export async function addRows(
  db: Db,
  now: Date,
  { schoolId, id }: Pick<RunHead, 'schoolId' | 'id'>,
  from: number,
  rows: readonly string[],
): Promise<{ readonly have: number; readonly from: number; readonly added: readonly string[] }> {
  const head = await runHead(db, schoolId, id);
  if (!head) throw noRun();
  const have = head.samples;
  // Rows that come before those between are sent again once the sender knows what there is.
  const added = from > have ? [] : rows.slice(have - from);
  if (have + added.length > mostSamples) throw invalid(t('runTooLong', { mostSamples }), { code: 'run-full' });
  if (added.length === 0) return { have, from: have, added: [] };
  await db
    .insertInto('yard_rows')
    .values({ school_id: schoolId, run_id: id, from_row: have, rows: added.join('\n') })
    .execute();
  await db
    .updateTable('yard_runs')
    .set({ samples: have + added.length, seen_at: now.toISOString() })
    .where('school_id', '=', schoolId)
    .where('id', '=', id)
    .execute();
  return { have: have + added.length, from: have, added };
}

/** The rows of a run from a place on, in their order. */
export async function rowsFrom(
  db: Db,
  { schoolId, id }: Pick<RunHead, 'schoolId' | 'id'>,
  from: number,
): Promise<readonly string[]> {
  const pieces = await db
    .selectFrom('yard_rows')
    .select(['from_row', 'rows'])
    .where('school_id', '=', schoolId)
    .where('run_id', '=', id)
    .orderBy('from_row')
    .execute();
  return pieces.flatMap(({ from_row, rows }) => rows.split('\n').slice(Math.max(0, from - from_row)));
}

/** Takes a run out with its rows. */
export async function dropRun(call: Call, runId: string): Promise<YardRunView> {
  const run = await getRun(call, runId);
  await takeOutRun(call, runId);
  await noteWithdrawal(call, 'run', runId);
  return run;
}

/** The same for one that has come back with a restore. Returns whether there was anything of it. */
export async function takeOutRun({ db, who: { schoolId } }: InSchool, runId: string): Promise<boolean> {
  await db.deleteFrom('yard_rows').where('school_id', '=', schoolId).where('run_id', '=', runId).execute();
  const { numDeletedRows } = await db
    .deleteFrom('yard_runs')
    .where('school_id', '=', schoolId)
    .where('id', '=', runId)
    .executeTakeFirst();
  return numDeletedRows > 0n;
}

/** Says of runs on which drive, and so by which learner, they were driven. */
export async function linkRuns(
  { db, who: { schoolId } }: Call,
  { driveId, learnerId }: { readonly driveId: string; readonly learnerId: string },
  runs: readonly string[],
): Promise<void> {
  if (runs.length === 0) return;
  await db
    .updateTable('yard_runs')
    .set({ drive_id: driveId, learner_id: learnerId })
    .where('school_id', '=', schoolId)
    .where('id', 'in', runs)
    .where('drive_id', 'is', null)
    .execute();
}

/** The cars whose sensors may send, by name. */
export async function listCars({ db, who: { schoolId } }: InSchool): Promise<readonly YardCarView[]> {
  const rows = await db.selectFrom('yard_cars').selectAll().where('school_id', '=', schoolId).orderBy('name').execute();
  return rows.map(({ id, name, created_at }) => ({ id, name, addedAt: created_at }));
}

/** Lets the sensors of a car send. What they sign in by is told once. */
export async function addCar({ db, who: { schoolId }, now }: Call, { name }: YardCarInput): Promise<NewYardCar> {
  const token = newToken();
  const car = { id: newId(), name, addedAt: now.toISOString() };
  await db
    .insertInto('yard_cars')
    .values({ school_id: schoolId, id: car.id, name, token_hash: digestOfSecret(token), created_at: car.addedAt })
    .execute();
  return { ...car, token };
}

/** @throws missing where the school has no such car */
export async function dropCar(call: Call, carId: string): Promise<void> {
  if (!(await takeOutCar(call, carId))) throw missing(t('noSuchCar'), { code: 'no-car' });
  await noteWithdrawal(call, 'car', carId);
}

/** Takes out a car with the code it signs in by. Returns whether there was one. */
export async function takeOutCar({ db, who: { schoolId } }: InSchool, carId: string): Promise<boolean> {
  const { numDeletedRows } = await db
    .deleteFrom('yard_cars')
    .where('school_id', '=', schoolId)
    .where('id', '=', carId)
    .executeTakeFirst();
  return numDeletedRows > 0n;
}

/** The car that a token belongs to; undefined where there is none. */
export async function carOfToken(
  db: Db,
  token: string,
): Promise<{ readonly schoolId: string; readonly id: string; readonly name: string } | undefined> {
  const row = await db
    .selectFrom('yard_cars')
    .select(['school_id', 'id', 'name'])
    .where('token_hash', '=', digestOfSecret(token))
    .executeTakeFirst();
  return row && { schoolId: row.school_id, id: row.id, name: row.name };
}
