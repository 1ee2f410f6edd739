import type { LearnerView } from '@jasperwren/contract/learners';
import { judgeRun } from '@jasperwren/core/yard/judge-run';
import { randomPlan, simulateRun } from '@jasperwren/core/yard/simulate-run';
import { csvHead, csvRows } from '@jasperwren/core/yard/telemetry-csv';
import { addRows } from '@jasperwren/server/yard/store';
import type { Db } from '@jasperwren/server/db/database';
import { v7 as newId } from 'uuid';
import type { Client } from './client';
import { shippedStandard } from './records';

/** A learner of the demo's yard with the runs they drove. */
export interface DemoYardLearner {
  readonly name: string;
  readonly instructor: string;
  readonly transmission: LearnerView['transmission'];
  readonly standardId: string;
  readonly notes: string;
  readonly runs: readonly {
    readonly name: string;
    readonly daysAgo: number;
    readonly seed: number;
    /** The chance of each slip, from 0 to 1. */
    readonly slips: number;
  }[];
}

/** Real learners take their time: seconds that each exercise lasts beyond what it needs, by turns. */
const waits = [22, 14, 31, 48, 57, 19];

/** Adds the learners of the yard with their runs, each kept as a mock test. Returns how many there are of these. */
export async function addDemoYard(
  db: Db,
  signIn: (email: string) => Promise<Client>,
  learners: readonly DemoYardLearner[],
): Promise<number> {
  let tests = 0;
  for (const { runs, instructor, ...learner } of learners) {
    const client = await signIn(instructor);
    const standard = shippedStandard(learner.standardId);
    const { id: learnerId } = await client.call('addLearner', { body: learner });
    for (const { name, daysAgo, seed, slips } of runs) {
      const plan = randomPlan(standard, seed, slips);
      const samples = simulateRun(standard, {
        ...plan,
        automatic: learner.transmission === 'automatic',
        exercises: plan.exercises.map((one, i) => ({ ...one, waitS: waits[(i + seed) % waits.length]! })),
      });
      const rows = csvRows(samples);
      const id = newId();
      const body = { id, name, source: 'simulated', standardId: standard.id, columns: csvHead, learnerId } as const;
      await client.call('addYardRun', { body });
      await addRows(db, new Date(), { schoolId: await schoolOf(db), id }, 0, rows);
      const startedAt = tenOClock(daysAgo);
      const judged = judgeRun(standard, samples, {
        run: id,
        learnerId,
        startedAt,
        by: client.accountId,
      });
      await client.call('sendEvents', { driveId: newId(), body: { events: judged!.events } });
      await db
        .updateTable('yard_runs')
        .set({ started_at: startedAt, seen_at: startedAt })
        .where('id', '=', id)
        .execute();
      tests++;
    }
  }
  return tests;
}

const schoolOf = async (db: Db): Promise<string> =>
  (await db.selectFrom('schools').select('id').executeTakeFirstOrThrow()).id;

function tenOClock(daysAgo: number): string {
  const today = new Date();
  return new Date(today.getFullYear(), today.getMonth(), today.getDate() - daysAgo, 10).toISOString();
}
