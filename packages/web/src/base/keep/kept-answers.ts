/** The header by which the service worker says that an answer is one that it kept, see `vite.config.ts`. */
const keptHeader = 'x-kept';

/** When each answer that stands in for the server was given, by its address: RFC 7231 dates of the server. */
const given = new Map<string, string>();
const listeners = new Set<() => void>();
let oldest: string | undefined;

/** Notes whether an answer came from the server or from this device. */
export function noteAnswer(address: string, headers: Headers): void {
  if (headers.has(keptHeader)) given.set(address, headers.get('date') ?? '');
  else if (!given.delete(address)) return;
  settle();
}

/** Since when the oldest answer stands that this device gave for the server, for React's external store. */
export const keptAnswers = {
  subscribe: (listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
  oldest: () => oldest,
  /** Everything is asked for again. */
  clear: () => {
    given.clear();
    settle();
  },
};

function settle(): void {
  const before = oldest;
  oldest = [...given.values()].sort((a, b) => Date.parse(a) - Date.parse(b))[0];
  if (oldest !== before) listeners.forEach((listener) => listener());
}
