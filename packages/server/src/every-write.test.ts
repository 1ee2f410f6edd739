import type { FactorSecret, SessionView, SignInView } from '@jasperwren/contract/accounts';
import type { ErrorBody } from '@jasperwren/contract/errors';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { SheetView } from '@jasperwren/contract/sheets';
import type { NewShare } from '@jasperwren/contract/shares';
import { routeNames, routeOf, writes as isWrite } from '@jasperwren/contract/routes';
import type { DraftView } from '@jasperwren/contract/standards';
import { shippedQuestions } from '@jasperwren/core/safety-questions/bank/bank';
import { shippedVehicles } from '@jasperwren/core/safety-questions/vehicles';
import { fullTest } from '@jasperwren/core/drive/testing';
import { standardFile } from '@jasperwren/core/formats/standard-file';
import { tally } from '@jasperwren/core/marking/testing-standards';
import fc from 'fast-check';
import { authenticator } from 'otplib';
import { addPerson, addRoads, password, startTwoSchools, testClient, without, type TestClient } from './testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let first: TestClient;
let second: TestClient;
/** What the first school has, by the names that addresses give it. */
let real: Readonly<Record<string, string>>;
let writes: readonly Write[];
let firstId: string;

/** What was answered to each. */
const answers = new Map<string, unknown>();

/** A request that changes something, with a body that is right; a body of a way with none is left out. */
interface Write {
  readonly route: string;
  readonly body?: Readonly<Record<string, unknown>>;
  /** Where what is right depends on an answer before. */
  readonly late?: () => Readonly<Record<string, unknown>>;
}

const lesson = { start: '2027-01-04T09:00', minutes: 60, goals: [] };
const review = { id: 'r1', question: 'tell.brakes', at: '2026-05-01T10:00:00Z', rating: 'good', mode: 'reveal' };
const sheet = {
  standardId: 'tally',
  standardVersion: tally.version,
  date: '2026-03-02',
  official: 'pass',
  entries: [],
};
const note = { lat: 48, lon: -30, text: 'A van parks at the mouth.', reviewBy: '2027-01-01' };
const timing = { steps: [{ kmh: 0, metres: 150 }], leastSeconds: 7 };
const fix = [1_780_000_000_000, 48, -30, 5, -1];
const stop = { lat: 48, lon: -30, mode: 'directions' };
const keptVan = { id: 'van', kind: 'vehicle', name: 'Our van', body: '{"vehicle":"van"}' };
const run = { id: 'run', name: 'Morning run', source: 'file', standardId: 'timed-yard', columns: 'at_ms,speed_kmh' };
const learner = { name: 'Ada', transmission: 'manual', standardId: 'tally' };

beforeAll(async () => {
  ({ server, first, second } = await startTwoSchools());
  const post = async <T>(path: string, body: object) => {
    const answer = await first.send<T>('POST', path, body);
    expect([path, answer.status]).toEqual([path, answer.status < 300 ? answer.status : 'taken']);
    return answer.body;
  };
  const { id: learnerId } = await post<LearnerView>('/api/learners', learner);
  const { id: accountId } = await addPerson(first, 'colleague@first.example', 'lead');
  const { id: successorId } = await addPerson(first, 'successor@first.example');
  await testClient(server.address).signIn('lead@first.example');
  const signIns = (await first.send<readonly SignInView[]>('GET', '/api/sign-ins')).body;
  const signInId = signIns.find(({ current }) => !current)!.id;
  const events = fullTest([{ type: 'mark', item: 'signs.lights', grade: 'driving' }]).map((event) =>
    event.type === 'started' ? { ...event, learnerId } : event,
  );
  await post('/api/drives/drive/events', { events });
  const { id: sheetId } = await post<SheetView>(`/api/learners/${learnerId}/sheets`, sheet);
  await post('/api/wheels/kept', keptVan);
  await post('/api/yard/runs', run);
  const { id: carId } = await post<{ id: string }>('/api/yard/cars', { name: 'Car 3' });
  const { id: shareId } = await post<NewShare>('/api/drives/drive/shares', { days: 7 });
  const { standard: draft, savedAt } = await post<DraftView>('/api/standards', {
    fromId: 'tally',
    fromVersion: tally.version,
    name: 'Our own',
  });
  const question = without(shippedQuestions[0]!, 'id', 'version');
  const car = without(shippedVehicles[0]!, 'id', 'version');
  const { id: questionId } = await post<{ id: string }>('/api/checks/questions', question);
  const { id: vehicleId } = await post<{ id: string }>('/api/checks/vehicles', car);
  const roads = await addRoads(server, first);
  const otherRoads = await addRoads(server, first);
  const { id: noteId } = await post<{ id: string }>('/api/road-notes', note);
  const route = { name: 'Harbour loop', roadsId: roads.id, stops: [stop, { ...stop, lon: -29.998 }], places: [] };
  const { id: routeId } = await post<{ id: string }>('/api/routes', route);
  const { id: linkId } = await post<NewShare>(`/api/routes/${routeId}/shares`, { days: 7 });
  firstId = (await first.send<SessionView>('GET', '/api/session')).body.school.id;
  real = {
    learnerId,
    accountId,
    signInId,
    driveId: 'drive',
    pinId: 'pin',
    sheetId,
    shareId,
    id: draft.id,
    questionId,
    vehicleId,
    roadsId: roads.id,
    noteId,
    routeId,
    linkId,
    runId: run.id,
    carId,
    keptId: 'van',
  };
  writes = [
    { route: 'POST /api/learners', body: learner },
    { route: 'PUT /api/learners/:learnerId', body: { ...learner, name: 'Ada Again', version: 0 } },
    { route: 'PUT /api/learners/:learnerId/archived' },
    { route: 'DELETE /api/learners/:learnerId/archived' },
    { route: 'POST /api/drives/:driveId/events', body: { events: events.slice(0, 3) } },
    { route: 'POST /api/drives/:driveId/fixes', body: { pieces: [{ id: 'p1', source: 'device', fixes: [fix] }] } },
    {
      route: 'PUT /api/drives/:driveId/trace',
      body: { offsetMs: 1000, trimStart: 0, trimEnd: 0, version: 0 },
    },
    { route: 'DELETE /api/drives/:driveId/trace' },
    { route: 'PUT /api/drives/:driveId/voices/:pinId', body: { type: 'audio/webm', audio: 'AAAA' } },
    { route: 'DELETE /api/drives/:driveId/voices/:pinId' },
    { route: 'POST /api/drives/:driveId/shares', body: { days: 7 } },
    { route: 'POST /api/yard/runs', body: { ...run, id: 'another' } },
    { route: 'DELETE /api/yard/runs/:runId' },
    { route: 'POST /api/yard/cars', body: { name: 'Car 4' } },
    { route: 'DELETE /api/yard/cars/:carId' },
    { route: 'POST /api/wheels/kept', body: { ...keptVan, name: 'The other van' } },
    { route: 'DELETE /api/wheels/kept/:keptId' },
    { route: 'PUT /api/phrases', body: { phrases: ['Look twice'], version: 0 } },
    { route: 'PUT /api/call-timing', body: { instructor: timing, device: { ...timing, againSeconds: 4 }, version: 0 } },
    { route: 'POST /api/routes/:routeId/shares', body: { days: 7 } },
    { route: 'POST /api/learners/:learnerId/sheets', body: sheet },
    { route: 'PUT /api/sheets/:sheetId', body: { ...sheet, official: 'fail', version: 0 } },
    { route: 'PUT /api/free-hours', body: { hours: [{ weekday: 1, from: '09:00', to: '12:00' }], version: 0 } },
    { route: 'PUT /api/learners/:learnerId/lessons', body: { lessons: [lesson], version: 0 } },
    { route: 'POST /api/learners/:learnerId/access', body: { kind: 'code' } },
    { route: 'DELETE /api/learners/:learnerId/access' },
    { route: 'POST /api/learners/:learnerId/reviews', body: { reviews: [{ ...review, missed: [] }] } },
    { route: 'PUT /api/learners/:learnerId/vehicle', body: { vehicleId } },
    { route: 'POST /api/checks/questions', body: question },
    { route: 'PUT /api/checks/questions/:questionId', body: { ...question, ask: 'Another way of asking?' } },
    { route: 'PUT /api/checks/questions/:questionId/retired' },
    { route: 'DELETE /api/checks/questions/:questionId/retired' },
    { route: 'POST /api/checks/vehicles', body: car },
    { route: 'PUT /api/checks/vehicles/:vehicleId', body: { ...car, name: 'Another name' } },
    { route: 'POST /api/road-notes', body: note },
    { route: 'PUT /api/road-notes/:noteId', body: { ...note, text: 'The lines are painted anew.' } },
    { route: 'POST /api/routes', body: { ...route, roadsId: otherRoads.id } },
    { route: 'PUT /api/routes/:routeId', body: { ...route, name: 'Quay loop', version: 0 } },
    { route: 'POST /api/standards', body: { fromId: 'tally', fromVersion: tally.version, name: 'Another' } },
    {
      route: 'POST /api/standards/import',
      body: { source: JSON.stringify(standardFile({ ...tally, id: 'imported' })) },
    },
    { route: 'PUT /api/standards/:id/draft', body: { standard: { ...draft, name: 'Ours' }, savedAt } },
    { route: 'POST /api/standards/:id/publish' },
    { route: 'PUT /api/standards/:id/retired' },
    { route: 'DELETE /api/standards/:id/retired' },
    { route: 'POST /api/accounts', body: { name: 'Bo', email: 'bo@first.example', role: 'instructor' } },
    { route: 'PUT /api/accounts/:accountId', body: { name: 'Colleague', role: 'lead' } },
    { route: 'POST /api/accounts/:accountId/password-link' },
    { route: 'DELETE /api/accounts/:accountId/sign-ins' },
    { route: 'DELETE /api/accounts/:accountId/factor' },
    { route: 'POST /api/accounts/:accountId/hand-over', body: { toAccountId: successorId } },
    { route: 'PUT /api/accounts/:accountId/disabled' },
    { route: 'DELETE /api/accounts/:accountId/disabled' },
    {
      route: 'PUT /api/school',
      body: { name: 'first', place: 'Anywhere', timeZone: 'Etc/UTC', requireFactor: false, version: 0 },
    },
    { route: 'DELETE /api/sign-ins/:signInId' },
    { route: 'DELETE /api/sign-ins' },
    { route: 'POST /api/session/factor', body: { password } },
    {
      route: 'PUT /api/session/factor',
      body: { code: '000000' },
      late: () => ({ code: authenticator.generate((answers.get('POST /api/session/factor') as FactorSecret).secret) }),
    },
    { route: 'POST /api/session/factor/off', body: { password } },
    { route: 'POST /api/retention', body: { learnerIds: [] } },
    { route: 'PUT /api/session/password', body: { current: password, next: 'four green kettles' } },
    { route: 'DELETE /api/drives/:driveId/shares/:shareId' },
    { route: 'DELETE /api/road-notes/:noteId' },
    { route: 'DELETE /api/routes/:routeId/shares/:linkId' },
    { route: 'DELETE /api/routes/:routeId' },
    { route: 'DELETE /api/roads/:roadsId' },
    { route: 'DELETE /api/sheets/:sheetId' },
    { route: 'DELETE /api/standards/:id/draft' },
    { route: 'POST /api/learners/:learnerId/erase', body: { name: 'Ada Again' } },
    { route: 'POST /api/school/close', body: { name: 'first' } },
  ];
});
afterAll(() => server.remove());

const addressOf = (route: string) => route.split(' ')[1]!.replace(/:(\w+)/g, (_, name: string) => real[name] ?? name);
const send = (client: TestClient, { route }: Write, body: unknown) =>
  client.send<ErrorBody | undefined>(route.split(' ')[0]!, addressOf(route), body);

/** Forgetting a draft that is not there is no mistake: somebody else was quicker. */
const answerToNobody = (route: string) => (route === 'DELETE /api/standards/:id/draft' ? 204 : 404);

/** Everything that is kept, sign-ins apart: they are renewed by use. */
async function everything(): Promise<string> {
  await server.settled();
  const tables = await server.db.introspection.getTables();
  const rows = await Promise.all(
    tables
      .filter(({ name }) => name !== 'sessions')
      .map(({ name }) =>
        server.db
          .selectFrom(name as 'learners')
          .selectAll()
          .execute(),
      ),
  );
  // Forgetting a draft that is not there is no mistake: it stands in the trail.
  return JSON.stringify(rows, (_, value: unknown) =>
    Array.isArray(value) ? value.filter((row) => (row as { action?: string }).action !== 'dropDraft') : value,
  );
}

describe('the list of writes', () => {
  it('is that of the router: a new one cannot be forgotten', () => {
    // Learners write to addresses of their own, and signing in is tried out where it lives.
    // Files of roads are sent as they are.
    const elsewhere = (route: string) => /\/api\/(me\b|password-links)| \/api\/session$|POST \/api\/roads$/.test(route);
    const known = routeNames
      .map(routeOf)
      .filter(isWrite)
      .map(({ method, path }) => `${method} ${path}`)
      .filter((route) => !elsewhere(route));
    expect(writes.map(({ route }) => route).sort()).toEqual([...known].sort());
  });
});

describe('nonsense', () => {
  const nonsense = fc.oneof(
    fc.jsonValue({ maxDepth: 2 }),
    fc.constantFrom<unknown>(null, [], {}, '', '{', 'null', { __proto__: null }, { constructor: 1 }, [[[]]]),
  );

  it('is refused in words everywhere, and changes nothing', async () => {
    const before = await everything();
    for (const write of writes) {
      if (!write.body) continue;
      for (const body of fc.sample(nonsense, { numRuns: 12, seed: 7 })) {
        const { status, body: answer } = await send(first, write, JSON.stringify(body));
        // A learner's car may be left open: any object without one says so.
        if (write.route.endsWith('/vehicle') && status < 300) continue;
        expect([write.route, body, status]).toEqual([
          write.route,
          body,
          status >= 400 && status < 500 ? status : '4xx',
        ]);
        expect(answer?.error.message).toMatch(/\w.*[.!?]$/);
        expect(answer?.error.code).toMatch(/^[a-z-]+$/);
      }
    }
    expect(await everything()).toBe(before);
  });

  it('in one field of something right is refused by the name of the field', async () => {
    for (const write of writes) {
      const before = await everything();
      for (const field of Object.keys(write.body ?? {})) {
        for (const value of [{ a: 1 }, [1], -1, 'x'.repeat(3000)]) {
          // Any text may be tried as a file; what is wrong with it has a place in the file then.
          if (field === 'source' && typeof value === 'string') continue;
          // A degree south or west is a place as well.
          if ((field === 'lat' || field === 'lon') && value === -1) continue;
          // Letters are base64 as well.
          if (field === 'audio' && typeof value === 'string') continue;
          // A clock may be fast as well as slow.
          if (field === 'offsetMs' && value === -1) continue;
          const { status, body: answer } = await send(first, write, { ...write.body, [field]: value });
          expect([write.route, field, value, status]).toEqual([write.route, field, value, 422]);
          // Within a standard places are JSON Pointers, the whole of it being the empty one.
          const places = answer?.error.problems?.map((problem) => problem.field.split(/[./[]/)[0]);
          expect(places).toContain(
            field === 'standard' && typeof value === 'object' && !Array.isArray(value) ? '' : field,
          );
        }
      }
      // All of the database is read once for each write: for each value it would take long.
      expect([write.route, (await everything()) === before]).toEqual([write.route, true]);
    }
  });

  it('about something that is not there is refused as such', async () => {
    const before = await everything();
    // A drive begins with its first events: any id that a device made is right.
    for (const { route, body } of writes.filter((write) => /:(?!driveId.events)/.test(write.route))) {
      const [method, path] = route.split(' ') as [string, string];
      const { status, body: answer } = await first.send<ErrorBody>(method, path.replace(/:\w+/g, 'nobody'), body);
      expect([route, status]).toEqual([route, answerToNobody(route)]);
      if (status === 404) expect(answer.error.message).toMatch(/\w.*\.$/);
    }
    expect(await everything()).toBe(before);
  });
});

describe('another school', () => {
  it('changes nothing of the first, at any address', async () => {
    const before = await everything();
    for (const write of writes.filter(({ route }) => route.includes(':'))) {
      const { status } = await send(second, write, write.body);
      expect([write.route, status]).toEqual([write.route, status === 422 ? 422 : answerToNobody(write.route)]);
    }
    expect(await everything()).toBe(before);
  });

  it('reads nothing of the first, at any address', async () => {
    const reads = routeNames
      .map(routeOf)
      .filter(({ method, path }) => method === 'GET' && /:\w+Id/.test(path) && !path.includes('/api/me'))
      .map(({ path }) => `GET ${path}`);
    expect(reads.length).toBeGreaterThan(10);
    for (const route of reads) {
      const { status, body } = await second.send('GET', addressOf(route));
      // A drive that is still on its way has no links and no trace yet, what nobody changed has no versions, and where
      // nobody drove there is no fault.
      const empty = /(shares|versions|trace|faults)$/.test(route);
      const none = status === 200 && empty ? (body ?? []) : [];
      expect([route, status, none]).toEqual([route, empty ? 200 : 404, []]);
    }
  });
});

describe('something right', () => {
  it('is taken, each in its turn, and leaves a line of the audit trail in the same transaction', async () => {
    for (const write of writes) {
      const { status, body } = await send(first, write, write.late?.() ?? write.body);
      expect([write.route, status, body?.error]).toEqual([write.route, status < 300 ? status : 'taken', undefined]);
      answers.set(write.route, body);
      // A school that is closed takes its trail with it.
      if (write.route === 'POST /api/school/close') break;
      const name = routeNames.find((one) => `${routeOf(one).method} ${routeOf(one).path}` === write.route);
      const line = await server.db
        .selectFrom('audit')
        .selectAll()
        .orderBy('id', 'desc')
        .limit(1)
        .executeTakeFirstOrThrow();
      expect([write.route, line.action, line.address]).toEqual([write.route, name, '127.0.0.1']);
      if (write.route.includes('/learners/') && !write.route.endsWith('/erase'))
        expect([write.route, line.learner_id]).toEqual([write.route, real['learnerId']]);
    }
    expect(await server.db.selectFrom('audit').selectAll().where('school_id', '=', firstId).execute()).toEqual([]);
    expect(await server.db.selectFrom('schools').select('name').execute()).toEqual([{ name: 'second' }]);
  });
});
