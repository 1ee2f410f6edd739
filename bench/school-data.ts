/** What the benches of a busy server share: databases with many schools, sign-ins, and the built server as a process of its own. */
import { spawn, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import type { DriveEvent, EventBody } from '../packages/core/src/drive/event';
import { fullTest } from '../packages/core/src/drive/testing';
import { tally } from '../packages/core/src/marking/testing-standards';
import { createSchool } from '../packages/server/src/accounts/store';
import { callNow } from '../packages/server/src/call';
import { createDatabase, openDatabase, type Db } from '../packages/server/src/db/database';
import { digestVersion, summariseDrive } from '../packages/server/src/drives/digest';
import { digestOfSecret, newToken } from '../packages/server/src/secrets';

export interface Size {
  readonly schools: number;
  readonly learners: number;
  readonly drivesEach: number;
  readonly instructors: number;
}

/** Somebody who is signed in: what their requests carry. */
export interface SignedIn {
  readonly schoolId: string;
  readonly accountId: string;
  readonly headers: Readonly<Record<string, string>>;
}

const dayMs = 86_400_000;
const rowsAtOnce = 400;

/** The events of a whole test with some faults, by whoever drives it. */
export function testOf(drive: string, learnerId: string, faults: number, daysAgo: number): readonly DriveEvent[] {
  const marks = Array.from({ length: faults }, (): EventBody => ({
    type: 'mark',
    item: 'junctions.observation',
    grade: 'driving',
  }));
  const off = Date.now() - daysAgo * dayMs - Date.UTC(2026, 4, 4, 9, 0);
  return fullTest(marks).map((event) => ({
    ...event,
    id: `${drive}-${event.id}`,
    wall: new Date(Date.parse(event.wall) + off).toISOString(),
    ...(event.type === 'started' && { learnerId }),
  }));
}

/** Makes a database with schools, their learners, drives that have ended, and instructors who are signed in. */
export async function fillSchools(
  dataDir: string,
  { schools, learners, drivesEach, instructors }: Size,
): Promise<readonly SignedIn[]> {
  await createDatabase(dataDir);
  const db = await openDatabase(dataDir);
  const signedIn: SignedIn[] = [];
  const digests = Array.from({ length: 12 }, (_, faults) =>
    JSON.stringify(summariseDrive(tally, testOf('d', 'l', faults, 0))),
  );
  for (let s = 0; s < schools; s++) {
    const lead = { name: 'Lead', email: `lead-${s}@bench.example`, passwordHash: '' };
    const schoolId = await createSchool(callNow(db), `School ${s}`, lead);
    await db.transaction().execute(async (trx) => {
      const { id: leadId } = await trx
        .selectFrom('accounts')
        .select('id')
        .where('school_id', '=', schoolId)
        .executeTakeFirstOrThrow();
      const own = [leadId];
      for (let i = 1; i < instructors; i++) {
        const id = `account-${s}-${i}`;
        const row = { id, school_id: schoolId, email: `i-${s}-${i}@bench.example`, name: `Instructor ${i}` };
        await trx
          .insertInto('accounts')
          .values({ ...row, role: 'instructor', password_hash: '', created_at: '' })
          .execute();
        own.push(id);
      }
      const rows = Array.from({ length: learners }, (_, l) => ({
        id: `learner-${s}-${l}`,
        school_id: schoolId,
        name: `Learner ${l}`,
        transmission: 'manual' as const,
        standard_id: 'tally',
        instructor_id: own[l % own.length]!,
        created_at: '2026-01-01T09:00:00.000Z',
        updated_at: '2026-01-01T09:00:00.000Z',
      }));
      await inParts(rows, (part) => trx.insertInto('learners').values(part).execute());
      const drives = rows.flatMap(({ id, instructor_id }, l) =>
        Array.from({ length: drivesEach }, (_, d) => ({
          school_id: schoolId,
          id: `drive-${s}-${l}-${d}`,
          learner_id: id,
          account_id: instructor_id,
          standard_id: 'tally',
          standard_version: tally.version,
          started_at: new Date(Date.now() - (1 + d * 4 + (l % 4)) * dayMs).toISOString(),
          digest: digests[(l * 5 + d * 7) % digests.length]!,
          digest_version: digestVersion,
        })),
      );
      await inParts(drives, (part) => trx.insertInto('drives').values(part).execute());
      for (const accountId of own) signedIn.push(await signInAs(trx, schoolId, accountId));
    });
  }
  await db.destroy();
  return signedIn;
}

async function inParts<T>(rows: readonly T[], put: (part: readonly T[]) => Promise<unknown>): Promise<void> {
  for (let i = 0; i < rows.length; i += rowsAtOnce) await put(rows.slice(i, i + rowsAtOnce));
}

async function signInAs(db: Db, schoolId: string, accountId: string): Promise<SignedIn> {
  const [key, csrfToken] = [newToken(), newToken()];
  const now = Date.now();
  await db
    .insertInto('sessions')
    .values({
      id: digestOfSecret(key),
      school_id: schoolId,
      account_id: accountId,
      learner_id: null,
      data: JSON.stringify({ csrfToken, schoolId, accountId }),
      device: 'bench',
      address: '',
      created_ms: now,
      seen_ms: now,
      expires_ms: now + 10 * dayMs,
    })
    .execute();
  const headers = { cookie: `jasperwren=${key}`, 'x-csrf-token': csrfToken, 'content-type': 'application/json' };
  return { schoolId, accountId, headers };
}

/** Starts the built server on a data folder, and waits until it listens. */
export async function startBuilt(dataDir: string, more: Readonly<Record<string, string>> = {}) {
  const server: ChildProcess = spawn(
    process.execPath,
    [...(process.env['BENCH_NODE_ARGS']?.split(' ') ?? []), resolve('packages/server/dist/main.js')],
    {
      env: { ...process.env, JASPERWREN_DATA: dataDir, JASPERWREN_PORT: '0', JASPERWREN_LOG: 'silent', ...more },
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  const address = await new Promise<string>((found, failed) => {
    let said = '';
    server.once('exit', (code) => failed(new Error(`The server ended with ${code}. Was it built?`)));
    server.stdout!.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const at = /Jasperwren is at (\S+)/.exec(said)?.[1];
      if (at) found(at);
    });
  });
  server.removeAllListeners('exit');
  const stop = async () => {
    const gone = new Promise((ended) => server.once('exit', ended));
    server.kill('SIGTERM');
    await gone;
  };
  return { address, stop, pid: server.pid! };
}
