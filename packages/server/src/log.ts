import { pino, type Logger } from 'pino';

/** The log of the server: of an error no more than what it is, since parsers hang what was sent on theirs. */
export const logOf = (level: string, write?: (line: string) => void): Logger =>
  pino({ level, serializers: { err: plainError } }, ...(write ? [{ write }] : []));

function plainError(error: unknown): object {
  if (!(error instanceof Error)) return { type: typeof error, message: String(error) };
  const { name, message, stack, code } = error as NodeJS.ErrnoException;
  return { type: name, message, ...(stack !== undefined && { stack }), ...(code !== undefined && { code }) };
}
