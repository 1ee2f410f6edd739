import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import type { Config } from '../config';
import { backUp } from './backup';

const hourMs = 60 * 60 * 1000;
/** How often it is looked at whether a backup is due. */
const lookEveryMs = 5 * 60 * 1000;
const ours = /^jasperwren-\d{4}-\d\d-\d\dT[\d-]+Z\.sqlite(\.pgp)?$/;

/**
 * Makes a backup whenever the last one is older than the configured hours, and takes away the oldest beyond the
 * number that is kept. A backup that fails is in the log, and tried again.
 * @returns stops it
 */
export function keepBackingUp(config: Config, log: Logger): () => void {
  if (config.backupEveryH === 0) return () => undefined;
  let busy = false;
  const look = () => {
    if (busy) return;
    busy = true;
    void backUpWhenDue(config, Date.now())
      .then((made) => made && log.info({ file: made }, 'backup made'))
      .catch((error: unknown) => log.error({ err: error }, 'backup failed'))
      .finally(() => (busy = false));
  };
  look();
  const timer = setInterval(look, lookEveryMs);
  timer.unref();
  return () => clearInterval(timer);
}

/** Makes a backup where one is due. Returns its file, or undefined. */
export async function backUpWhenDue(
  { dataDir, backupDir, backupEveryH, backupKeep, backupKey }: Config,
  nowMs: number,
): Promise<string | undefined> {
  mkdirSync(backupDir, { recursive: true, mode: 0o700 });
  const made = readdirSync(backupDir)
    .filter((name) => ours.test(name))
    .sort();
  // What a wrong clock made in the future says nothing of when the last was made, and goes first.
  const isFuture = (name: string) => statSync(join(backupDir, name)).mtimeMs > nowMs + hourMs;
  const [future, past] = [made.filter(isFuture), made.filter((name) => !isFuture(name))];
  const last = past.at(-1);
  if (last && nowMs - statSync(join(backupDir, last)).mtimeMs < backupEveryH * hourMs) return undefined;
  const name = `jasperwren-${new Date(nowMs).toISOString().replace(/[:.]/g, '-')}.sqlite${backupKey ? '.pgp' : ''}`;
  const file = join(backupDir, name);
  await backUp(dataDir, file, backupKey);
  // The new one is there before an old one goes; the last one always stays.
  for (const old of [...future, ...past, name].slice(0, -Math.max(1, backupKeep))) rmSync(join(backupDir, old));
  return file;
}
