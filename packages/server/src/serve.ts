import type { Server } from 'node:http';
import type { WelcomeView } from '@jasperwren/contract/accounts';
import { sql } from 'kysely';
import { pino, type Logger } from 'pino';
import { createApp } from './app';
import type { Config } from './config';
import { openDatabase, type Db } from './db/database';
import { takeFolder } from './db/lock';
import { refreshDigests } from './drives/store';
import { dropOldSessions } from './http/session';
import { addTemplatesEverywhere } from './standards/store';

export interface Running {
  readonly address: string;
  readonly db: Db;
  /** Lets requests under way finish, then closes the database. */
  readonly stop: () => Promise<void>;
}

const patienceMs = 5000;

/**
 * Opens the database and listens.
 * @throws Error with a sentence for the operator: port in use, folder taken or not writable, migration failed
 */
export async function serve(
  config: Config,
  webDist: string,
  welcome: WelcomeView = {},
  log: Logger = pino({ level: config.logLevel }),
): Promise<Running> {
  const giveBack = takeFolder(config.dataDir);
  const db = await openDatabase(config.dataDir).catch((error: unknown) => {
    giveBack();
    throw error;
  });
  await addTemplatesEverywhere(db);
  await dropOldSessions(db);
  await refreshDigests(db);
  const app = createApp({ db, config, log, webDist, welcome });
  const server = await listen(app.listen.bind(app), config).catch(async (error: unknown) => {
    await db.destroy();
    giveBack();
    throw error;
  });
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : config.port;
  const host = config.host.includes(':') ? `[${config.host}]` : config.host;
  return { address: `http://${host}:${port}`, db, stop: () => stop(server, db).finally(giveBack) };
}

function listen(on: (port: number, host: string) => Server, { port, host }: Config): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = on(port, host);
    server.once('listening', () => resolve(server));
    server.once('error', (error: NodeJS.ErrnoException) => reject(explain(error, port, host)));
  });
}

function explain(error: NodeJS.ErrnoException, port: number, host: string): Error {
  if (error.code === 'EADDRINUSE')
    return new Error(
      `Port ${port} is in use by another program. Stop it, or choose another port: JASPERWREN_PORT=${port + 1}.`,
    );
  if (error.code === 'EACCES')
    return new Error(`Port ${port} needs rights this user does not have. Choose one above 1023: JASPERWREN_PORT=4180.`);
  if (error.code === 'EADDRNOTAVAIL')
    return new Error(`This machine has no address "${host}". Set JASPERWREN_HOST to one it has, such as 127.0.0.1.`);
  return error;
}

async function stop(server: Server, db: Db): Promise<void> {
  const closed = new Promise<void>((resolve) => server.close(() => resolve()));
  server.closeIdleConnections();
  const hurry = setTimeout(() => server.closeAllConnections(), patienceMs);
  await closed;
  clearTimeout(hurry);
  // All that was written stands in the one file then.
  await sql`pragma wal_checkpoint(truncate)`.execute(db);
  await db.destroy();
}
