import { tally } from '@jasperwren/core/marking/testing-standards';
import type { SessionView } from '@jasperwren/contract/accounts';
import type { AccessCode } from '@jasperwren/contract/access';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { ErasedIds, ErasureReceipt, OutOfTime, SchoolView } from '@jasperwren/contract/school';
import type { NewShare } from '@jasperwren/contract/shares';
import { fullTest } from '@jasperwren/core/drive/testing';
import { strFromU8, unzipSync } from 'fflate';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'papaparse';
import { backUp, restore } from '../db/backup';
import { addRoads, startTestServer, startTwoSchools, testClient, type TestClient } from '../testing';
import { registry } from './registry';
import { addRows } from '../yard/store';
import { learnerTables } from './rows';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let lead: TestClient;
let other: TestClient;

beforeAll(async () => {
  ({ server, first: lead, second: other } = await startTwoSchools());
  await addRoads(server, lead);
});
afterAll(() => server.remove());

/** Words that stand nowhere else, each in another place. */
const words = ['Zebulonia', 'Quibblestone', 'Marmolada', 'Fenwickle', 'Tanglefoot'];
/** What was said with a pin. */
const spoken = 'Bumblewick, at the lights';
let drives = 0;

/** A learner with something in every table. */
async function everywhere() {
  const [name, notes, note, seek, centre] = words;
  const post = async <T>(path: string, body: object, method = 'POST') => {
    const answer = await lead.send<T>(method, path, body);
    expect([path, answer.status < 300]).toEqual([path, true]);
    return answer.body;
  };
  const learner = {
    name: `${name} Learner`,
    transmission: 'manual',
    standardId: 'tally',
    notes,
    email: 'z@there.example',
  };
  const { id } = await post<LearnerView>('/api/learners', learner);
  const driveId = `erase-${drives++}`;
  const events = fullTest([
    { type: 'mark', item: 'signs.lights', grade: 'driving' },
    { type: 'note', text: note!, private: true },
  ]).map((event) => ({
    ...(event.type === 'started' ? { ...event, learnerId: id } : event),
    id: `${driveId}-${event.id}`,
  }));
  await post(`/api/drives/${driveId}/events`, { events });
  // The road lies in the middle of an ocean; it is driven in two minutes from the start on.
  const fixes = Array.from({ length: 120 }, (_, i) => [
    Date.UTC(2026, 4, 4, 9, 0) + i * 1000,
    48,
    -30 + (0.002 * i) / 120,
    5,
    -1,
  ]);
  await post(`/api/drives/${driveId}/fixes`, { pieces: [{ id: 'p', source: 'device', fixes }] });
  const voice = { type: 'audio/webm', audio: Buffer.from(spoken).toString('base64') };
  await post(`/api/drives/${driveId}/voices/pin`, voice, 'PUT');
  const run = { id: `run-${driveId}`, name: 'Yard', source: 'file', standardId: 'timed-yard', columns: 'at_ms' };
  await post('/api/yard/runs', { ...run, learnerId: id });
  const { school } = (await lead.send<SessionView>('GET', '/api/session')).body;
  await addRows(server.db, new Date(), { schoolId: school.id, id: run.id }, 0, ['0']);
  await post(`/api/drives/${driveId}/shares`, { days: 7 });
  await post(`/api/learners/${id}/reviews`, {
    reviews: [
      {
        id: `r-${driveId}`,
        question: 'tell.oil',
        at: '2026-05-01T10:00:00Z',
        rating: 'good',
        mode: 'oral',
        missed: [],
      },
    ],
  });
  const goals = [{ kind: 'area', code: 'junctions', name: 'Junctions', seek }];
  await post(
    `/api/learners/${id}/lessons`,
    { lessons: [{ start: `2099-01-0${drives}T09:00`, minutes: 60, goals }], version: 0 },
    'PUT',
  );
  const sheet = {
    standardId: 'tally',
    standardVersion: tally.version,
    date: '2026-03-02',
    official: 'pass',
    centre,
    entries: [],
  };
  await post(`/api/learners/${id}/sheets`, sheet);
  const { code } = await post<AccessCode>(`/api/learners/${id}/access`, { kind: 'code' });
  const own = testClient(server.address);
  await own.takeToken('POST', '/api/me/session', { code });
  await post<AccessCode>(`/api/learners/${id}/access`, { kind: 'invitation' });
  await server.settled();
  return { id, name: learner.name, driveId, own };
}

/** Which of the words stand anywhere in the files of a folder. */
function wordsIn(folder: string): readonly string[] {
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .map((name) => join(folder, name))
    .filter((path) => statSync(path).isFile());
  const text = files.map((path) => readFileSync(path, 'latin1')).join('\n');
  return words.filter((word) => text.includes(word));
}

describe('the registry of personal fields', () => {
  it('has every column of the database, and no other', async () => {
    const tables = await server.db.introspection.getTables();
    const found = Object.fromEntries(
      tables.map(({ name, columns }) => [name, columns.map((column) => column.name).sort()]),
    );
    const known = Object.fromEntries(
      Object.entries(registry).map(([name, columns]) => [name, Object.keys(columns).sort()]),
    );
    expect(found).toEqual(known);
  });

  it('and what is erased agree: every table that tells of a learner is emptied of them', () => {
    const tell = Object.entries(registry)
      .filter(([, columns]) => Object.values(columns).includes('learner'))
      .map(([name]) => name);
    expect(
      learnerTables
        .map(([name]) => name)
        .concat('audit')
        .sort(),
    ).toEqual(tell.sort());
  });
});

describe('a learner who asks for everything', () => {
  it('gets a zip with every row, tables a spreadsheet reads, and a page', async () => {
    const { id, driveId } = await everywhere();
    const response = await fetch(`${server.address}/api/learners/${id}/export.zip`, {
      headers: { cookie: lead.cookie() },
    });
    expect(response.headers.get('content-disposition')).toContain('.zip');
    const files = unzipSync(new Uint8Array(await response.arrayBuffer()));
    const everything = JSON.parse(strFromU8(files['everything.json']!)) as Record<string, readonly object[]>;
    // Of jobs there are rows only while something waits.
    for (const [table] of learnerTables)
      expect([table, everything[table]!.length > 0 || table === 'jobs']).toEqual([table, true]);
    for (const word of words) expect(strFromU8(files['everything.json']!)).toContain(word);
    expect(strFromU8(files['everything.json']!)).not.toMatch(/token_hash|code_hash|csrfToken/);
    const drive = Object.keys(files).find((name) => name.includes(driveId))!;
    expect(parse(strFromU8(files[drive]!).trim(), { header: true }).errors).toEqual([]);
    expect(parse(strFromU8(files['lessons.csv']!).trim(), { header: true }).data).toHaveLength(1);
    expect(strFromU8(files[`voices/${driveId}-pin.webm`]!)).toBe(spoken);
    const page = strFromU8(files['index.html']!);
    expect(page).toContain('<h1>What is kept about Zebulonia Learner</h1>');
    expect(page).toMatch(
      /<dt>\d{4}-\d\d-\d\d<\/dt><dd>Tally, version \d+, with Lead of first: (pass|no result)\.<\/dd>/,
    );
    expect(page).toMatch(/<h2>Licence tests<\/h2>\s*<dl><dt>[\d-]+<\/dt><dd>Tally: (pass|fail)\./);
    expect((await other.send('GET', `/api/learners/${id}/export.zip`)).status).toBe(404);
  });
});

describe('a learner who asks to be erased', () => {
  it('is gone from the whole folder, the write-ahead log included, and from the trail', async () => {
    // Others of the same words would hide what is left.
    for (const { id, name } of (await lead.send<LearnerView[]>('GET', '/api/learners')).body)
      await lead.send('POST', `/api/learners/${id}/erase`, { name });
    const { id, name, driveId, own } = await everywhere();
    expect(wordsIn(server.dataDir)).toEqual(words);
    const before = join(server.dataDir, '..', `before-${process.pid}.sqlite`);
    await backUp(server.dataDir, before);
    expect((await lead.send('POST', `/api/learners/${id}/erase`, { name: 'Somebody' })).status).toBe(422);
    const { status, body } = await lead.send<ErasureReceipt>('POST', `/api/learners/${id}/erase`, { name });
    expect([status, body.erased['drives'], body.erased['learners']]).toEqual([200, 1, 1]);
    expect(JSON.stringify(body)).not.toContain(id);
    await server.settled();
    expect(wordsIn(server.dataDir)).toEqual([]);
    expect((await own.send('GET', '/api/me')).status).toBe(401);
    expect((await lead.send('GET', `/api/drives/${driveId}`)).status).toBe(404);
    const trail = await server.db.selectFrom('audit').selectAll().execute();
    expect(JSON.stringify(trail)).not.toContain(id);
    expect(JSON.stringify(trail)).not.toContain(driveId);
    expect(trail.filter(({ learner_id }) => learner_id === `erased-${body.id}`).length).toBeGreaterThan(5);
    const { body: forget } = await lead.send<ErasedIds>('GET', '/api/erased');
    expect(forget.learners).toContain(id);
    expect(forget.drives).toContain(driveId);
    expect((await other.send<ErasedIds>('GET', '/api/erased')).body).toEqual({ learners: [], drives: [] });

    // A backup from before brings nobody back.
    await server.stop();
    await restore(server.dataDir, before);
    expect(wordsIn(server.dataDir).length).toBeGreaterThan(0);
    server = await startTestServer(server.dataDir).then((again) => ({ ...again }));
    lead = testClient(server.address);
    await lead.signIn('lead@first.example');
    expect((await lead.send('GET', `/api/learners/${id}`)).status).toBe(404);
    expect(await server.db.selectFrom('learners').select('id').where('id', '=', id).execute()).toEqual([]);
  });
});

describe('learners who are kept too long', () => {
  it('are shown before anything is erased, by the rule of the school, archived ones alone', async () => {
    const { id, name } = await everywhere();
    const preview = async () => (await lead.send<readonly OutOfTime[]>('GET', '/api/retention')).body;
    expect(await preview()).toEqual([]);
    const { body: school } = await lead.send<SchoolView>('GET', '/api/school');
    await lead.send('PUT', '/api/school', { ...school, id: undefined, keepMonths: 12 });
    await lead.send('PUT', `/api/learners/${id}/archived`);
    // Lessons to come keep them.
    expect(await preview()).toEqual([]);
    await server.db.updateTable('lessons').set({ start: '2020-01-01T09:00' }).execute();
    await server.db.updateTable('sheets').set({ date: '2020-02-01' }).execute();
    await server.db.updateTable('drives').set({ started_at: '2020-03-01T09:00:00.000Z' }).execute();
    await server.db.updateTable('learners').set({ created_at: '2019-03-01T09:00:00.000Z' }).execute();
    expect(await preview()).toEqual([{ learnerId: id, name, lastOn: '2020-03-01' }]);
    const { body } = await lead.send<ErasureReceipt[]>('POST', '/api/retention', { learnerIds: [id, 'somebody else'] });
    expect(body).toHaveLength(1);
    expect(await preview()).toEqual([]);
  });
});

describe('a link to a debrief of an erased learner', () => {
  it('shows nothing any more', async () => {
    const { id, name, driveId } = await everywhere();
    const { body: made } = await lead.send<NewShare>('POST', `/api/drives/${driveId}/shares`, { days: 1 });
    const read = () => testClient(server.address).send('GET', `/api${made.path}`);
    expect((await read()).status).toBe(200);
    await lead.send('POST', `/api/learners/${id}/erase`, { name });
    expect((await read()).status).toBe(404);
  });
});
