import { existsSync } from 'node:fs';
import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import type { RoadsProblem } from '@jasperwren/roads/problem';
import type { Keeper } from '../db/keeper';
import { queueWithoutRoads } from '../traces/traces-job';
import { uploadsIn } from '../uploads-folder';
import type { JobWork } from '../jobs/runner';
import type { Workers } from '../jobs/threads';
import type { RoadsNews } from './read-roads';

/** Where the file of roads lies while it waits to be read. */
export const fileOfRoads = (dataDir: string, roadsId: string): string => join(uploadsIn(dataDir), `roads-${roadsId}`);

/** Deletes what an upload left behind that was broken off by the end of the server. */
export async function dropBrokenUploads(dataDir: string): Promise<void> {
  const folder = uploadsIn(dataDir);
  if (!existsSync(folder)) return;
  for (const name of await readdir(folder))
    if (!name.startsWith('roads-')) await rm(join(folder, name), { force: true });
}

/**
 * Reads a file of roads in a thread and keeps what it holds, or why it cannot be used. Cancelled, it leaves nothing.
 * @param changed is told of a school whose roads came on
 */
export function roadsWork(
  { db, write }: Keeper,
  workers: Workers,
  dataDir: string,
  changed: (schoolId: string) => void,
): JobWork {
  return async ({ schoolId, subject: id = '' }, { signal }) => {
    const path = fileOfRoads(dataDir, id);
    const row = await db.selectFrom('roads').select('file').where('id', '=', id).executeTakeFirst();
    if (!row) return void (await rm(path, { force: true }));
    const keep = (values: object) =>
      write((trx) => trx.updateTable('roads').set(values).where('id', '=', id).execute()).then(() => changed(schoolId));
    const fail = (problem: RoadsProblem) => keep({ state: 'failed', progress: 100, problem: JSON.stringify(problem) });
    if (!existsSync(path)) return fail({ code: 'empty' });
    const { port1, port2 } = new MessageChannel();
    let keeping: Promise<unknown> = Promise.resolve();
    const told = new Promise<void>((resolve) => {
      port1.on('message', (bit: RoadsNews) => {
        keeping = keeping.then(() => {
          if (signal.aborted) return undefined;
          if (bit.kind === 'progress') return keep({ progress: bit.percent });
          if (bit.kind === 'unusable') return fail(bit.problem);
          const { summary, ways } = bit;
          const ready = { state: 'ready', progress: 100, summary: JSON.stringify(summary), ways: Buffer.from(ways) };
          return keep(ready).then(() => write((trx) => queueWithoutRoads(trx, schoolId)));
        });
        keeping.catch(() => undefined);
        if (bit.kind !== 'progress') resolve();
      });
    });
    try {
      await workers.run({ kind: 'read-roads', path, file: row.file, news: port2 }, signal);
      await told;
      await keeping;
    } finally {
      port1.close();
    }
    await rm(path, { force: true });
  };
}
