import type { Logger } from 'pino';

const lookEveryMs = 60_000;

/**
 * Writes down when the database gets into trouble and when it is out of it again: a full disk, a file that is gone.
 * @param troubleOf in a sentence for the operator; undefined where there is none
 * @returns looks at once, and stops looking by itself
 */
export function troubleInLog(
  troubleOf: () => string | undefined,
  log: Logger,
): { readonly look: () => void; readonly stop: () => void } {
  let known: string | undefined;
  const look = () => {
    const now = troubleOf();
    if (now !== undefined && now !== known) log.warn({ trouble: now }, 'the database is in trouble');
    if (now === undefined && known !== undefined) log.info('the database is out of trouble');
    known = now;
  };
  const timer = setInterval(look, lookEveryMs).unref();
  return { look, stop: () => clearInterval(timer) };
}
