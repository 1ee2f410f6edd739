import { scryptSync } from 'node:crypto';

/** A password's hash of the least cost, as the server keeps them: for people of tests, of whom there are hundreds. */
export function quickHash(password: string): string {
  const salt = Buffer.alloc(16, 'salt');
  const key = scryptSync(password, salt, 32, { N: 16, r: 1, p: 1 });
  return ['scrypt', 16, 1, 1, salt.toString('base64'), key.toString('base64')].join('$');
}
