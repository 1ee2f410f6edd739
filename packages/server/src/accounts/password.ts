import { t } from '@jasperwren/words/refusals';
import { randomBytes, scrypt as scryptCallback, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';
import { Semaphore } from 'async-mutex';
import zxcvbn from 'zxcvbn';
import { invalid, unavailable } from '../refusal';

const scrypt = promisify<string, Buffer, number, ScryptOptions, Buffer>(scryptCallback);

/** Cost of scrypt (RFC 7914): N = 2^15, r = 8, p = 3 takes 32 MiB, as OWASP's password storage cheat sheet advises (from memory). */
const cost = { N: 2 ** 15, r: 8, p: 3 };
const keyBytes = 32;

/** Hashes a password for keeping: `scrypt$N$r$p$salt$key`, the last two in base64. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(password, salt, cost, keyBytes);
  return ['scrypt', cost.N, cost.r, cost.p, salt.toString('base64'), key.toString('base64')].join('$');
}

/** Whether the password is the one that was hashed. Without a hash, or with an empty one, it takes the same time and says no. */
export async function verifyPassword(password: string, kept: string | undefined): Promise<boolean> {
  const [scheme, n, r, p, salt, key] = (kept || (await nobody())).split('$');
  if (scheme !== 'scrypt' || !salt || !key) return false;
  const expected = Buffer.from(key, 'base64');
  const actual = await derive(
    password,
    Buffer.from(salt, 'base64'),
    { N: Number(n), r: Number(r), p: Number(p) },
    expected.length,
  );
  return timingSafeEqual(actual, expected) && Boolean(kept);
}

/** Each takes 32 MiB and one of the few threads of Node.js: two at a time, and not too many in line (house defaults). */
const atOnce = new Semaphore(2);
const mostInLine = 40;
let inLine = 0;

/** @throws unavailable where too many wait */
async function derive(password: string, salt: Buffer, { N, r, p }: typeof cost, bytes: number): Promise<Buffer> {
  if (inLine >= mostInLine) throw unavailable(t('manySignIn'), { code: 'busy' });
  inLine += 1;
  try {
    return await atOnce.runExclusive(() =>
      scrypt(password.normalize('NFKC'), salt, bytes, { N, r, p, maxmem: 256 * N * r }),
    );
  } finally {
    inLine -= 1;
  }
}

/** Longer texts take the check too long, and are not common. */
const longestChecked = 100;
/** Fewer guesses than 10 to the power of 8: guessable by who tries for a while (zxcvbn's own scale, from memory). */
const fewestGuesses = 1e8;

/**
 * Says no to a password that is on the lists of common ones, made of few words or keys, or of what is known of the
 * person.
 * @param known names and addresses that others know
 * @throws invalid with the reason, at `field`
 */
export function refuseCommon(password: string, known: readonly string[], field: string): void {
  const { guesses, feedback } = zxcvbn(password.slice(0, longestChecked), [...known]);
  if (guesses >= fewestGuesses) return;
  const message = t('passwordGuessed', { what: feedback.warning ? `${feedback.warning}. ` : '' });
  throw invalid(t('nothingWasChanged', { message }), { problems: [{ field, message }] });
}

let nobodysHash: Promise<string> | undefined;

/** A hash no password fits, so that an unknown address costs as long as a known one. */
function nobody(): Promise<string> {
  nobodysHash ??= hashPassword(randomBytes(24).toString('base64'));
  return nobodysHash;
}
