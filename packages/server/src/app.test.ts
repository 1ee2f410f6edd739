import type { DriveView } from '@jasperwren/contract/drives';
import type { LearnerView } from '@jasperwren/contract/learners';
import { fullTest } from '@jasperwren/core/drive/testing';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { parseDriveRecords } from '@jasperwren/core/formats/drive-record';
import { readdirSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { backUp, restore } from './db/backup';
import { createDatabase, openDatabase } from './db/database';
import { takeFolder } from './db/lock';
import { addPerson, password, startTestServer, testClient, type TestClient } from './testing';

let server: Awaited<ReturnType<typeof startTestServer>>;
let first: TestClient;
let second: TestClient;

beforeAll(async () => {
  server = await startTestServer();
  first = testClient(server.address);
  second = testClient(server.address);
  await first.signIn('lead@first.example');
  await second.signIn('lead@second.example');
});

afterAll(() => server.remove());

const ada = { name: 'Ada', transmission: 'manual', standardId: 'tally' };
const addAda = async (client = first) => (await client.send<LearnerView>('POST', '/api/learners', ada)).body;
const logFor = (learnerId: string, marks = 3): DriveEvent[] =>
  fullTest(
    Array.from({ length: marks }, () => ({ type: 'mark', item: 'junctions.observation', grade: 'driving' }) as const),
  ).map((event) => (event.type === 'started' ? { ...event, learnerId } : event));
let drives = 0;
const newDrive = () => `drive-${drives++}`;

describe('sign-in', () => {
  it('refuses a wrong password and an unknown address in the same words', async () => {
    const client = testClient(server.address);
    const wrong = await client.signIn('lead@first.example', 'not this one');
    const unknown = await client.signIn('nobody@first.example');
    expect([wrong.status, unknown.status]).toEqual([401, 401]);
    expect(wrong.body).toEqual(unknown.body);
  });

  it('sends a cookie that scripts and other sites cannot use', async () => {
    const { headers } = await testClient(server.address).signIn('lead@first.example');
    const cookie = headers
      .getSetCookie()
      .find((c) => c.startsWith('jasperwren='))!
      .toLowerCase();
    expect(cookie).toContain('httponly');
    expect(cookie).toContain('samesite=strict');
  });

  it('slows down guessing, and says when it opens again', async () => {
    const client = testClient(server.address);
    for (let i = 0; i < 5; i++) await client.signIn('guessed@first.example', 'guess');
    const blocked = await client.signIn('guessed@first.example', 'guess');
    expect(blocked.status).toBe(429);
    expect(Number(blocked.headers.get('retry-after'))).toBeGreaterThan(0);
  });

  it('slows down guessing in parallel too: tries are counted before they are worked on', async () => {
    const tries = await Promise.all(
      Array.from({ length: 100 }, () => testClient(server.address).signIn('parallel@first.example', 'guess')),
    );
    expect(tries.filter(({ status }) => status === 401)).toHaveLength(5);
    expect(tries.filter(({ status }) => status === 429)).toHaveLength(95);
  });

  it('slows down guessing the present password of somebody signed in', async () => {
    const client = testClient(server.address);
    await client.signIn('lead@second.example');
    const change = () =>
      client.send('PUT', '/api/session/password', { current: 'guess guess guess', next: 'another long one' });
    for (let i = 0; i < 5; i++) expect((await change()).status).not.toBe(429);
    expect((await change()).status).toBe(429);
  });

  it('reads no large body from whoever is not signed in, and no body of very many fields from anybody', async () => {
    const fields = Object.fromEntries(Array.from({ length: 40_000 }, (_, i) => [`field${i}`, i]));
    const stranger = testClient(server.address);
    expect(
      await stranger.send('POST', '/api/session', { email: 'a@b.example', password: 'x', ...fields }),
    ).toMatchObject({
      status: 413,
      body: { error: { code: 'too-large' } },
    });
    expect((await first.send('POST', '/api/learners', { ...ada, ...fields })).status).toBe(422);
    let deep: unknown = 1;
    for (let i = 0; i < 500; i++) deep = [deep];
    expect((await first.send('POST', '/api/learners', { ...ada, notes: deep })).status).toBe(422);
  });

  it('is answered while somebody sends a body byte by byte, whose length must be told before', async () => {
    const { port } = new URL(server.address);
    const slow = connect(Number(port), '127.0.0.1');
    await new Promise((resolve) => slow.once('connect', resolve));
    slow.write(
      'POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\nContent-Length: 60\r\n\r\n{',
    );
    expect((await testClient(server.address).signIn('lead@first.example')).status).toBe(200);
    slow.destroy();
    const chunked = connect(Number(port), '127.0.0.1');
    chunked.write('POST /api/session HTTP/1.1\r\nHost: x\r\nTransfer-Encoding: chunked\r\n\r\n1\r\n{\r\n');
    const answer = await new Promise<string>((resolve) => chunked.once('data', (data) => resolve(data.toString())));
    expect(answer).toMatch(/^HTTP\/1\.1 413/);
    chunked.destroy();
  });

  it('ends with sign-out', async () => {
    const client = testClient(server.address);
    await client.signIn('lead@first.example');
    expect((await client.send('DELETE', '/api/session')).status).toBe(204);
    expect((await client.send('GET', '/api/learners')).status).toBe(401);
  });

  it('refuses changes without the token, and from another origin', async () => {
    expect((await first.send('POST', '/api/learners', ada, { 'x-csrf-token': 'forged' })).status).toBe(403);
    expect((await first.send('POST', '/api/learners', ada, { origin: 'https://elsewhere.example' })).status).toBe(403);
  });

  it('changes a password only for who knows the present one, and ends other sign-ins', async () => {
    const [client, other] = [testClient(server.address), testClient(server.address)];
    await addPerson(first, 'bo@first.example');
    for (const c of [client, other]) await c.signIn('bo@first.example');
    const change = (current: string, next: string) => client.send('PUT', '/api/session/password', { current, next });
    expect((await change('wrong', 'four yellow teapots')).status).toBe(422);
    // Long enough, and yet on every list of common ones; or made of what everybody knows.
    for (const common of ['passwordpassword', '123456789012', 'bo@first.example'])
      expect([common, (await change(password, common)).status]).toEqual([common, 422]);
    expect((await change(password, 'four yellow teapots')).status).toBe(204);
    expect((await client.send('GET', '/api/session')).status).toBe(200);
    expect((await other.send('GET', '/api/session')).status).toBe(401);
  });

  it('lets only a lead add accounts, and an address be used once', async () => {
    const account = { name: 'Cy', email: 'cy@first.example', role: 'instructor' };
    await addPerson(first, account.email);
    expect((await second.send('POST', '/api/accounts', account)).status).toBe(409);
    const cy = testClient(server.address);
    await cy.signIn('cy@first.example');
    expect((await cy.send('POST', '/api/accounts', { ...account, email: 'di@first.example' })).status).toBe(403);
  });
});

describe('learners', () => {
  it('are kept, edited, archived and brought back', async () => {
    const { id, version } = await addAda();
    await first.send('PUT', `/api/learners/${id}`, { ...ada, name: 'Ada B', testDate: '2027-01-15', version });
    expect((await first.send<LearnerView>('GET', `/api/learners/${id}`)).body).toMatchObject({
      name: 'Ada B',
      testDate: '2027-01-15',
    });
    await first.send('PUT', `/api/learners/${id}/archived`);
    const ids = async (query: string) =>
      (await first.send<LearnerView[]>('GET', `/api/learners${query}`)).body.map((l) => l.id);
    expect(await ids('')).not.toContain(id);
    expect(await ids('?archived=1')).toContain(id);
    await first.send('DELETE', `/api/learners/${id}/archived`);
    expect(await ids('')).toContain(id);
  });

  it('are not written over by who has an older version open: both are shown', async () => {
    const { id, version } = await addAda();
    const put = (name: string, of: number) => first.send('PUT', `/api/learners/${id}`, { ...ada, name, version: of });
    expect((await put('First', version)).status).toBe(200);
    expect(await put('Second', version)).toMatchObject({
      status: 409,
      body: { error: { code: 'stale', current: { name: 'First', version: version + 1 } } },
    });
    expect((await put('Second', version + 1)).status).toBe(200);
  });

  it('are refused with the fields that are wrong', async () => {
    expect(await first.send('POST', '/api/learners', { ...ada, name: '', testDate: 'soon' })).toMatchObject({
      status: 422,
      body: { error: { code: 'invalid', problems: [{ field: 'name' }, { field: 'testDate' }] } },
    });
    expect(await first.send('POST', '/api/learners', { ...ada, standardId: 'homemade' })).toMatchObject({
      status: 422,
      body: { error: { problems: [{ field: 'standardId' }] } },
    });
    expect((await first.send('POST', '/api/learners', '{"name":')).status).toBe(400);
  });
});

describe('another school', () => {
  it('finds nothing at any address of ours', async () => {
    const { id } = await addAda();
    const drive = newDrive();
    await first.send('POST', `/api/drives/${drive}/events`, { events: logFor(id) });
    const tries: [string, string, unknown?][] = [
      ['GET', `/api/learners/${id}`],
      ['PUT', `/api/learners/${id}`, { ...ada, version: 0 }],
      ['PUT', `/api/learners/${id}/archived`],
      ['DELETE', `/api/learners/${id}/archived`],
      ['GET', `/api/learners/${id}/drives`],
      ['GET', `/api/drives/${drive}`],
      ['GET', `/api/drives/${drive}/record`],
      ['POST', `/api/drives/${newDrive()}/events`, { events: logFor(id) }],
    ];
    for (const [method, path, body] of tries)
      expect([path, (await second.send(method, path, body)).status]).toEqual([path, 404]);
    expect((await first.send<LearnerView>('GET', `/api/learners/${id}`)).body.name).toBe('Ada');
    expect((await second.send<unknown[]>('GET', '/api/drives')).body).toEqual([]);
  });

  it('may use the same drive id without meeting ours', async () => {
    const [ours, theirs] = [await addAda(first), await addAda(second)];
    const drive = newDrive();
    await first.send('POST', `/api/drives/${drive}/events`, { events: logFor(ours.id, 2) });
    await second.send('POST', `/api/drives/${drive}/events`, { events: logFor(theirs.id, 5) });
    const marks = async (client: TestClient) =>
      (await client.send<DriveView>('GET', `/api/drives/${drive}`)).body.summary.byGrade['driving'];
    expect([await marks(first), await marks(second)]).toEqual([2, 5]);
  });
});

describe('events', () => {
  it('are taken once each, in any batches, and judged', async () => {
    const { id } = await addAda();
    const drive = newDrive();
    const log = logFor(id, 16);
    const [head, tail] = [log.slice(0, 9), log.slice(5)];
    for (const events of [head, tail, tail, head]) {
      const { body } = await first.send<{ accepted: string[] }>('POST', `/api/drives/${drive}/events`, { events });
      expect(body.accepted).toEqual(events.map((event) => event.id));
    }
    const { body } = await first.send<DriveView>('GET', `/api/drives/${drive}`);
    expect(body.events).toHaveLength(log.length);
    expect(body.summary).toMatchObject({
      outcome: 'fail',
      detail: {
        outcome: 'fail',
        stops: [],
        crossed: [{ kind: 'amount', amount: { grades: [{ name: 'driving faults', n: 16 }] }, allowed: 15 }],
      },
      drivenMs: 2_400_000,
    });
    expect(body.standard.id).toBe('tally');
  });

  it('wait for the start of their drive', async () => {
    const { id } = await addAda();
    const [start, ...rest] = logFor(id);
    const drive = newDrive();
    expect((await first.send('POST', `/api/drives/${drive}/events`, { events: rest })).status).toBe(409);
    expect((await first.send('POST', `/api/drives/${drive}/events`, { events: [start] })).status).toBe(200);
    expect((await first.send('POST', `/api/drives/${drive}/events`, { events: rest })).status).toBe(200);
  });

  it('are refused, not stumbled over, where a moment or a text is none', async () => {
    const { id } = await addAda();
    const [start, ...rest] = logFor(id);
    const leap = { ...start!, wall: '2026-06-30T23:59:60Z' };
    const sent = await first.send('POST', `/api/drives/${newDrive()}/events`, { events: [leap, ...rest] });
    expect([sent.status, 422, 200]).toContain(sent.status);
    expect(sent.status).toBeLessThan(500);
    const review = { id: 'r', question: 'tell.oil', rating: 'good', mode: 'reveal', missed: [] };
    const at = (moment: string) =>
      first.send('POST', `/api/learners/${id}/reviews`, { reviews: [{ ...review, at: moment }] });
    expect((await at('2026-06-30T23:59:60Z')).status).toBe(422);
    expect((await first.send('GET', '/api/checks/board')).status).toBe(200);
    expect(await first.send('POST', '/api/learners', { ...ada, notes: 'null\u0000byte' })).toMatchObject({
      status: 422,
      body: { error: { problems: [{ field: 'notes' }] } },
    });
    expect((await first.send('POST', '/api/learners', { ...ada, name: 'half \ud83d' })).status).toBe(422);
    expect((await first.send('POST', '/api/learners', { ...ada, notes: 'two\r\nlines\tand 🚗' })).status).toBe(201);
  });

  it('are taken all or none', async () => {
    const { id } = await addAda();
    const drive = newDrive();
    const log = logFor(id);
    const spoilt = log.map((event, i) => (i === 3 ? { ...event, atMs: -1 } : event));
    expect(await first.send('POST', `/api/drives/${drive}/events`, { events: spoilt })).toMatchObject({
      status: 422,
      body: { error: { problems: [{ field: 'events.3.atMs' }] } },
    });
    expect((await first.send('GET', `/api/drives/${drive}`)).status).toBe(404);
  });

  it('are on disk when acknowledged: another process reads them at once', async () => {
    const { id } = await addAda();
    const drive = newDrive();
    await first.send('POST', `/api/drives/${drive}/events`, { events: logFor(id) });
    const again = await openDatabase(server.dataDir);
    const rows = await again.selectFrom('events').select('id').where('drive_id', '=', drive).execute();
    expect(rows).toHaveLength(logFor(id).length);
    await again.destroy();
  });

  it('leave as a record that the open format accepts', async () => {
    const { id } = await addAda();
    const drive = newDrive();
    await first.send('POST', `/api/drives/${drive}/events`, { events: logFor(id) });
    const { body } = await first.send('GET', `/api/drives/${drive}/record`);
    expect(parseDriveRecords(JSON.stringify(body))).toMatchObject({ ok: true });
  });
});

describe('the server', () => {
  it('answers its health, and one shape of error for what is not there', async () => {
    expect(await first.send('GET', '/healthz')).toMatchObject({ status: 200, body: { ok: true } });
    expect(await first.send('GET', '/api/nothing')).toMatchObject({
      status: 404,
      body: { error: { code: 'not-found' } },
    });
    expect((await first.send('GET', '/healthz')).headers.get('content-security-policy')).toContain(
      "default-src 'self'",
    );
  });

  it('says which port is in use and what to do', async () => {
    const { serve } = await import('./serve');
    const port = Number(new URL(server.address).port);
    const config = {
      host: '127.0.0.1',
      port,
      dataDir: server.dataDir,
      demo: false,
      secureCookies: false,
      proxies: 0,
      backupEveryH: 0,
      backupDir: server.dataDir,
      backupKeep: 1,
      logLevel: 'silent',
    };
    await expect(serve(config, server.dataDir)).rejects.toThrow('A server is running on the data folder');
    const elsewhere = { ...config, dataDir: join(server.dataDir, 'second') };
    await createDatabase(elsewhere.dataDir);
    await expect(serve(elsewhere, server.dataDir)).rejects.toThrow(`Port ${port} is in use by another program.`);
    // What was taken for the try is given back.
    takeFolder(elsewhere.dataDir)();
  });

  it('backs up while it runs, and restores only what is sound', async () => {
    const { id } = await addAda();
    const file = join(server.dataDir, 'copy.sqlite');
    await backUp(server.dataDir, file);
    await expect(backUp(server.dataDir, file)).rejects.toThrow('exists already');
    const broken = join(server.dataDir, 'broken.sqlite');
    writeFileSync(broken, 'not a database, but long enough to be taken for one at first sight');
    const elsewhere = join(server.dataDir, 'elsewhere');
    await expect(restore(elsewhere, broken)).rejects.toThrow('not a sound backup');
    expect(readdirSync(elsewhere)).toEqual([]);
    await restore(elsewhere, file);
    const restored = await startTestServer(elsewhere);
    const client = testClient(restored.address);
    await client.signIn('lead@first.example');
    expect((await client.send('GET', `/api/learners/${id}`)).status).toBe(200);
    await restored.stop();
  });
});
