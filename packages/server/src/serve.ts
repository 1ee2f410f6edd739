import { createServer, type Server } from 'node:http';
import type { WelcomeView } from '@jasperwren/contract/accounts';
import type { Logger } from 'pino';
import { createApp } from './app';
import type { Config } from './config';
import { keepBackingUp } from './db/backup-timer';
import type { Db } from './db/database';
import { openKeeper, type Keeper } from './db/keeper';
import { troubleInLog } from './db/trouble-in-log';
import { takeFolder } from './db/lock';
import { digestsOf, refreshDigests } from './drives/digests';
import { changesOf } from './http/answers';
import { dropOldSessions } from './http/session';
import { isReadable } from './http/address';
import { nowAndThen } from './now-and-then';
import { serveUpgrades } from './http/upgrades';
import { logOf } from './log';
import { runnerOf } from './jobs/runner';
import { queueJob } from './jobs/queue';
import { jobThreads, onThisThread, threads } from './jobs/threads';
import { everyNight } from './readiness/nightly';
import { estimatesWork } from './readiness/estimates-job';
import { withdrawAgain } from './personal/withdraw-again';
import { callNow } from './call';
import { dropBrokenUploads, roadsWork } from './roads/roads-job';
import { queueOldReadings, tracesWork } from './traces/traces-job';
import { serveFeed } from './yard/feed-handlers';
import { addTemplatesEverywhere } from './standards/store';

export interface Running {
  readonly address: string;
  /** The connection that writes, for tools and tests. */
  readonly db: Db;
  /** Waits until what follows from earlier changes is worked out. */
  readonly settled: () => Promise<void>;
  /** Shows that the database reads and commits. Rejects where it does not. */
  readonly prove: () => Promise<void>;
  /** Lets requests under way finish, then closes the database. */
  readonly stop: () => Promise<void>;
}

/** What a server is run with besides its configuration. */
export interface Outfit {
  readonly welcome?: WelcomeView;
  readonly log?: Logger;
  /** The built file of `jobs/worker.ts`; without it everything is worked out on this thread. */
  readonly worker?: string;
  readonly workerArgv?: string[];
  /** False where estimates are left to the next start, as while much is brought in. */
  readonly estimates?: boolean;
}

/** How long a request may take to arrive, in milliseconds: whoever sends a byte now and then holds no connection; a file of roads over a slow line does. */
const patience = {
  headersTimeout: 10_000,
  requestTimeout: 180_000,
  // Longer than a proxy in front or a browser keeps a connection: it is they who give it up, never in the middle of a request.
  keepAliveTimeout: 75_000,
  connectionsCheckingInterval: 2000,
};
const patienceMs = 5000;
const dayMs = 24 * 60 * 60 * 1000;

/**
 * Opens the database and listens.
 * @throws Error with a sentence for the operator: port in use, folder taken or not writable, no usable database,
 *   migration failed
 */
export async function serve(
  config: Config,
  webDist: string,
  { welcome = {}, log = logOf(config.logLevel), worker, workerArgv, estimates = true }: Outfit = {},
): Promise<Running> {
  const giveBack = takeFolder(config.dataDir);
  const trouble = troubleInLog(() => keeper.trouble(), log);
  const keeper: Keeper = await openKeeper(config.dataDir, trouble.look).catch((error: unknown) => {
    giveBack();
    throw error;
  });
  const back = await withdrawAgain(keeper, config.dataDir);
  if (back > 0)
    log.warn({ back }, 'what had been erased, deleted or revoked had come back with a restore; taken back again');
  await keeper.write((db) => addTemplatesEverywhere(callNow(db)));
  await keeper.write((db) => dropOldSessions(db));
  await dropBrokenUploads(config.dataDir);
  await refreshDigests(keeper);
  const failed = (what: string) => (error: unknown) => log.error({ err: error }, what);
  const changes = changesOf();
  const workers = worker === undefined ? onThisThread(keeper.db) : threads(worker, config.dataDir, workerArgv);
  const estimated = nowAndThen((schoolId) => changes.note(schoolId, ['readiness']));
  const jobs = runnerOf(
    keeper,
    {
      estimates: estimatesWork(keeper, workers, estimated),
      traces: tracesWork(keeper, workers, (schoolId) => changes.note(schoolId, ['traces'])),
      roads: roadsWork(keeper, workers, config.dataDir, (schoolId) => changes.note(schoolId, ['roads'])),
    },
    { changed: ({ schoolId }) => estimated(schoolId), failed: failed('a job failed') },
    {
      kinds: estimates ? ['estimates', 'roads', 'traces'] : ['roads', 'traces'],
      lanes: worker === undefined ? 1 : jobThreads,
    },
  );
  const digests = digestsOf(keeper, jobs.wake, failed('summary failed'));
  const app = createApp({ keeper, digests, jobs, workers, changes, config, log, webDist, welcome });
  const release = async () => {
    trouble.stop();
    await jobs.close();
    await workers.close();
    await digests.settled();
    await keeper.close();
    giveBack();
  };
  const answer = app.callback();
  const server = await listen(
    createServer(patience, (req, res) => {
      if (isReadable(req.url)) void answer(req, res);
      else res.writeHead(400, { connection: 'close' }).end();
    }),
    config,
  ).catch(async (error: unknown) => {
    await release();
    throw error;
  });
  const feed = serveFeed(keeper, config, log);
  serveUpgrades(server, feed.handlers, log);
  // Another release may work out otherwise what stands, and nights may have passed.
  const schools = await keeper.db.selectFrom('schools').select('id').execute();
  await keeper.write(async (db) => {
    for (const { id } of schools) await queueJob(db, { schoolId: id, kind: 'estimates' }, new Date());
  });
  await keeper.write(queueOldReadings);
  jobs.wake();
  const stopNights = everyNight(keeper, jobs.wake, log);
  const stopBackups = keepBackingUp(config, log);
  const tidy = setInterval(
    () => void keeper.write((db) => dropOldSessions(db)).catch(failed('old sign-ins not dropped')),
    dayMs,
  );
  tidy.unref();
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : config.port;
  const host = config.host.includes(':') ? `[${config.host}]` : config.host;
  return {
    address: `http://${host}:${port}`,
    db: keeper.writing,
    settled: async () => {
      await digests.settled();
      await jobs.settled();
    },
    prove: keeper.prove,
    async stop() {
      stopNights();
      stopBackups();
      clearInterval(tidy);
      feed.close();
      await stopListening(server);
      await release();
    },
  };
}

function listen(server: Server, { port, host }: Config): Promise<Server> {
  return new Promise((resolve, reject) => {
    server.listen(port, host);
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

async function stopListening(server: Server): Promise<void> {
  const closed = new Promise<void>((resolve) => server.close(() => resolve()));
  server.closeIdleConnections();
  const hurry = setTimeout(() => server.closeAllConnections(), patienceMs);
  await closed;
  clearTimeout(hurry);
}
