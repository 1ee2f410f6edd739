import type { MeView, MyDebrief } from '@jasperwren/contract/me';
import type { AccessCode } from '@jasperwren/contract/access';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { NewShare, SharedDebrief } from '@jasperwren/contract/shares';
import type { Route } from '@jasperwren/contract/route';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import type { Review } from '@jasperwren/core/safety-questions/memory';
import { fullTest } from '@jasperwren/core/drive/testing';
import { addPerson, startTestServer, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTestServer>>;
let lead: TestClient;
const client = () => testClient(server.address);

beforeAll(async () => {
  server = await startTestServer();
  lead = client();
  await lead.signIn('lead@first.example');
});
afterAll(() => server.remove());

const addLearner = async (name: string) =>
  (await lead.send<LearnerView>('POST', '/api/learners', { name, transmission: 'manual', standardId: 'tally' })).body
    .id;
const codeFor = async (learnerId: string, kind = 'code') =>
  (await lead.send<AccessCode>('POST', `/api/learners/${learnerId}/access`, { kind })).body;

/** A learner of the first school, signed in by a code. */
async function learner(name: string) {
  const id = await addLearner(name);
  const own = client();
  const { code } = await codeFor(id);
  const { status, body } = await own.takeToken<MeView>('POST', '/api/me/session', { code });
  expect(status).toBe(200);
  return { id, send: own.send, view: body };
}
const reviewOf = (id: string, question = 'tell.brakes'): Review => ({
  id,
  question,
  at: '2026-05-01T10:00:00Z',
  rating: 'good',
  mode: 'reveal',
  missed: [],
});
let drives = 0;
async function sharedDrive(learnerId: string) {
  const driveId = `role-drive-${drives++}`;
  const events = fullTest([{ type: 'mark', item: 'signs.lights', grade: 'driving' }]).map((event) => ({
    ...(event.type === 'started' ? { ...event, learnerId } : event),
    id: `${driveId}-${event.id}`,
  }));
  await lead.send('POST', `/api/drives/${driveId}/events`, { events });
  return { driveId, share: (await lead.send<NewShare>('POST', `/api/drives/${driveId}/shares`, { days: 7 })).body };
}

/** Every route there is: a new one is in here by itself. */
const all = routeNames.map(routeOf);
const nameOf = ({ method, path }: Route) => `${method} ${path}`;
/** What needs no sign-in. Short on purpose. */
const open = new Set([
  'GET /api/welcome',
  'GET /api/session',
  'POST /api/session',
  'DELETE /api/session',
  'GET /api/password-links/:token',
  'POST /api/password-links/:token',
  'GET /api/shared/:token',
  'GET /api/shared/:token/road',
  'GET /api/shared-routes/:token',
  'POST /api/me/session',
]);
const closed = all.filter((route) => !open.has(nameOf(route)));

describe('every route', () => {
  it('is known to these tests, and the open ones are still there', () => {
    expect(all.length).toBeGreaterThan(80);
    expect(
      all
        .filter(({ who }) => who === 'anybody')
        .map(nameOf)
        .sort(),
    ).toEqual([...open].sort());
  });

  it('for leads is closed to an instructor', async () => {
    await addPerson(lead, 'plain@first.example');
    const instructor = client();
    await instructor.signIn('plain@first.example');
    for (const route of all.filter(({ who }) => who === 'lead')) {
      const address = route.path.replace(/:\w+/g, 'x');
      const { status } = await instructor.send(route.method, address, route.method === 'GET' ? undefined : {});
      expect([nameOf(route), status]).toEqual([nameOf(route), 403]);
    }
  });

  it('is closed to nobody in particular', async () => {
    for (const { method, path } of closed) {
      const { status } = await client().send(method, path.replace(/:\w+/g, 'x'), method === 'GET' ? undefined : {});
      expect([`${method} ${path}`, status]).toEqual([`${method} ${path}`, 401]);
    }
  });

  it('is closed to a learner, save those that know no learner but the one signed in', async () => {
    const [own, other] = [await learner('Own Learner'), await learner('Other Person')];
    const { driveId, share } = await sharedDrive(other.id);
    await lead.send('POST', `/api/learners/${other.id}/reviews`, { reviews: [reviewOf('theirs', 'tell.oil')] });
    const real: Readonly<Record<string, string>> = { learnerId: other.id, driveId, shareId: share.id };
    for (const { method, path } of closed) {
      const address = path.replace(/:(\w+)/g, (_, name: string) => real[name] ?? 'x');
      const { status, body } = await own.send(method, address, method === 'GET' ? undefined : {});
      const route = `${method} ${path}`;
      if (path.startsWith('/api/me')) {
        expect(path).not.toContain('learner');
        expect([route, status < 500 && status !== 401]).toEqual([route, true]);
        expect(JSON.stringify(body)).not.toMatch(/Other|theirs|tell\.oil/);
      } else {
        expect([route, status]).toEqual([route, 403]);
      }
    }
  });

  it('of a learner is closed to an instructor: they have addresses of their own', async () => {
    for (const { method, path } of closed.filter((route) => route.path.startsWith('/api/me'))) {
      const { status } = await lead.send(method, path.replace(/:\w+/g, 'x'), method === 'GET' ? undefined : {});
      expect([path, status]).toEqual([path, 401]);
    }
  });
});

describe('a learner', () => {
  it('sees their own drill, and nobody else’s', async () => {
    const [ada, bo] = [await learner('Ada Learner'), await learner('Bo Learner')];
    expect((await ada.send('POST', '/api/me/reviews', { reviews: [reviewOf('a1'), reviewOf('a1')] })).status).toBe(200);
    expect((await ada.send<Review[]>('GET', '/api/me/reviews')).body.map(({ id }) => id)).toEqual(['a1']);
    expect((await bo.send<Review[]>('GET', '/api/me/reviews')).body).toEqual([]);
    // The same id from another learner is another answer.
    await bo.send('POST', '/api/me/reviews', { reviews: [reviewOf('a1', 'tell.oil')] });
    expect((await ada.send<Review[]>('GET', '/api/me/reviews')).body[0]?.question).toBe('tell.brakes');
    expect((await lead.send<Review[]>('GET', `/api/learners/${ada.id}/reviews`)).body).toHaveLength(1);
  });

  it('reads the debriefs shared with them until the link is taken back', async () => {
    const ada = await learner('Ada Learner');
    const { driveId, share } = await sharedDrive(ada.id);
    expect((await ada.send<MyDebrief[]>('GET', '/api/me/debriefs')).body).toHaveLength(1);
    expect((await ada.send<SharedDebrief>('GET', `/api/me/debriefs/${share.id}`)).body.firstName).toBe('Ada');
    await lead.send('DELETE', `/api/drives/${driveId}/shares/${share.id}`);
    expect((await ada.send<MyDebrief[]>('GET', '/api/me/debriefs')).body).toEqual([]);
    expect((await ada.send('GET', `/api/me/debriefs/${share.id}`)).status).toBe(404);
  });

  it('is known by no more than a first name', async () => {
    const { view } = await learner('Carla Secretname');
    expect(view).toMatchObject({ firstName: 'Carla', school: 'first', workOn: [] });
    expect(JSON.stringify(view)).not.toContain('Secretname');
  });

  it('loses the sign-in when the instructor ends it, and when archived', async () => {
    const ada = await learner('Ada Learner');
    await lead.send('DELETE', `/api/learners/${ada.id}/access`);
    expect((await ada.send('GET', '/api/me')).status).toBe(401);
    const bo = await learner('Bo Learner');
    await lead.send('PUT', `/api/learners/${bo.id}/archived`);
    expect((await bo.send('GET', '/api/me')).status).toBe(401);
    expect((await lead.send('POST', `/api/learners/${bo.id}/access`, { kind: 'code' })).status).toBe(409);
  });
});

describe('a code', () => {
  it('works once, in any way of writing it', async () => {
    const { code, path } = await codeFor(await addLearner('Dora Learner'), 'invitation');
    expect(path).toContain(code);
    const spoken = ` ${code.toLowerCase().replaceAll('-', ' ')} `;
    expect((await client().send('POST', '/api/me/session', { code: spoken })).status).toBe(200);
    expect((await client().send('POST', '/api/me/session', { code })).status).toBe(401);
  });

  it('runs out', async () => {
    const { code } = await codeFor(await addLearner('Emil Learner'));
    await server.db.updateTable('access_codes').set({ expires_at: '2026-01-01T00:00:00.000Z' }).execute();
    expect((await client().send('POST', '/api/me/session', { code })).status).toBe(401);
  });

  it('cannot be read out of the database', async () => {
    const { code } = await codeFor(await addLearner('Fay Learner'));
    const rows = JSON.stringify(await server.db.selectFrom('access_codes').selectAll().execute());
    expect(rows).not.toContain(code);
    expect(rows).not.toContain(code.replaceAll('-', ''));
  });

  it('takes the place of whoever was signed in on the same device', async () => {
    const { code } = await codeFor(await addLearner('Gil Learner'));
    const shared = client();
    await shared.signIn('lead@first.example');
    expect((await shared.takeToken('POST', '/api/me/session', { code })).status).toBe(200);
    expect((await shared.send('GET', '/api/learners')).status).toBe(403);
  });

  it('cannot be guessed for long', async () => {
    const wrong = () => client().send('POST', '/api/me/session', { code: 'AAAA-AAAA' });
    for (let i = 0; i < 10; i++) await wrong();
    expect((await wrong()).status).toBe(429);
  });
});
