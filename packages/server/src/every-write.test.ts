import type { AccountView } from '@jasperwren/contract/accounts';
import type { ErrorBody } from '@jasperwren/contract/errors';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { SheetView } from '@jasperwren/contract/sheets';
import type { NewShare } from '@jasperwren/contract/shares';
import type { DraftView } from '@jasperwren/contract/standards';
import { shippedQuestions } from '@jasperwren/core/checks/bank/bank';
import { shippedVehicles } from '@jasperwren/core/checks/vehicles';
import { fullTest } from '@jasperwren/core/drive/testing';
import { standardFile } from '@jasperwren/core/formats/standard-file';
import { tally } from '@jasperwren/core/marking/templates/tally';
import fc from 'fast-check';
import { routers } from './app';
import { password, startTwoSchools, without, type TestClient } from './testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let first: TestClient;
let second: TestClient;
/** What the first school has, by the names that addresses give it. */
let real: Readonly<Record<string, string>>;
let writes: readonly Write[];

/** A request that changes something, with a body that is right; a body of a way with none is left out. */
interface Write {
  readonly route: string;
  readonly body?: Readonly<Record<string, unknown>>;
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
const learner = { name: 'Ada', transmission: 'manual', standardId: 'tally' };

beforeAll(async () => {
  ({ server, first, second } = await startTwoSchools());
  const post = async <T>(path: string, body: object) => {
    const answer = await first.send<T>('POST', path, body);
    expect([path, answer.status]).toEqual([path, answer.status < 300 ? answer.status : 'taken']);
    return answer.body;
  };
  const { id: learnerId } = await post<LearnerView>('/api/learners', learner);
  const events = fullTest([{ type: 'mark', item: 'signs.lights', grade: 'driving' }]).map((event) =>
    event.type === 'started' ? { ...event, learnerId } : event,
  );
  await post('/api/drives/drive/events', { events });
  const { id: sheetId } = await post<SheetView>(`/api/learners/${learnerId}/sheets`, sheet);
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
  real = { learnerId, driveId: 'drive', sheetId, shareId, id: draft.id, questionId, vehicleId };
  writes = [
    { route: 'POST /api/learners', body: learner },
    { route: 'PUT /api/learners/:learnerId', body: { ...learner, name: 'Ada Again' } },
    { route: 'PUT /api/learners/:learnerId/archived' },
    { route: 'DELETE /api/learners/:learnerId/archived' },
    { route: 'POST /api/drives/:driveId/events', body: { events: events.slice(0, 3) } },
    { route: 'POST /api/drives/:driveId/shares', body: { days: 7 } },
    { route: 'POST /api/learners/:learnerId/sheets', body: sheet },
    { route: 'PUT /api/sheets/:sheetId', body: { ...sheet, official: 'fail' } },
    { route: 'PUT /api/free-hours', body: { hours: [{ weekday: 1, from: '09:00', to: '12:00' }] } },
    { route: 'PUT /api/learners/:learnerId/lessons', body: { lessons: [lesson] } },
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
    { route: 'POST /api/standards', body: { fromId: 'tally', fromVersion: tally.version, name: 'Another' } },
    {
      route: 'POST /api/standards/import',
      body: { source: JSON.stringify(standardFile({ ...tally, id: 'imported' })) },
    },
    { route: 'PUT /api/standards/:id/draft', body: { standard: { ...draft, name: 'Ours' }, savedAt } },
    { route: 'POST /api/standards/:id/publish' },
    { route: 'PUT /api/standards/:id/retired' },
    { route: 'DELETE /api/standards/:id/retired' },
    {
      route: 'POST /api/accounts',
      body: { name: 'Bo', email: 'bo@first.example', role: 'instructor', password } satisfies Omit<
        AccountView,
        'id'
      > & {
        password: string;
      },
    },
    { route: 'PUT /api/session/password', body: { current: password, next: 'four green kettles' } },
    { route: 'DELETE /api/drives/:driveId/shares/:shareId' },
    { route: 'DELETE /api/sheets/:sheetId' },
    { route: 'DELETE /api/standards/:id/draft' },
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
  return JSON.stringify(rows);
}

describe('the list of writes', () => {
  it('is that of the router: a new one cannot be forgotten', () => {
    // Learners write to addresses of their own, and signing in is tried out where it lives.
    const elsewhere = (route: string) => route.includes('/api/me') || route.endsWith(' /api/session');
    const known = routers(server.db, {})
      .flatMap(({ stack }) =>
        stack.flatMap(({ path, methods }) => methods.map((method) => `${method} ${String(path)}`)),
      )
      .filter((route) => /^(POST|PUT|DELETE) /.test(route) && !elsewhere(route));
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
      for (const field of Object.keys(write.body ?? {})) {
        for (const value of [{ a: 1 }, [1], -1, 'x'.repeat(3000)]) {
          // Any text may be tried as a file; what is wrong with it has a place in the file then.
          if (field === 'source' && typeof value === 'string') continue;
          const before = await everything();
          const { status, body: answer } = await send(first, write, { ...write.body, [field]: value });
          expect([write.route, field, value, status]).toEqual([write.route, field, value, 422]);
          // Within a standard places are JSON Pointers, the whole of it being the empty one.
          const places = answer?.error.problems?.map((problem) => problem.field.split(/[./[]/)[0]);
          expect(places).toContain(
            field === 'standard' && typeof value === 'object' && !Array.isArray(value) ? '' : field,
          );
          expect(await everything()).toBe(before);
        }
      }
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
    const reads = routers(server.db, {})
      .flatMap(({ stack }) => stack.map(({ path, methods }) => ({ path: String(path), methods })))
      .filter(({ path, methods }) => methods.includes('GET') && /:\w+Id/.test(path) && !path.includes('/api/me'))
      .map(({ path }) => `GET ${path}`);
    expect(reads.length).toBeGreaterThan(10);
    for (const route of reads) {
      const { status, body } = await second.send('GET', addressOf(route));
      // A drive that is still on its way has no links yet, and what nobody changed has no versions.
      const none = status === 200 && /shares$|versions$/.test(route) ? body : [];
      expect([route, status, none]).toEqual([route, /shares$|versions$/.test(route) ? 200 : 404, []]);
    }
  });
});

describe('something right', () => {
  it('is taken, each in its turn', async () => {
    for (const write of writes) {
      const { status, body } = await send(first, write, write.body);
      expect([write.route, status, body?.error]).toEqual([write.route, status < 300 ? status : 'taken', undefined]);
    }
  });
});
