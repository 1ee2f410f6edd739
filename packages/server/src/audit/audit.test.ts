import type { AuditPage } from '@jasperwren/contract/audit';
import type { SessionView } from '@jasperwren/contract/accounts';
import type { LearnerView } from '@jasperwren/contract/learners';
import { fullTest } from '@jasperwren/core/drive/testing';
import { parse } from 'papaparse';
import { addPerson, startTwoSchools, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let lead: TestClient;
let other: TestClient;

beforeAll(async () => {
  ({ server, first: lead, second: other } = await startTwoSchools());
});
afterAll(() => server.remove());

const trail = async (query = '', client = lead) =>
  (await client.send<AuditPage>('GET', `/api/audit${query}`)).body.lines;
const addAda = async (name = 'Ada') =>
  (await lead.send<LearnerView>('POST', '/api/learners', { name, transmission: 'manual', standardId: 'tally' })).body;

describe('the audit trail', () => {
  it('says who did what, about whom and from where, of one school alone', async () => {
    const { id, version } = await addAda();
    await lead.send('PUT', `/api/learners/${id}`, {
      name: 'Ada',
      transmission: 'automatic',
      standardId: 'tally',
      notes: 'secret words',
      version,
    });
    const [edited, added] = await trail();
    expect(edited).toMatchObject({
      action: 'editLearner',
      by: { name: 'Lead of first' },
      learner: { id, name: 'Ada' },
      address: '127.0.0.1',
      // The names of the fields; what stands in them is nobody’s business here.
      detail: 'transmission, notes',
    });
    expect(added).toMatchObject({ action: 'addLearner', learner: { id } });
    expect(JSON.stringify(await server.db.selectFrom('audit').selectAll().execute())).not.toContain('secret words');
    expect(JSON.stringify(await trail('', other))).not.toContain(id);
  });

  it('holds sign-ins, refused ones, exports, shares, and looks at the private notes of others', async () => {
    await addPerson(lead, 'uma@first.example');
    const uma = testClient(server.address);
    await uma.signIn('uma@first.example', 'not this one');
    await uma.signIn('uma@first.example');
    const { id } = await addAda();
    const events = fullTest([{ type: 'note', text: 'Between us', private: true }]).map((event) =>
      event.type === 'started' ? { ...event, learnerId: id } : event,
    );
    await uma.send('POST', '/api/drives/audited/events', { events });
    await uma.send('GET', '/api/drives/audited');
    await lead.send('GET', '/api/drives/audited');
    await lead.send('GET', '/api/drives/audited/record');
    await lead.send('POST', '/api/drives/audited/shares', { days: 1 });
    await uma.send('DELETE', '/api/session');
    const done = (await trail()).map(({ action, by }) => [action, by?.name]);
    expect(done.slice(0, 9)).toEqual([
      ['signOut', 'uma'],
      ['share', 'Lead of first'],
      ['driveRecord', 'Lead of first'],
      ['sawPrivateNotes', 'Lead of first'],
      ['sendEvents', 'uma'],
      ['addLearner', 'Lead of first'],
      ['signIn', 'uma'],
      ['refusedSignIn', 'uma'],
      ['choosePassword', 'uma'],
    ]);
  });

  it('tells of a drive that is changed after its end', async () => {
    const { id } = await addAda();
    const [start, ...rest] = fullTest([{ type: 'mark', item: 'signs.lights', grade: 'driving' }]);
    await lead.send('POST', '/api/drives/late/events', { events: [{ ...start, learnerId: id }, ...rest] });
    await server.settled();
    const { device, wall, by } = start!;
    const later = { type: 'note', text: 'Later', id: 'later', device, wall, by, seq: 99, atMs: 2_400_000 };
    expect((await lead.send('POST', '/api/drives/late/events', { events: [later] })).status).toBe(200);
    expect((await trail())[0]).toMatchObject({
      action: 'sendEvents',
      detail: 'after-end 1 note',
    });
  });

  it('is narrowed, goes on page by page, and leaves as a table', async () => {
    const { id } = await addAda('=Formula "A", B\nC');
    for (let i = 0; i < 105; i++) await lead.send('PUT', `/api/learners/${id}/vehicle`, {});
    const first = (await lead.send<AuditPage>('GET', `/api/audit?learner=${id}`)).body;
    expect(first.lines).toHaveLength(100);
    const second = (await lead.send<AuditPage>('GET', `/api/audit?learner=${id}&before=${first.next}`)).body;
    expect([second.lines.length, second.next]).toEqual([6, undefined]);
    expect(await trail('?action=addLearner&from=2999-01-01')).toEqual([]);
    expect(new Set((await trail('?action=addLearner')).map(({ action }) => action))).toEqual(new Set(['addLearner']));
    const { body: session } = await lead.send<SessionView>('GET', '/api/session');
    expect((await trail(`?account=${session.account.id}`)).every(({ by }) => by?.id === session.account.id)).toBe(true);
    expect((await lead.send('GET', '/api/audit?from=soon')).status).toBe(422);
    const response = await fetch(`${server.address}/api/audit.csv?learner=${id}`, {
      headers: { cookie: lead.cookie() },
    });
    const text = await response.text();
    // papaparse: an independent reader of RFC 4180.
    const table = parse<Record<string, string>>(text.trim(), { header: true });
    expect([table.errors, table.data.length]).toEqual([[], 106]);
    // A spreadsheet would take it for a formula.
    expect(table.data[0]!['learner']).toBe('\'=Formula "A", B\nC');
  });

  it('cannot be changed, nor its lines of the last year taken out', async () => {
    const change = server.db.updateTable('audit').set({ action: 'nothing' }).execute();
    await expect(change).rejects.toThrow('does not change');
    await expect(server.db.deleteFrom('audit').execute()).rejects.toThrow('is kept');
    await server.db
      .insertInto('audit')
      .values({ school_id: 's', at: '2020-01-01T00:00:00.000Z', action: 'old', by_learner: 0 })
      .execute();
    await server.db.deleteFrom('audit').where('action', '=', 'old').execute();
    expect(await server.db.selectFrom('audit').select('id').where('action', '=', 'old').execute()).toEqual([]);
  });
});
