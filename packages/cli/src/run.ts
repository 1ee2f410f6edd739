import { t as say } from '@jasperwren/words/command';
import { exitCodes, printLines, safeIo, UsageError, type Io } from './io';
import { usage } from './usage';

type Command = (args: readonly string[], io: Io) => number | Promise<number>;

/** Each with its own modules, so that a small command starts quickly. */
const commands: ReadonlyMap<string, () => Promise<Command>> = new Map<string, () => Promise<Command>>([
  ['judge', async () => (await import('./judge')).judge],
  ['readiness', async () => (await import('./readiness')).readinessCommand],
  ['roads', async () => (await import('./roads')).roadsCommand],
  ['yard', async () => (await import('./yard')).yardCommand],
  ['motion', async () => (await import('./motion')).motionCommand],
  ['backup', async () => (await import('./keep')).backupCommand],
  ['restore', async () => (await import('./keep')).restoreCommand],
  ['recover', async () => (await import('./keep')).recoverCommand],
  ['school', async () => (await import('./keep')).schoolCommand],
  ['demo', async () => (await import('./demo')).demoCommand],
]);

const askingForHelp = new Set(['help', '--help', '-h']);

/** Runs a command line and returns the exit code. */
export async function run([name = '', ...args]: readonly string[], raw: Io): Promise<number> {
  const io = safeIo(raw);
  if (askingForHelp.has(name)) {
    printLines(io.out, usage());
    return exitCodes.pass;
  }
  const load = commands.get(name);
  if (!load) {
    if (name) io.err(say('noCommand', { name }));
    printLines(io.err, usage());
    return exitCodes.usage;
  }
  try {
    const command = await load();
    return await command(args, io);
  } catch (error) {
    io.err(messageOf(error));
    if (!isUsage(error)) return exitCodes.unusable;
    printLines(io.err, usage());
    return exitCodes.usage;
  }
}

/** Whether a call was wrong: what `parseArgs` of Node.js refuses, and what a command does. */
function isUsage(error: unknown): boolean {
  if (error instanceof UsageError) return true;
  const code = typeof error === 'object' && error !== null && 'code' in error ? error.code : undefined;
  return typeof code === 'string' && code.startsWith('ERR_PARSE_ARGS');
}

const messageOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'message' in error ? String(error.message) : String(error);
