import { setTimeout as wait } from 'node:timers/promises';
import type { Logger } from 'pino';

/** What a process tells of errors that nobody caught. */
interface Told {
  on(event: 'uncaughtException' | 'unhandledRejection', listener: (error: unknown) => void): unknown;
}

interface Parts {
  readonly log: Logger;
  /** Shows that what the server holds is in order: it reads, and it commits. Rejects where it is not. */
  readonly prove: () => Promise<void>;
  /** Ends the process: whoever keeps it running starts it anew. */
  readonly end: () => void;
  /** How long the proof may take, in milliseconds. */
  readonly patienceMs?: number;
}

/** More than so many within a minute are no accident: something holds that does not mend itself. */
const mostInAMinute = 20;
const minuteMs = 60_000;

/**
 * The last line: an error that nobody caught is logged, and the server goes on where it can show that it reads and
 * commits as before. Where it cannot, or where such errors do not stop, its state is in doubt: it ends and says so.
 */
export function holdTheLastLine(process: Told, { log, prove, end, patienceMs = 10_000 }: Parts): void {
  const latest: number[] = [];
  let ending = false;

  function giveUp(error: unknown, why: string): void {
    if (ending) return;
    ending = true;
    log.fatal({ err: error, why }, 'the state of the server is in doubt: it ends');
    end();
  }

  async function take(error: unknown): Promise<void> {
    const now = performance.now();
    while (latest[0] !== undefined && latest[0] < now - minuteMs) latest.shift();
    latest.push(now);
    log.error({ err: error }, 'an error that nobody caught');
    if (latest.length > mostInAMinute)
      return giveUp(error, `${latest.length} errors within a minute that nobody caught`);
    const silent = wait(patienceMs, undefined, { ref: false }).then(() => {
      throw new Error(`no answer within ${patienceMs} ms`);
    });
    try {
      await Promise.race([prove(), silent]);
      log.warn('the database reads and commits as before: the server goes on');
    } catch (failed) {
      giveUp(error, `the database did not read or commit afterwards: ${String(failed)}`);
    }
  }

  for (const event of ['uncaughtException', 'unhandledRejection'] as const)
    process.on(event, (error) => void take(error));
}
