import { external } from '../external';

/** The header by which the service worker says that an answer is one that it kept, see `vite.config.ts`. */
const keptHeader = 'x-kept';

/** When each answer that stands in for the server was given, by its address: dates of the server (RFC 9110, 6.6.1). */
const given = new Map<string, string>();

/** Since when the oldest answer stands that this device gave for the server; undefined where it gave none. */
export const keptSince = external<string | undefined>(undefined);

/** Notes whether an answer came from the server or from this device. */
export function noteAnswer(address: string, headers: Headers): void {
  if (headers.has(keptHeader)) given.set(address, headers.get('date') ?? '');
  else given.delete(address);
  settle();
}

/** Forgets which answers were kept ones: everything is asked for again. */
export function forgetKept(): void {
  given.clear();
  settle();
}

const settle = () => keptSince.set([...given.values()].sort((a, b) => Date.parse(a) - Date.parse(b))[0]);
