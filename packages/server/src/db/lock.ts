import { join } from 'node:path';
import Libsql from 'libsql';
import { ensureFolder, lockFile } from './database';

/**
 * Takes a data folder for one process: a server, or a restore. The lock is that of a database file, so that the system
 * gives it back when the process ends, however it ends.
 * @returns gives it back
 * @throws Error with a sentence for the operator where another process has it, or the folder cannot be written
 */
export function takeFolder(dataDir: string): () => void {
  ensureFolder(dataDir);
  const lock = new Libsql(join(dataDir, lockFile));
  lock.pragma('busy_timeout = 0');
  try {
    lock.exec('begin exclusive');
  } catch (error) {
    lock.close();
    if (!(error instanceof Error) || !/locked|busy/i.test(error.message)) throw error;
    throw new Error(`A server is running on the data folder "${dataDir}". Stop it first; nothing was changed.`);
  }
  return () => {
    lock.exec('rollback');
    lock.close();
  };
}
