/** What a command may touch of the world, so that tests can hand it another. Each call prints one line. */
export interface Io {
  readonly out: (line: string) => void;
  readonly err: (line: string) => void;
}

export const exitCodes = { pass: 0, usage: 1, unusable: 2, fail: 3, incomplete: 4 } as const;

/** A command that was called wrongly; the message says how it is called. */
export class UsageError extends Error {}

/**
 * Control characters, line and paragraph separators and marks of writing direction: text of a file that held them could
 * forge lines or steer a terminal.
 */
// eslint-disable-next-line no-control-regex
const unprintable = /[\u0000-\u001f\u007f-\u009f\u061c\u200b-\u200f\u2028-\u202e\u2066-\u2069\ufeff]/g;

/** A line that shows what it holds, as `\u001b`, which JSON reads back as the same. */
function printable(line: string): string {
  return line.replace(unprintable, (char) => `\\u${char.charCodeAt(0).toString(16).padStart(4, '0')}`);
}

/** An Io that prints nothing unprintable. */
export const safeIo = ({ out, err }: Io): Io => ({
  out: (line) => out(printable(line)),
  err: (line) => err(printable(line)),
});

/** Prints a value as JSON. */
export function printJson(io: Io, value: unknown): void {
  for (const line of JSON.stringify(value, null, 2).split('\n')) io.out(line);
}

/** Prints a text of ours of several lines. */
export function printLines(print: (line: string) => void, text: string): void {
  for (const line of text.split('\n')) print(line);
}
