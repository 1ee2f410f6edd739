import { t as say } from '@jasperwren/words/command';
import { parseArgs } from 'node:util';
import { parseInput } from '@jasperwren/contract/parse-input';
import { AccountInput } from '@jasperwren/contract/accounts';
import { hashPassword, refuseCommon } from '@jasperwren/server/accounts/password';
import { recoverAccount } from '@jasperwren/server/accounts/recover';
import { callNow } from '@jasperwren/server/call';
import { createSchool } from '@jasperwren/server/accounts/store';
import { readConfig } from '@jasperwren/server/config';
import { backUp, restore } from '@jasperwren/server/db/backup';
import { createDatabase, hasDatabase, openDatabase, type Db } from '@jasperwren/server/db/database';
import { exitCodes, UsageError, type Io } from './io';

/** `backup FILE`: writes a copy of the database, also while the server runs. */
export async function backupCommand([file]: readonly string[], io: Io): Promise<number> {
  if (file === undefined) throw new UsageError(say('backupUsage'));
  const { dataDir, backupKey } = readConfig(process.env);
  await backUp(dataDir, file, backupKey);
  io.out(say(backupKey ? 'copiedEncrypted' : 'copied', { dataDir, file }));
  return exitCodes.pass;
}

/** `restore FILE`: puts a copy in the place of the database; the server must be stopped. */
export async function restoreCommand([file]: readonly string[], io: Io): Promise<number> {
  if (file === undefined) throw new UsageError(say('restoreUsage'));
  const { dataDir, backupKey } = readConfig(process.env);
  const aside = await restore(dataDir, file, backupKey);
  io.out(say('restored', { file, dataDir }));
  if (aside) io.out(say('wasBefore', { aside }));
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
    io.err(say('schoolUsage'));
    if (!checked.ok) for (const problem of checked.problems) io.err(`  ${problem.field}: ${problem.message}`);
    return exitCodes.usage;
  }
  const { password, email } = checked.value;
  refuseCommon(password, [checked.value.name, email, name], 'password');
  const { dataDir } = readConfig(process.env);
  if (!hasDatabase(dataDir)) await createDatabase(dataDir);
  const passwordHash = await hashPassword(password);
  await withDatabase(dataDir, (db) =>
    createSchool(callNow(db), name, { name: checked.value.name, email, passwordHash }),
  );
  io.out(say('schoolMade', { school: name, lead: checked.value.name, email }));
  return exitCodes.pass;
}

/** `recover ADDRESS`: lets a lead in again who is locked out. */
export async function recoverCommand([email]: readonly string[], io: Io): Promise<number> {
  if (email === undefined) throw new UsageError(say('recoverUsage'));
  const { dataDir } = readConfig(process.env);
  const { path, expiresAt } = await withDatabase(dataDir, (db) =>
    db.transaction().execute((trx) => recoverAccount(callNow(trx), email)),
  );
  io.out(say('recovered', { email, expiresAt }));
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
