import { parseArgs } from 'node:util';
import { parseInput } from '@jasperwren/contract/parse-input';
import { AccountInput } from '@jasperwren/contract/accounts';
import { refuseCommon } from '@jasperwren/server/accounts/password';
import { recoverAccount } from '@jasperwren/server/accounts/recover';
import { callNow } from '@jasperwren/server/call';
import { createSchool } from '@jasperwren/server/accounts/store';
import { readConfig } from '@jasperwren/server/config';
import { backUp, restore } from '@jasperwren/server/db/backup';
import { createDatabase, hasDatabase, openDatabase, type Db } from '@jasperwren/server/db/database';
import { exitCodes, UsageError, type Io } from './io';

/** `backup FILE`: writes a copy of the database, also while the server runs. */
export async function backupCommand([file]: readonly string[], io: Io): Promise<number> {
  if (file === undefined) throw new UsageError('Name the file to write: jasperwren backup FILE');
  const { dataDir, backupKey } = readConfig(process.env);
  await backUp(dataDir, file, backupKey);
  io.out(`The database of "${dataDir}" is copied to "${file}"${backupKey ? ', encrypted' : ''}, and was read back.`);
  return exitCodes.pass;
}

/** `restore FILE`: puts a copy in the place of the database; the server must be stopped. */
export async function restoreCommand([file]: readonly string[], io: Io): Promise<number> {
  if (file === undefined) throw new UsageError('Name the file to restore: jasperwren restore FILE');
  const { dataDir, backupKey } = readConfig(process.env);
  const aside = await restore(dataDir, file, backupKey);
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
  const checked = parseInput(AccountInput, {
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
  const { password, email } = checked.value;
  refuseCommon(password, [checked.value.name, email, name], 'password');
  const { dataDir } = readConfig(process.env);
  if (!hasDatabase(dataDir)) await createDatabase(dataDir);
  await withDatabase(dataDir, (db) => createSchool(callNow(db), name, checked.value));
  io.out(`The school "${name}" is made. ${checked.value.name} can sign in as ${email}.`);
  return exitCodes.pass;
}

/** `recover ADDRESS`: lets a lead in again who is locked out. */
export async function recoverCommand([email]: readonly string[], io: Io): Promise<number> {
  if (email === undefined) throw new UsageError('Name the account by its e-mail address: jasperwren recover ADDRESS');
  const { dataDir } = readConfig(process.env);
  const { path, expiresAt } = await withDatabase(dataDir, (db) =>
    db.transaction().execute((trx) => recoverAccount(callNow(trx), email)),
  );
  io.out(`${email} is a lead again, without a second factor. Until ${expiresAt} a new password can be`);
  io.out('chosen at this address of the server:');
  io.out(path);
  return exitCodes.pass;
}

async function withDatabase<T>(dataDir: string, change: (db: Db) => Promise<T>): Promise<T> {
  const db = await openDatabase(dataDir);
  try {
    return await change(db);
  } finally {
    await db.destroy();
  }
}
