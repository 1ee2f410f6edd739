import { parseArgs } from 'node:util';
import { check } from '@jasperwren/contract/check';
import { AccountInput } from '@jasperwren/contract/accounts';
import { createSchool } from '@jasperwren/server/accounts/store';
import { readConfig } from '@jasperwren/server/config';
import { backUp, restore } from '@jasperwren/server/db/backup';
import { openDatabase } from '@jasperwren/server/db/database';
import { exitCodes, type Io } from './io';

/** `backup FILE`: writes a copy of the database, also while the server runs. */
export function backupCommand(args: readonly string[], io: Io): number {
  const [file] = args;
  if (file === undefined) {
    io.err('Name the file to write: jasperwren backup FILE');
    return exitCodes.usage;
  }
  const { dataDir } = readConfig(process.env);
  backUp(dataDir, file);
  io.out(`The database of "${dataDir}" is copied to "${file}".`);
  return exitCodes.pass;
}

/** `restore FILE`: puts a copy in the place of the database; the server must be stopped. */
export function restoreCommand(args: readonly string[], io: Io): number {
  const [file] = args;
  if (file === undefined) {
    io.err('Name the file to restore: jasperwren restore FILE');
    return exitCodes.usage;
  }
  const { dataDir } = readConfig(process.env);
  const aside = restore(dataDir, file);
  io.out(`"${file}" is the database of "${dataDir}" now.${aside ? ` What was there before is "${aside}".` : ''}`);
  return exitCodes.pass;
}

/** `school NAME --lead NAME --email ADDRESS`, the password in JASPERWREN_PASSWORD: makes a school and its lead. */
export async function schoolCommand(args: readonly string[], io: Io): Promise<number> {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: { lead: { type: 'string' }, email: { type: 'string' } },
    allowPositionals: true,
  });
  const [name] = positionals;
  const checked = check(AccountInput, {
    name: values.lead,
    email: values.email,
    role: 'lead',
    password: process.env['JASPERWREN_PASSWORD'],
  });
  if (!name || !checked.ok) {
    io.err('Usage: JASPERWREN_PASSWORD=… jasperwren school NAME --lead NAME --email ADDRESS');
    if (!checked.ok) for (const problem of checked.problems) io.err(`  ${problem.field}: ${problem.message}`);
    return exitCodes.usage;
  }
  const db = await openDatabase(readConfig(process.env).dataDir);
  try {
    await createSchool(db, name, checked.value);
  } finally {
    await db.destroy();
  }
  io.out(`The school "${name}" is made. ${checked.value.name} can sign in as ${checked.value.email}.`);
  return exitCodes.pass;
}
