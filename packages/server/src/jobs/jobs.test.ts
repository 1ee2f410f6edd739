import type { LearnerView } from '@jasperwren/contract/learners';
import type { ReadinessInput, SchoolReadiness } from '@jasperwren/contract/readiness';
import type { EventBody } from '@jasperwren/core/drive/event';
import { fullTest } from '@jasperwren/core/drive/testing';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startTestServer, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTestServer>>;
let lead: TestClient;

beforeAll(async () => {
  const worker = { worker: join(__dirname, 'worker.ts'), workerArgv: ['--import', 'tsx'] };
  server = await startTestServer(mkdtempSync(join(tmpdir(), 'jasperwren-jobs-')), {}, worker);
  lead = testClient(server.address);
  await lead.signIn('lead@first.example');
});
afterAll(() => server.remove());

const readiness = async () => (await lead.send<SchoolReadiness>('GET', '/api/readiness')).body;
const addLearner = async (name: string) =>
  (await lead.send<LearnerView>('POST', '/api/learners', { name, transmission: 'manual', standardId: 'tally' })).body
    .id;
let drives = 0;
async function addDrive(learnerId: string, bodies: readonly EventBody[] = []) {
  const id = `job-${drives++}`;
  const events = fullTest(bodies).map((event) => ({
    ...(event.type === 'started' ? { ...event, learnerId } : event),
    id: `${id}-${event.id}`,
    wall: new Date().toISOString(),
  }));
  expect((await lead.send('POST', `/api/drives/${id}/events`, { events })).status).toBe(200);
}

describe('estimates', () => {
  it('are worked out in a thread of their own after a drive, and pages show what is there with its age', async () => {
    const [ada, bo] = [await addLearner('Ada'), await addLearner('Bo')];
    for (let i = 0; i < 3; i++) await addDrive(ada, [{ type: 'mark', item: 'signs.lights', grade: 'serious' }]);
    expect((await readiness()).pending).toBeGreaterThan(0);
    await server.settled();
    const { rows, pending } = await readiness();
    expect(pending).toBe(0);
    expect(rows.map(({ name, word }) => [name, word])).toEqual([
      ['Ada', 'not-yet'],
      ['Bo', 'cannot-say'],
    ]);
    for (const { madeAt } of rows) expect(Math.abs(Date.now() - Date.parse(madeAt))).toBeLessThan(60_000);
    const { body } = await lead.send<ReadinessInput>('GET', `/api/learners/${ada}/readiness`);
    expect([body.evidence.length, body.school.road.drives, body.schoolMadeAt !== undefined]).toEqual([3, 3, true]);

    // What nothing has changed about is not worked out again.
    const kept = () =>
      server.db.selectFrom('estimates').select(['learner_id', 'made_at']).orderBy('learner_id').execute();
    const before = await kept();
    await lead.send('PUT', `/api/learners/${bo}/archived`);
    await server.settled();
    expect((await kept()).find(({ learner_id }) => learner_id === ada)).toEqual(
      before.find(({ learner_id }) => learner_id === ada),
    );
  });

  it('are worked out for everybody where many change at once', async () => {
    const learners = await Promise.all(Array.from({ length: 6 }, (_, i) => addLearner(`Busy ${i}`)));
    await server.settled();
    for (const id of learners) await addDrive(id, [{ type: 'mark', item: 'signs.lights', grade: 'driving' }]);
    await server.settled();
    const { rows } = await readiness();
    expect(rows.filter(({ name, drives: n }) => name.startsWith('Busy') && n === 1)).toHaveLength(6);
    // Threads of estimates go behind everything else on the machine.
  }, 240_000);
});

describe('pages that did not change', () => {
  it('are not sent again, until something they follow from changes', async () => {
    const first = await lead.send('GET', '/api/learners');
    const tag = first.headers.get('etag')!;
    const again = () => lead.send('GET', '/api/learners', undefined, { 'if-none-match': tag });
    const { status, body } = await again();
    expect([status === 304, body]).toEqual([true, undefined]);
    await lead.send('PUT', '/api/free-hours', { hours: [], version: 0 });
    expect((await again()).status).toBe(304);
    await addLearner('Another');
    expect((await again()).status).toBe(200);
    const other = testClient(server.address);
    await other.signIn('lead@second.example');
    expect((await other.send('GET', '/api/learners', undefined, { 'if-none-match': tag })).body).toEqual([]);
  });
});
