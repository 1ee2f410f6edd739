import { t as say } from '@jasperwren/words/command';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { LearnerView } from '@jasperwren/contract/learners';
import { mostPiecesInABatch } from '@jasperwren/contract/batch';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { Review } from '@jasperwren/core/safety-questions/memory';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import type { FreeHours } from '@jasperwren/core/readiness/plan';
import { hashPassword } from '@jasperwren/server/accounts/password';
import { createSchool } from '@jasperwren/server/accounts/store';
import { callNow } from '@jasperwren/server/call';
import { readConfig } from '@jasperwren/server/config';
import { createDatabase, hasDatabase } from '@jasperwren/server/db/database';
import { serve } from '@jasperwren/server/serve';
import { pino } from 'pino';
import { v7 as newId } from 'uuid';
import { signedIn, type Client } from './client';
import { addDemoRoutes, planDemoRoutes, type DemoRoutes } from './demo-routes';
import { demoTraces } from './demo-traces';
import { addDemoWheels, type DemoKept } from './demo-wheels';
import { addDemoYard, type DemoYardLearner } from './demo-yard';
import { entriesOfDemoSheet, eventsOfDemoDrive, type DemoDrive } from './demo-drive';
import { exitCodes, type Io } from './io';
import { shippedStandard } from './records';

interface DemoSchool {
  readonly school: string;
  readonly place: { readonly place: string; readonly timeZone: string };
  readonly password: string;
  readonly lead: { readonly name: string; readonly email: string };
  readonly instructors: readonly { readonly name: string; readonly email: string }[];
  /** When its instructors give lessons. */
  readonly hours: readonly FreeHours[];
  /** A standard of the school's own: what each version allows, by code of the limit. */
  readonly standard: {
    readonly from: string;
    readonly name: string;
    readonly summary: string;
    readonly versions: readonly Readonly<Record<string, number>>[];
  };
}

interface DemoSheet {
  readonly daysAgo: number;
  readonly centre: string;
  readonly official: 'pass' | 'fail';
  /** Desk keys with the digit of the grade, such as `JO1`, one for each count. */
  readonly counts: string;
}

interface DemoDrill {
  readonly daysAgo: number;
  /** Questions with + where they were known and - where not, such as `tell.oil+ show.horn-`. */
  readonly answers: string;
}

interface DemoLearner {
  readonly name: string;
  readonly instructor: string;
  readonly transmission: LearnerView['transmission'];
  readonly testInDays?: number;
  readonly testCentre?: string;
  readonly notes: string;
  readonly car?: string;
  readonly drill?: readonly DemoDrill[];
  readonly drives: readonly DemoDrive[];
  readonly sheets?: readonly DemoSheet[];
}

/**
 * `demo FOLDER`: loads the demo data through the same requests the web application sends. A database that holds
 * a school already is left as it is.
 */
export async function demoCommand(args: readonly string[], io: Io): Promise<number> {
  const [folder = 'demo'] = args;
  const read = <T>(name: string) => JSON.parse(readFileSync(join(folder, name), 'utf8')) as T;
  const data = read<DemoSchool>('school.json');
  const learners = read<readonly DemoLearner[]>('learners.json');
  const config = { ...readConfig(process.env), host: '127.0.0.1', port: 0, backupEveryH: 0 };
  if (!hasDatabase(config.dataDir)) await createDatabase(config.dataDir);
  const running = await serve(config, folder, { log: pino({ level: 'error' }), estimates: false });
  try {
    if (await running.db.selectFrom('schools').select('id').executeTakeFirst()) {
      io.out(say('thereIsDataAlready'));
      return exitCodes.pass;
    }
    // Before anybody is connected: planning keeps this thread busy for seconds.
    const island = readFileSync(join(folder, 'tarnavel.osm'), 'utf8');
    const routes = await planDemoRoutes(island, read<DemoRoutes>('routes.json'));
    const planTrace = demoTraces(routes);
    await createSchool(callNow(running.db), data.school, {
      ...data.lead,
      passwordHash: await hashPassword(data.password),
    });
    const lead = await signedIn(running.address, data.lead.email, data.password);
    for (const instructor of data.instructors) {
      const { link } = await lead.call('invite', { body: { ...instructor, role: 'instructor' } });
      await lead.call('choosePassword', { token: link.path.split('/').at(-1)!, body: { password: data.password } });
    }
    const { version } = await lead.call('school', {});
    await lead.call('editSchool', { body: { name: data.school, ...data.place, requireFactor: false, version } });
    await addStandard(lead, data.standard);
    for (const { email } of [data.lead, ...data.instructors])
      await (
        await signedIn(running.address, email, data.password)
      ).call('setFreeHours', { body: { hours: data.hours, version: 0 } });
    const drives = await addLearners(running.address, data, learners);
    await addDemoRoutes(lead, routes, running.settled);
    for (const { client, driveId, events } of drives) {
      const pieces = planTrace(events);
      for (let i = 0; i < pieces.length; i += mostPiecesInABatch)
        await client.call('sendFixes', { driveId, body: { pieces: pieces.slice(i, i + mostPiecesInABatch) } });
    }
    await addDemoWheels(lead, read<readonly DemoKept[]>('wheels.json'));
    const yard = read<readonly DemoYardLearner[]>('yard.json');
    const signIn = (email: string) => signedIn(running.address, email, data.password);
    const tests = await addDemoYard(running.db, signIn, yard);
    // Whoever opens the demo finds its traces read.
    await running.settled();
    io.out(say('theDemoHoldsLearners', { learners: learners.length + yard.length, tests: drives.length + tests }));
  } finally {
    await running.stop();
  }
  return exitCodes.pass;
}

/** Makes a standard from a shipped one and publishes its versions one after the other. */
async function addStandard(lead: Client, { from, name, summary, versions }: DemoSchool['standard']): Promise<void> {
  const fromVersion = shippedStandard(from).version;
  let draft = await lead.call('beginStandard', { body: { fromId: from, fromVersion, name } });
  const { id } = draft.standard;
  for (const allowed of versions) {
    const limits = draft.standard.limits.map((limit) => {
      const value = allowed[limit.code];
      return value === undefined || value === limit.allowed.value ? limit : { ...limit, allowed: setBySchool(value) };
    });
    draft = await lead.call('saveDraft', {
      id,
      body: { standard: { ...draft.standard, summary, limits }, savedAt: draft.savedAt },
    });
    await lead.call('publishStandard', { id });
    draft = { ...draft, savedAt: '' };
  }
}

/** A drive of the demo with whoever marked it. */
interface AddedDrive {
  readonly client: Client;
  readonly driveId: string;
  readonly events: readonly DriveEvent[];
}

async function addLearners(
  address: string,
  data: DemoSchool,
  learners: readonly DemoLearner[],
): Promise<readonly AddedDrive[]> {
  const standard = shippedStandard('tally');
  const today = new Date();
  const instructors = new Map<string, Client>();
  const drives: AddedDrive[] = [];
  for (const learner of learners) {
    const client = instructors.get(learner.instructor) ?? (await signedIn(address, learner.instructor, data.password));
    instructors.set(learner.instructor, client);
    const { id } = await client.call('addLearner', {
      body: {
        name: learner.name,
        transmission: learner.transmission,
        standardId: standard.id,
        ...(learner.testInDays !== undefined && { testDate: isoDay(today, learner.testInDays) }),
        ...(learner.testCentre !== undefined && { testCentre: learner.testCentre }),
        notes: learner.notes,
      },
    });
    for (const drive of learner.drives) {
      const driveId = newId();
      const events = eventsOfDemoDrive(drive, driveId, id, client.accountId, standard, today);
      await client.call('sendEvents', { driveId, body: { events } });
      drives.push({ client, driveId, events });
    }
    if (learner.car) await client.call('chooseVehicle', { learnerId: id, body: { vehicleId: learner.car } });
    for (const session of learner.drill ?? [])
      await client.call('addReviews', { learnerId: id, body: { reviews: reviewsOfDemoDrill(session, today) } });
    for (const { daysAgo, centre, official, counts } of learner.sheets ?? []) {
      await client.call('addSheet', {
        learnerId: id,
        body: {
          standardId: standard.id,
          standardVersion: standard.version,
          date: isoDay(today, -daysAgo),
          centre,
          official,
          entries: entriesOfDemoSheet(counts, standard),
        },
      });
    }
  }
  return drives;
}

/** The answers of a session, a quarter of an hour before it ended at seven in the evening. */
function reviewsOfDemoDrill({ daysAgo, answers }: DemoDrill, today: Date): readonly Review[] {
  return answers.split(' ').map((word, i) => ({
    id: newId(),
    question: word.slice(0, -1),
    at: new Date(today.getFullYear(), today.getMonth(), today.getDate() - daysAgo, 18, 45, 30 * i).toISOString(),
    rating: word.endsWith('+') ? 'good' : 'again',
    mode: 'reveal',
    missed: [],
  }));
}

function isoDay(today: Date, inDays: number): string {
  const day = new Date(Date.UTC(today.getFullYear(), today.getMonth(), today.getDate() + inDays));
  return day.toISOString().slice(0, 10);
}
