import { createHash, randomBytes, randomInt } from 'node:crypto';

/** No letters that are read as digits or as each other. */
const letters = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const tokenBytes = 24;

/** What opens something and travels by a link or a cookie: as good as never guessed. */
export const newToken = (): string => randomBytes(tokenBytes).toString('base64url');

/** What such a token looks like, as a regular expression: four letters for three bytes (RFC 4648, 5). */
export const tokenPattern = `[\\w-]{${(tokenBytes / 3) * 4}}`;

/** As what a secret is kept: the secret itself stands in no database. */
export const digestOfSecret = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** A code that people read out and type, such as K7QM-2XRD; `length` is a multiple of four. */
export const newCode = (length: number): string =>
  Array.from({ length }, () => letters[randomInt(letters.length)])
    .join('')
    .match(/.{4}/g)!
    .join('-');

/** As what a code is kept, in whatever way it was typed. */
export const digestOfCode = (code: string): string => digestOfSecret(code.toUpperCase().replace(/[^A-Z0-9]/g, ''));
