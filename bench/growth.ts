/**
 * How the work grows with what there is: a drive of 10, 100, 1,000 and 2,000 events opened and put under all nine
 * standards, as ratios to `JSON.parse` of the same log; and what Today asks of a school of 10, 100 and 1,000 learners
 * with ten drives each, as ratios to reading the same rows from the database.
 * Run: npm run bench growth
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Bench } from 'tinybench';
import type { EventBody } from '../packages/core/src/drive/event';
import { foldDrive } from '../packages/core/src/drive/fold';
import { fullTest } from '../packages/core/src/drive/testing';
import { judgeDrive } from '../packages/core/src/marking/judge';
import { allCells, rulesOf } from '../packages/core/src/marking/rules';
import { tally, templates } from '../packages/core/src/marking/testing-standards';
import { judgeUnder } from '../packages/core/src/marking/compare/translate';
import { createSchool } from '../packages/server/src/accounts/store';
import { callNow } from '../packages/server/src/call';
import { createDatabase } from '../packages/server/src/db/database';
import { openKeeper, type Keeper } from '../packages/server/src/db/keeper';
import { summariseDrive, digestVersion } from '../packages/server/src/drives/digest';
import { latestDrives } from '../packages/server/src/drives/store';
import { listLearners } from '../packages/server/src/learners/store';
import { schoolReadiness } from '../packages/server/src/readiness/store';

const drivesEach = 10;
const shownOnToday = 200;
const folder = mkdtempSync(join(tmpdir(), 'jasperwren-growth-'));

try {
  await measureDrives();
  await measureToday();
} finally {
  rmSync(folder, { recursive: true, force: true });
}

async function measureDrives(): Promise<void> {
  const sizes = [10, 100, 1000, 2000];
  const keys = allCells(rulesOf(tally));
  const logs = sizes.map((n) =>
    fullTest(
      Array.from({ length: n - 4 }, (_, i): EventBody => {
        const { item, grade } = keys[(i * 7) % keys.length]!;
        return { type: 'mark', item, grade };
      }),
    ),
  );
  const rows = await measured(
    logs.flatMap((events, i) => {
      const text = JSON.stringify(events);
      const drive = foldDrive(events);
      return [
        [`${sizes[i]} events: reference, JSON.parse of the log`, () => JSON.parse(text) as unknown],
        [`${sizes[i]} events: open it, fold and judge`, () => judgeDrive(tally, foldDrive(events))],
        [
          `${sizes[i]} events: put it under all nine standards`,
          () => templates.forEach((standard) => judgeUnder(tally, standard, drive)),
        ],
      ] as const;
    }),
  );
  print(rows, 3);
}

async function measureToday(): Promise<void> {
  for (const learners of [10, 100, 1000]) {
    const keeper = await schoolOf(learners);
    const school = await keeper.db.selectFrom('schools').select('id').executeTakeFirstOrThrow();
    const account = await keeper.db.selectFrom('accounts').select('id').executeTakeFirstOrThrow();
    const call = {
      ...callNow(keeper.db),
      who: { schoolId: school.id, accountId: account.id, role: 'lead' },
    } as const;
    const rows = await measured([
      [
        `${learners} learners: reference, their rows`,
        () => keeper.db.selectFrom('learners').selectAll().where('school_id', '=', school.id).execute(),
      ],
      [
        `${learners} learners: what Today asks for`,
        () => Promise.all([listLearners(call, false), latestDrives(call, shownOnToday), schoolReadiness(call)]),
      ],
    ]);
    print(rows, 2);
    await keeper.close();
  }
}

async function schoolOf(learners: number): Promise<Keeper> {
  const dataDir = join(folder, String(learners));
  await createDatabase(dataDir);
  const keeper = await openKeeper(dataDir);
  const lead = { name: 'Lead', email: 'lead@bench.example', passwordHash: '' };
  const school_id = await createSchool(callNow(keeper.writing), 'Bench', lead);
  const { id: account_id } = await keeper.db.selectFrom('accounts').select('id').executeTakeFirstOrThrow();
  const digest = JSON.stringify(summariseDrive(tally, fullTest([])));
  const body = JSON.stringify({ word: 'nearly', next: '', mean: 0.6, from: 0.4, to: 0.8, drives: 10 });
  const now = new Date().toISOString();
  const learner = {
    school_id,
    transmission: 'manual',
    standard_id: 'tally',
    created_at: now,
    updated_at: now,
  } as const;
  const drive = { school_id, account_id, standard_id: 'tally', standard_version: tally.version, digest };
  await keeper.write(async (db) => {
    for (let i = 0; i < learners; i++) {
      const learner_id = `learner-${i}`;
      await db
        .insertInto('learners')
        .values({ ...learner, id: learner_id, name: `Learner ${i}`, instructor_id: account_id })
        .execute();
      const drives = Array.from({ length: drivesEach }, (_, d) => ({
        ...drive,
        id: `drive-${i}-${d}`,
        learner_id,
        started_at: new Date(Date.UTC(2026, 0, 1 + d, 9, i % 60)).toISOString(),
        digest_version: digestVersion,
      }));
      await db.insertInto('drives').values(drives).execute();
      await db.insertInto('estimates').values({ school_id, learner_id, basis: 'b', body, made_at: now }).execute();
    }
  });
  return keeper;
}

interface Row {
  readonly name: string;
  readonly medianMs: number;
}

async function measured(works: readonly (readonly [string, () => unknown])[]): Promise<readonly Row[]> {
  const bench = new Bench({ time: 800, warmupTime: 200 });
  for (const [name, work] of works) bench.add(name, work);
  await bench.run();
  return bench.tasks.map(({ name, result }) => {
    if (result.state !== 'completed') throw new Error(`"${name}" was not measured: ${result.state}.`);
    return { name, medianMs: result.latency.p50 };
  });
}

/** Every n-th row is the reference of those after it. */
function print(rows: readonly Row[], n: number): void {
  console.table(
    rows.map(({ name, medianMs }, i) => ({
      what: name,
      'median, ms': Number(medianMs.toPrecision(3)),
      'of the reference': `${(medianMs / rows[i - (i % n)]!.medianMs).toPrecision(3)} x`,
    })),
  );
}
