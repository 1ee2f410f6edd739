import { buildSync } from 'esbuild';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { callNow } from '../call';
import { createSchool } from '../accounts/store';
import { createDatabase, openDatabase } from './database';

/** Each takes a process of its own: `KILLS=150` for the long run, with the kills of the whole server in the end-to-end tests. */
const kills = Number(process.env['KILLS'] ?? 20);
const perBatch = 8;

/** Runs the appender until it is killed, some moment after its first acknowledgement. Returns what it acknowledged. */
function runAndKill(program: string, args: readonly string[], afterMs: number): Promise<readonly number[]> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [program, ...args], { stdio: ['ignore', 'pipe', 'pipe'] });
    let out = '';
    let trouble = '';
    let timer: ReturnType<typeof setTimeout> | undefined;
    child.stderr.on('data', (chunk: Buffer) => (trouble += chunk.toString()));
    child.stdout.on('data', (chunk: Buffer) => {
      out += chunk.toString();
      timer ??= setTimeout(() => child.kill('SIGKILL'), afterMs);
    });
    child.once('close', () => {
      clearTimeout(timer);
      if (trouble) reject(new Error(trouble));
      // A line that was cut was not read to its end: nobody was told.
      else resolve(out.split('\n').slice(0, -1).map(Number));
    });
  });
}

it(`${kills} kills while events and pieces of a trace are written lose nothing acknowledged, double nothing and leave no half batch`, async () => {
  const folder = mkdtempSync(join(tmpdir(), 'jasperwren-kills-'));
  const dataDir = join(folder, 'data');
  // Among the packages, which stay outside of it.
  const program = join(__dirname, `../../node_modules/.appender-${process.pid}.mjs`);
  try {
    buildSync({
      entryPoints: [join(__dirname, 'testing-appender.ts')],
      outfile: program,
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      external: ['kysely', 'libsql', 'http-errors', 'uuid', 'async-mutex', 'zxcvbn', '@stdlib/*'],
      banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
      tsconfig: join(__dirname, '../../../../tsconfig.base.json'),
    });
    await createDatabase(dataDir);
    const db = await openDatabase(dataDir);
    const lead = { name: 'Lead', email: 'lead@kills.example', passwordHash: '' };
    const schoolId = await createSchool(callNow(db), 'Kills', lead);
    const { id: accountId } = await db.selectFrom('accounts').select('id').executeTakeFirstOrThrow();
    const row = { transmission: 'manual', standard_id: 'tally', created_at: '', updated_at: '' } as const;
    await db
      .insertInto('learners')
      .values({ id: 'learner', school_id: schoolId, name: 'L', ...row })
      .execute();
    await db.destroy();

    const acknowledged = new Set<number>();
    let next = 0;
    for (let kill = 0; kill < kills; kill++) {
      const told = await runAndKill(program, [dataDir, schoolId, accountId, String(next)], (kill * 7) % 40);
      for (const batch of told) acknowledged.add(batch);
      next = (told.at(-1) ?? next) + 1;
    }

    const after = await openDatabase(dataDir);
    const events = await after.selectFrom('events').select('id').where('drive_id', '=', 'killed').execute();
    const pieces = await after.selectFrom('trace_pieces').select('id').where('drive_id', '=', 'killed').execute();
    await after.destroy();
    const batches = new Map<number, number>();
    for (const { id } of events) {
      const batch = Number(id.split('-')[0]);
      batches.set(batch, (batches.get(batch) ?? 0) + 1);
    }
    expect(acknowledged.size).toBeGreaterThan(kills);
    expect([...acknowledged].filter((batch) => batches.get(batch) !== perBatch)).toEqual([]);
    // Each piece of the trace once, and every one that was acknowledged.
    const kept = new Set(pieces.map(({ id }) => id));
    expect(kept.size).toBe(pieces.length);
    expect([...acknowledged].filter((batch) => !kept.has(`piece-${batch}`))).toEqual([]);
    // Of what was not acknowledged there is all, nothing, or the two that came on their own.
    expect([...batches.values()].filter((n) => n !== perBatch && n !== 2)).toEqual([]);
  } finally {
    rmSync(program, { force: true });
    rmSync(folder, { recursive: true, force: true });
  }
}, 300_000);
