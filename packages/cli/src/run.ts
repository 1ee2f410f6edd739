import { demoCommand } from './demo';
import { exitCodes, type Io } from './io';
import { judge } from './judge';
import { readinessCommand } from './readiness';
import { backupCommand, restoreCommand, schoolCommand } from './keep';

type Command = (args: readonly string[], io: Io) => number | Promise<number>;

const commands: Readonly<Record<string, Command>> = {
  judge,
  readiness: readinessCommand,
  backup: backupCommand,
  restore: restoreCommand,
  school: schoolCommand,
  demo: demoCommand,
};

const usage = `jasperwren judge FILE [--standard ID] [--json]   verdict, reasons and room left of drive records
jasperwren judge FILE --standard all             the verdicts under every standard, as a table
jasperwren readiness FILE [--standard ID] [--on DATE] [--seed N] [--json]
                                                 how ready a learner was, from the drives in the file
jasperwren backup FILE                           copies the database
jasperwren restore FILE                          puts a copy in its place
jasperwren school NAME --lead NAME --email ADDR  makes a school, password in JASPERWREN_PASSWORD
jasperwren demo [FOLDER]                         loads the demo data into an empty database`;

/** Runs a command line and returns the exit code. */
export async function run([name = '', ...args]: readonly string[], io: Io): Promise<number> {
  const command = commands[name];
  if (!command) {
    io.err(usage);
    return exitCodes.usage;
  }
  try {
    return await command(args, io);
  } catch (error) {
    io.err(error instanceof Error ? error.message : String(error));
    return exitCodes.usage;
  }
}
