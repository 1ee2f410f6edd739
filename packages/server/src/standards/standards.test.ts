import type { DraftView, StandardSummary, StandardView } from '@jasperwren/contract/standards';
import type { ErrorBody } from '@jasperwren/contract/errors';
import type { DriveView } from '@jasperwren/contract/drives';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { SheetView } from '@jasperwren/contract/sheets';
import { fullTest } from '@jasperwren/core/drive/testing';
import { standardFile } from '@jasperwren/core/formats/standard-file';
import type { Standard } from '@jasperwren/core/marking/standard';
import { tally, templates } from '@jasperwren/core/marking/testing-standards';
import { addPerson, startTestServer, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTestServer>>;
let lead: TestClient;
let other: TestClient;

beforeAll(async () => {
  server = await startTestServer();
  lead = testClient(server.address);
  other = testClient(server.address);
  await lead.signIn('lead@first.example');
  await other.signIn('lead@second.example');
});

afterAll(() => server.remove());

let names = 0;
const begin = async () =>
  (
    await lead.send<DraftView>('POST', '/api/standards', {
      fromId: 'tally',
      fromVersion: tally.version,
      name: `Ours ${names++}`,
    })
  ).body;
const save = (draft: DraftView, standard: Standard) =>
  lead.send<DraftView>('PUT', `/api/standards/${draft.standard.id}/draft`, { standard, savedAt: draft.savedAt });
const publish = (id: string) => lead.send<Standard>('POST', `/api/standards/${id}/publish`);
const allowing = (standard: Standard, faults: number): Standard => ({
  ...standard,
  limits: standard.limits.map((limit) =>
    limit.code === 'driving-faults' ? { ...limit, allowed: { ...limit.allowed, value: faults } } : limit,
  ),
});
const addLearner = async (standardId = 'tally') =>
  (await lead.send<LearnerView>('POST', '/api/learners', { name: 'Ada', transmission: 'manual', standardId })).body;

describe('the library of standards', () => {
  it('holds every shipped standard, and drafts beside them', async () => {
    const draft = await begin();
    const { body } = await lead.send<StandardSummary[]>('GET', '/api/standards/library');
    for (const { id, version } of templates)
      expect(body.find((entry) => entry.id === id)).toMatchObject({ template: true, version });
    const own = body.find(({ id }) => id === draft.standard.id);
    expect(own).toMatchObject({ template: false });
    expect(own?.version).toBeUndefined();
    expect(own?.draftSavedAt).toBe(draft.savedAt);
  });

  it('is edited by leads only, and every school has its own', async () => {
    const draft = await begin();
    await addPerson(lead, 'ida@first.example');
    const instructor = testClient(server.address);
    await instructor.signIn('ida@first.example');
    const id = draft.standard.id;
    expect((await instructor.send('POST', `/api/standards/${id}/publish`)).status).toBe(403);
    expect((await instructor.send('PUT', `/api/standards/${id}/draft`, {})).status).toBe(403);
    expect((await instructor.send('POST', '/api/standards/import', { source: '{}' })).status).toBe(403);
    expect((await instructor.send('PUT', `/api/standards/tally/retired`)).status).toBe(403);
    expect((await other.send('GET', `/api/standards/${id}/draft`)).status).toBe(404);
    expect((await other.send('POST', `/api/standards/${id}/publish`)).status).toBe(404);
  });
});

describe('a draft', () => {
  it('keeps a contradiction and names it, and is not published with it', async () => {
    const draft = await begin();
    const { body, status } = await save(draft, { ...draft.standard, limits: [] });
    expect(status).toBe(200);
    expect(body.problems).toEqual([{ path: '/limits', is: { code: 'everybodyPasses' } }]);
    const refused = await publish(draft.standard.id);
    expect(refused.status).toBe(422);
    expect((refused.body as unknown as ErrorBody).error.problems).toEqual([
      { field: '/limits', message: 'No limit fails the test: all would pass.' },
    ]);
  });

  it('refuses a wrong shape with its place, and keeps what was there', async () => {
    const draft = await begin();
    const refused = await save(draft, { ...draft.standard, trafficSide: 'middle' as never });
    expect(refused.status).toBe(422);
    expect((refused.body as unknown as ErrorBody).error.problems?.[0]?.field).toBe('/trafficSide');
    const kept = await lead.send<DraftView>('GET', `/api/standards/${draft.standard.id}/draft`);
    expect(kept.body.standard).toEqual(draft.standard);
  });

  it('is not overwritten by somebody who had not seen the last save', async () => {
    const draft = await begin();
    await new Promise((resolve) => setTimeout(resolve, 5));
    expect((await save(draft, allowing(draft.standard, 9))).status).toBe(200);
    expect((await save(draft, allowing(draft.standard, 8))).status).toBe(409);
  });

  it('is never made of a shipped standard itself', async () => {
    expect((await lead.send('PUT', '/api/standards/tally/draft', { standard: tally })).status).toBe(409);
    expect((await lead.send('POST', '/api/standards/tally/publish')).status).toBe(409);
  });

  it('can be dropped', async () => {
    const { standard } = await begin();
    expect((await lead.send('DELETE', `/api/standards/${standard.id}/draft`)).status).toBe(204);
    expect((await lead.send('GET', `/api/standards/${standard.id}/draft`)).status).toBe(404);
  });
});

describe('versions', () => {
  it('leave the verdicts of older drives where they were', async () => {
    const draft = await begin();
    const id = draft.standard.id;
    await save(draft, allowing(draft.standard, 5));
    expect((await publish(id)).body.version).toBe(1);
    const learner = await addLearner(id);
    const five = Array.from({ length: 5 }, () => ({ type: 'mark', item: 'signs.lights', grade: 'driving' }) as const);
    const drive = async (driveId: string, version: number) => {
      const events = fullTest(five).map((event) =>
        event.type === 'started' ? { ...event, learnerId: learner.id, standard: { id, version } } : event,
      );
      expect((await lead.send('POST', `/api/drives/${driveId}/events`, { events })).status).toBe(200);
      return (await lead.send<DriveView>('GET', `/api/drives/${driveId}`)).body;
    };
    expect((await drive('v1', 1)).summary.outcome).toBe('pass');

    const next = (await lead.send<DraftView>('GET', `/api/standards/${id}/draft`)).body;
    await save(next, allowing(next.standard, 4));
    expect((await publish(id)).body.version).toBe(2);
    expect((await drive('v2', 2)).summary.outcome).toBe('fail');
    const old = (await lead.send<DriveView>('GET', '/api/drives/v1')).body;
    expect(old.summary.outcome).toBe('pass');
    expect(old.standard.version).toBe(1);
    const view = (await lead.send<StandardView>('GET', `/api/standards/${id}`)).body;
    expect(view.versions.map(({ version }) => version)).toEqual([1, 2]);
    expect((await lead.send('GET', '/api/standards')).body).toContainEqual(expect.objectContaining({ id, version: 2 }));
  });
});

describe('retiring', () => {
  it('waits for learners who are to be tested under it, and can be taken back', async () => {
    const { standard } = await begin();
    await publish(standard.id);
    const learner = await addLearner(standard.id);
    const path = `/api/standards/${standard.id}/retired`;
    const refused = await lead.send<ErrorBody>('PUT', path);
    expect([refused.status, refused.body.error.message]).toEqual([409, expect.stringContaining('1 learner is still')]);
    await lead.send('PUT', `/api/learners/${learner.id}/archived`);
    expect((await lead.send('PUT', path)).status).toBe(204);
    const inUse = async () => (await lead.send<Standard[]>('GET', '/api/standards')).body.map(({ id }) => id);
    expect(await inUse()).not.toContain(standard.id);
    await lead.send('DELETE', path);
    expect(await inUse()).toContain(standard.id);
  });
});

describe('files of standards', () => {
  it('go out and come in again as a draft', async () => {
    const { body } = await lead.send('GET', `/api/standards/tally/versions/${tally.version}/file`);
    expect(body).toEqual(JSON.parse(JSON.stringify(standardFile(tally))));
    const { body: draft, status } = await lead.send<DraftView>('POST', '/api/standards/import', {
      source: JSON.stringify(body),
    });
    expect(status).toBe(201);
    expect(draft.standard).toEqual({ ...tally, id: draft.standard.id, version: 1 });
    expect(draft.standard.id).toMatch(/^tally-\d+$/);
  });

  it('change nothing when they are foreign or broken', async () => {
    const before = (await lead.send('GET', '/api/standards/library')).body;
    const broken = standardFile({ ...tally, limits: [] });
    for (const source of ['not JSON', '{"format":"other"}', JSON.stringify(broken)]) {
      const { status, body } = await lead.send<ErrorBody>('POST', '/api/standards/import', { source });
      expect(status).toBe(422);
      expect(body.error.problems!.length).toBeGreaterThan(0);
    }
    expect((await lead.send('GET', '/api/standards/library')).body).toEqual(before);
  });
});

describe('result sheets', () => {
  const sheet = {
    standardId: 'tally',
    standardVersion: tally.version,
    date: '2026-05-04',
    centre: 'Quay Street',
    official: 'fail',
    entries: [{ item: 'signs.lights', grade: 'driving', count: 3 }],
  };

  it('are judged anew beside the official result, which stays', async () => {
    const learner = await addLearner();
    const { body, status } = await lead.send<SheetView>('POST', `/api/learners/${learner.id}/sheets`, sheet);
    expect(status).toBe(201);
    expect(body).toMatchObject({ official: 'fail', outcome: 'pass', agrees: false });
    const path = `/api/sheets/${body.id}`;
    const serious = [{ item: 'signs.lights', grade: 'serious', count: 1 }];
    expect((await lead.send('PUT', path, { ...sheet, entries: serious, version: 0 })).body).toMatchObject({
      outcome: 'fail',
      agrees: true,
    });
    // Somebody who still has the first version open writes nothing over.
    expect(await lead.send('PUT', path, { ...sheet, version: 0 })).toMatchObject({
      status: 409,
      body: { error: { code: 'stale', current: { version: 1, entries: serious } } },
    });
    expect((await lead.send<SheetView[]>('GET', `/api/learners/${learner.id}/sheets`)).body).toHaveLength(1);
    expect((await other.send('GET', path)).status).toBe(404);
    expect((await other.send('DELETE', path)).status).toBe(404);
    expect((await lead.send('DELETE', path)).status).toBe(204);
    expect((await lead.send('GET', path)).status).toBe(404);
  });

  it('refuse what the standard does not have, and dates that are none', async () => {
    const learner = await addLearner();
    const post = (changes: object) =>
      lead.send<ErrorBody>('POST', `/api/learners/${learner.id}/sheets`, { ...sheet, ...changes });
    const strange = await post({ entries: [{ item: 'signs.lights', grade: 'g2', count: 1 }] });
    expect([strange.status, strange.body.error.problems?.[0]?.field]).toEqual([422, 'entries.0']);
    expect((await post({ date: '2026-02-30' })).status).toBe(422);
    expect((await post({ entries: [{ item: 'signs.lights', grade: 'driving', count: 0.5 }] })).status).toBe(422);
    expect((await lead.send<SheetView[]>('GET', `/api/learners/${learner.id}/sheets`)).body).toEqual([]);
  });
});
