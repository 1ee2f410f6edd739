import type {
  FactorSecret,
  PasswordLink,
  PersonView,
  RecoveryCodes,
  SessionView,
  SignInView,
} from '@jasperwren/contract/accounts';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { LessonsView } from '@jasperwren/contract/lessons';
import type { SchoolView } from '@jasperwren/contract/school';
import { authenticator } from 'otplib';
import { callNow } from '../call';
import { addPerson, password, startTwoSchools, testClient, type TestClient } from '../testing';
import { recoverAccount } from './recover';
import { stepOf } from './second-factor';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let lead: TestClient;

beforeAll(async () => {
  ({ server, first: lead } = await startTwoSchools());
});
afterAll(() => server.remove());

const people = async () => (await lead.send<readonly PersonView[]>('GET', '/api/people')).body;
const client = () => testClient(server.address);
async function signedIn(email: string) {
  const own = client();
  expect((await own.signIn(email)).status).toBe(200);
  return own;
}
const choose = ({ path }: PasswordLink, chosen: string) =>
  client().send('POST', `/api/password-links/${path.replace('/password/', '')}`, { password: chosen });

describe('somebody who is invited', () => {
  it('chooses their password by a link, once, and not a common one', async () => {
    const { body } = await lead.send<{ id: string; link: PasswordLink }>('POST', '/api/accounts', {
      name: 'Ida Invited',
      email: 'ida@first.example',
      role: 'instructor',
    });
    expect((await people()).find(({ id }) => id === body.id)).toMatchObject({ joined: false, learners: 0 });
    expect((await client().signIn('ida@first.example', '')).status).toBe(422);
    expect((await client().signIn('ida@first.example', 'anything at all')).status).toBe(401);
    const token = body.link.path.replace('/password/', '');
    expect((await client().send('GET', `/api/password-links/${token}`)).body).toEqual({
      name: 'Ida Invited',
      email: 'ida@first.example',
      school: 'first',
    });
    expect((await choose(body.link, 'qwertyuiopas')).status).toBe(422);
    expect((await choose(body.link, password)).status).toBe(204);
    expect((await choose(body.link, 'four green kettles')).status).toBe(404);
    expect((await client().signIn('ida@first.example')).status).toBe(200);
    expect(JSON.stringify(await server.db.selectFrom('password_links').selectAll().execute())).not.toContain(token);
  });

  it('finds a link that has run out, or was replaced by a newer one, closed', async () => {
    const { id } = await addPerson(lead, 'jo@first.example');
    const link = async () => (await lead.send<PasswordLink>('POST', `/api/accounts/${id}/password-link`)).body;
    const [older, newer] = [await link(), await link()];
    expect((await choose(older, 'four green kettles')).status).toBe(404);
    await server.db.updateTable('password_links').set({ expires_at: '2026-01-01T00:00:00.000Z' }).execute();
    expect((await choose(newer, 'four green kettles')).status).toBe(404);
  });
});

describe('somebody who leaves', () => {
  it('hands learners and lessons over, is signed out at once, and keeps their name on what they did', async () => {
    const { id } = await addPerson(lead, 'kai@first.example');
    const { id: successor } = await addPerson(lead, 'lea@first.example');
    const kai = await signedIn('kai@first.example');
    const learner = { name: 'Max Learner', transmission: 'manual', standardId: 'tally' };
    const { body: max } = await kai.send<LearnerView>('POST', '/api/learners', learner);
    expect(max.instructorName).toBe('kai');
    const plan = { lessons: [{ start: '2098-03-01T09:00', minutes: 60, goals: [] }], version: 0 };
    await kai.send('PUT', `/api/learners/${max.id}/lessons`, plan);
    expect((await people()).find((one) => one.id === id)).toMatchObject({ learners: 1, lessons: 1, joined: true });
    const moved = await lead.send('POST', `/api/accounts/${id}/hand-over`, { toAccountId: successor });
    expect(moved.body).toEqual({ learners: 1, lessons: 1 });
    const { body: now } = await lead.send<LearnerView>('GET', `/api/learners/${max.id}`);
    expect(now).toMatchObject({ instructorName: 'lea', instructorId: successor });
    const { body: lessons } = await lead.send<LessonsView>('GET', `/api/learners/${max.id}/lessons`);
    expect(lessons).toMatchObject({ version: 2, lessons: [{ instructorName: 'lea' }] });
    expect((await lead.send('PUT', `/api/accounts/${id}/disabled`)).status).toBe(204);
    expect((await kai.send('GET', '/api/learners')).status).toBe(401);
    expect((await client().signIn('kai@first.example')).status).toBe(401);
    expect((await lead.send<SessionView>('GET', '/api/session')).body.colleagues.map(({ name }) => name)).toContain(
      'kai',
    );
    expect(
      (
        await lead.send<LearnerView>('PUT', `/api/learners/${max.id}`, {
          ...learner,
          instructorId: id,
          version: now.version,
        })
      ).status,
    ).toBe(422);
    await lead.send('DELETE', `/api/accounts/${id}/disabled`);
    await signedIn('kai@first.example');
  });

  it('cannot hand a lesson to who has another at that hour', async () => {
    const [one, two] = [await addPerson(lead, 'mia@first.example'), await addPerson(lead, 'noe@first.example')];
    for (const email of ['mia@first.example', 'noe@first.example']) {
      const own = await signedIn(email);
      const learner = { name: `Learner of ${email}`, transmission: 'manual', standardId: 'tally' };
      const { body } = await own.send<LearnerView>('POST', '/api/learners', learner);
      const lessons = [{ start: '2098-04-01T09:00', minutes: 60, goals: [] }];
      await own.send('PUT', `/api/learners/${body.id}/lessons`, { lessons, version: 0 });
    }
    expect(await lead.send('POST', `/api/accounts/${one.id}/hand-over`, { toAccountId: two.id })).toMatchObject({
      status: 409,
      body: {
        error: { code: 'double-booked', message: expect.stringContaining('noe has Learner of noe@first.example') },
      },
    });
    expect((await people()).find(({ id }) => id === one.id)).toMatchObject({ learners: 1, lessons: 1 });
  });

  it('is never the last lead', async () => {
    const own = (await people()).find(({ role }) => role === 'lead')!;
    const refusal = { status: 409, body: { error: { code: 'last-lead' } } };
    expect(await lead.send('PUT', `/api/accounts/${own.id}/disabled`)).toMatchObject(refusal);
    const asInstructor = { name: own.name, role: 'instructor' };
    expect(await lead.send('PUT', `/api/accounts/${own.id}`, asInstructor)).toMatchObject(refusal);
    // An invited lead who has no password yet is none that could help.
    await lead.send('POST', '/api/accounts', { name: 'Later', email: 'later@first.example', role: 'lead' });
    expect(await lead.send('PUT', `/api/accounts/${own.id}/disabled`)).toMatchObject(refusal);
  });
});

describe('a sign-in', () => {
  it('is listed with its device, and ended by its owner alone', async () => {
    await addPerson(lead, 'ora@first.example');
    const [one, two] = [await signedIn('ora@first.example'), await signedIn('ora@first.example')];
    const list = async () => (await one.send<readonly SignInView[]>('GET', '/api/sign-ins')).body;
    expect((await list()).map(({ current }) => current).sort()).toEqual([false, true]);
    const other = (await list()).find(({ current }) => !current)!;
    expect(other).toMatchObject({ address: '127.0.0.1' });
    const agents = {
      node: 'Another program',
      '': 'Unknown device',
      'Mozilla/5.0 (X11; Linux x86_64; rv:142.0) Gecko/20100101 Firefox/142.0': 'Firefox on Linux',
    };
    for (const [device, words] of Object.entries(agents)) {
      await server.db.updateTable('sessions').set({ device }).where('id', 'like', `${other.id}%`).execute();
      expect((await list()).find(({ id }) => id === other.id)!.device).toBe(words);
    }
    expect((await lead.send('DELETE', `/api/sign-ins/${other.id}`)).status).toBe(404);
    expect((await one.send('DELETE', `/api/sign-ins/${other.id}`)).status).toBe(204);
    expect((await two.send('GET', '/api/session')).status).toBe(401);
    const three = await signedIn('ora@first.example');
    expect((await one.send('DELETE', '/api/sign-ins')).status).toBe(204);
    expect([(await three.send('GET', '/api/session')).status, (await list()).length]).toEqual([401, 1]);
  });

  it('ends when it was not used for long, and in any case after 90 days', async () => {
    await addPerson(lead, 'pia@first.example');
    const day = 86_400_000;
    for (const change of [{ expires_ms: Date.now() - 1 }, { created_ms: Date.now() - 91 * day }]) {
      const own = await signedIn('pia@first.example');
      const { body } = await own.send<SessionView>('GET', '/api/session');
      await server.db.updateTable('sessions').set(change).where('account_id', '=', body.account.id).execute();
      expect((await own.send('GET', '/api/session')).status).toBe(401);
    }
  });

  it('takes the place of another on the same device', async () => {
    await addPerson(lead, 'quin@first.example');
    const shared = await signedIn('lead@first.example');
    const before = shared.cookie();
    expect(
      (await shared.send('POST', '/api/session', { email: 'quin@first.example', password }, { 'x-csrf-token': '' }))
        .status,
    ).toBe(200);
    expect(shared.cookie()).not.toBe(before);
    expect((await shared.send<SessionView>('GET', '/api/session')).body.account.email).toBe('quin@first.example');
  });

  it('cannot be read out of the database', async () => {
    const own = await signedIn('lead@first.example');
    const key = own.cookie().split('=')[1]!;
    expect(JSON.stringify(await server.db.selectFrom('sessions').selectAll().execute())).not.toContain(key);
  });

  it('survives a token of other bytes', async () => {
    const own = await signedIn('lead@first.example');
    const { status } = await own.send(
      'PUT',
      '/api/free-hours',
      { hours: [], version: 0 },
      { 'x-csrf-token': 'ü'.repeat(32) },
    );
    expect(status).toBe(403);
  });
});

describe('the second factor', () => {
  const secretOf = async (own: TestClient) =>
    (await own.send<FactorSecret>('POST', '/api/session/factor', { password })).body;
  const withCode = (email: string, code?: string) =>
    client().takeToken('POST', '/api/session', { email, password, ...(code !== undefined && { code }) });

  it('is asked for at sign-in, takes each code once, and each recovery code once', async () => {
    const email = 'rae@first.example';
    await addPerson(lead, email);
    const own = await signedIn(email);
    expect((await own.send('POST', '/api/session/factor', { password: 'not this one' })).status).toBe(422);
    const { secret, uri, picture } = await secretOf(own);
    expect(uri).toContain(`secret=${secret}`);
    expect(picture).toContain('<svg');
    expect((await own.send('PUT', '/api/session/factor', { code: '000000' })).status).toBe(422);
    const code = authenticator.generate(secret);
    const { body: recovery } = await own.send<RecoveryCodes>('PUT', '/api/session/factor', { code });
    expect(new Set(recovery.codes).size).toBe(10);
    expect(await withCode(email)).toMatchObject({ status: 401, body: { error: { code: 'needs-code' } } });
    // The code that turned it on was taken by that.
    expect(await withCode(email, code)).toMatchObject({ status: 401, body: { error: { code: 'wrong-code' } } });
    expect((await withCode(email, recovery.codes[0]!.toLowerCase())).status).toBe(200);
    expect((await withCode(email, recovery.codes[0])).status).toBe(401);
    await server.db.updateTable('accounts').set({ factor_step: 0 }).where('email', '=', email).execute();
    expect((await withCode(email, authenticator.generate(secret))).status).toBe(200);
    expect((await own.send('POST', '/api/session/factor/off', { password })).status).toBe(204);
    expect((await withCode(email)).status).toBe(200);
  });

  // RFC 6238, appendix B: the SHA-1 test vectors, six digits of their eight.
  it.each([
    [59, '287082'],
    [1_111_111_109, '081804'],
    [1_234_567_890, '005924'],
    [2_000_000_000, '279037'],
  ])('at %i s is %s', (seconds, code) => {
    const secret = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';
    expect(stepOf(secret, code, new Date(seconds * 1000))).toBe(Math.floor(seconds / 30));
    expect(stepOf(secret, code, new Date((seconds + 30) * 1000))).toBe(Math.floor(seconds / 30));
    expect(stepOf(secret, code, new Date((seconds + 120) * 1000))).toBeUndefined();
  });

  it('can be required: nothing else is open until it is set up', async () => {
    const email = 'sam@first.example';
    await addPerson(lead, email);
    const own = await signedIn(email);
    const { body: school } = await lead.send<SchoolView>('GET', '/api/school');
    const require = (requireFactor: boolean, version: number) =>
      lead.send<SchoolView>('PUT', '/api/school', {
        name: school.name,
        timeZone: school.timeZone,
        requireFactor,
        version,
      });
    const { secret: leads } = await secretOf(lead);
    await lead.send('PUT', '/api/session/factor', { code: authenticator.generate(leads) });
    const { body: changed } = await require(true, school.version);
    expect(await own.send('GET', '/api/learners')).toMatchObject({
      status: 403,
      body: { error: { code: 'factor-missing' } },
    });
    expect((await own.send<SessionView>('GET', '/api/session')).body.factorMissing).toBe(true);
    const { secret } = await secretOf(own);
    await own.send('PUT', '/api/session/factor', { code: authenticator.generate(secret) });
    expect((await own.send('GET', '/api/learners')).status).toBe(200);
    expect((await require(true, school.version)).status).toBe(409);
    await require(false, changed.version);
    await lead.send('POST', '/api/session/factor/off', { password });
  });
});

describe('a school that has locked itself out', () => {
  it('is let in again from the machine it runs on', async () => {
    const { id } = await addPerson(lead, 'tea@first.example');
    await lead.send('PUT', `/api/accounts/${id}/disabled`);
    const link = await server.db.transaction().execute((trx) => recoverAccount(callNow(trx), 'tea@first.example'));
    expect((await choose(link, 'four green kettles')).status).toBe(204);
    const own = client();
    expect((await own.signIn('tea@first.example', 'four green kettles')).body.account.role).toBe('lead');
    await expect(recoverAccount(callNow(server.db), 'nobody@first.example')).rejects.toThrow(
      'no account with the address',
    );
  });
});
