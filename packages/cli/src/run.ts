import { t as say } from '@jasperwren/words/command';
import { exitCodes, printLines, safeIo, UsageError, type Io } from './io';

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

const usage = `jasperwren judge FILE [--standard ID] [--json]   verdict, reasons and room left of drive records
jasperwren judge FILE --standard all             the verdicts under every standard, as a table
jasperwren readiness FILE [--standard ID] [--on DATE] [--seed N] [--json]
                                                 how ready a learner was, from the drives in the file
jasperwren roads summary FILE [--json]           what a file of roads holds (.osm, .osm.gz, .geojson)
jasperwren roads route FILE --from LAT,LON --to LAT,LON [--by distance|time] [--style instructor|device] [--json]
                                                 the way between two places, with its directions
jasperwren roads plan FILE --from LAT,LON --minutes N [--want KIND=N] [--loops N] [--seed N] [--json]
                                                 loops for a mock test
jasperwren roads match FILE TRACE [--json]       where the trace of a GPX file went on the roads, and how sure that is
jasperwren yard judge FILE [--standard ID] [--retest] [--json]
                                                 exercises, faults and result of a run of sensor values (CSV)
jasperwren yard simulate [--standard ID] [--seed N] [--slips CHANCE]
                                                 prints a simulated run as CSV
jasperwren yard send FILE --to ADDRESS [--pace N] [--run ID]
                                                 sends a run as a car does, its code in JASPERWREN_CAR_TOKEN
jasperwren motion plan FILE [--json]             the way with the fewest movements through an exercise
jasperwren motion setout FILE [--svg|--dxf|--json]
                                                 how to set an exercise out with a tape, or its drawing
jasperwren motion stopping --speed N [--unit mph|km/h] [--surface S] [--reaction S] [--clutch-first S] [--json]
                                                 how far a car goes before it stands
jasperwren backup FILE                           copies the database
jasperwren restore FILE                          puts a copy in its place
jasperwren school NAME --lead NAME --email ADDR  makes a school, password in JASPERWREN_PASSWORD
jasperwren recover ADDRESS                       lets a lead in again who is locked out
jasperwren demo [FOLDER]                         loads the demo data into an empty database`;

/** Runs a command line and returns the exit code. */
export async function run([name = '', ...args]: readonly string[], raw: Io): Promise<number> {
  const io = safeIo(raw);
  const load = commands.get(name);
  if (!load) {
    if (name) io.err(say('noCommand', { name }));
    printLines(io.err, usage);
    return exitCodes.usage;
  }
  try {
    const command = await load();
    return await command(args, io);
  } catch (error) {
    io.err(messageOf(error));
    if (!isUsage(error)) return exitCodes.unusable;
    printLines(io.err, usage);
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
