import { randomBytes, scrypt as scryptCallback, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';

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

/** Whether the password is the one that was hashed. Without a hash it takes the same time and says no. */
export async function verifyPassword(password: string, kept: string | undefined): Promise<boolean> {
  const [scheme, n, r, p, salt, key] = (kept ?? (await nobody())).split('$');
  if (scheme !== 'scrypt' || !salt || !key) return false;
  const expected = Buffer.from(key, 'base64');
  const actual = await derive(
    password,
    Buffer.from(salt, 'base64'),
    { N: Number(n), r: Number(r), p: Number(p) },
    expected.length,
  );
  return timingSafeEqual(actual, expected) && kept !== undefined;
}

function derive(password: string, salt: Buffer, { N, r, p }: typeof cost, bytes: number): Promise<Buffer> {
  return scrypt(password.normalize('NFKC'), salt, bytes, { N, r, p, maxmem: 256 * N * r });
}

let nobodysHash: Promise<string> | undefined;

/** A hash no password fits, so that an unknown address costs as long as a known one. */
function nobody(): Promise<string> {
  nobodysHash ??= hashPassword(randomBytes(24).toString('base64'));
  return nobodysHash;
}
