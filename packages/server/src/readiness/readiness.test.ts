import type { LearnerView } from '@jasperwren/contract/learners';
import type { ReadinessInput, SchoolReadiness } from '@jasperwren/contract/readiness';
import type { SheetView } from '@jasperwren/contract/sheets';
import type { EventBody } from '@jasperwren/core/drive/event';
import { fullTest } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { parseSchoolFigures, type SchoolFiguresFile } from '@jasperwren/core/formats/school-figures-file';
import { defaultAssumptions } from '@jasperwren/core/readiness/assumptions';
import { estimate, estimateBefore } from '@jasperwren/core/readiness/estimate';
import { questionUnder } from '@jasperwren/core/readiness/question';
import { figuresOfKinds, schoolsFrom } from '@jasperwren/core/readiness/school-figures';
import type { Db } from '../db/database';
import type { Keeper } from '../db/keeper';
import { refreshDigests } from '../drives/digests';
import { addPerson, startTwoSchools, testClient, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let first: TestClient;
let second: TestClient;

beforeAll(async () => {
  ({ server, first, second } = await startTwoSchools());
});
afterAll(() => server.remove());

let drives = 0;
const addLearner = async (name: string) =>
  (await first.send<LearnerView>('POST', '/api/learners', { name, transmission: 'manual', standardId: 'tally' })).body
    .id;

/** A finished drive of some days ago. */
async function addDrive(learnerId: string, daysAgo: number, bodies: readonly EventBody[]) {
  const id = `ready-${drives++}`;
  const events = fullTest(bodies).map((event) => ({
    ...(event.type === 'started' ? { ...event, learnerId } : event),
    id: `${id}-${event.id}`,
    wall: new Date(Date.now() - daysAgo * 86_400_000).toISOString(),
  }));
  expect((await first.send('POST', `/api/drives/${id}/events`, { events })).status).toBe(200);
}
/** As it stands once everything is worked out. */
async function school(client = first) {
  await server.settled();
  const { body } = await client.send<SchoolReadiness>('GET', '/api/readiness');
  if (body.pending === 0) return body;
  await server.settled();
  return (await client.send<SchoolReadiness>('GET', '/api/readiness')).body;
}
const inputOf = async (learnerId: string) => {
  await server.settled();
  return (await first.send<ReadinessInput>('GET', `/api/learners/${learnerId}/readiness`)).body;
};
const grave: EventBody = { type: 'mark', item: 'signs.lights', grade: 'serious' };

describe('readiness', () => {
  it('of a learner rests on their drives and sheets, and of the school on everybody', async () => {
    const ada = await addLearner('Ada');
    await addLearner('Bo');
    for (const days of [20, 12, 4]) await addDrive(ada, days, [grave, { type: 'roads', familiarity: 'new' }]);
    const body = await inputOf(ada);
    expect(body.evidence).toHaveLength(3);
    expect(body.evidence[0]).toMatchObject({
      familiarity: 'new',
      counts: { 'signs.lights': { counted: 0, outright: 1 } },
    });
    expect(body.questions).toBeCloseTo(0.35 ** 2, 6);
    const { rows, load, calibration } = await school();
    expect(rows.map(({ name, word }) => [name, word])).toEqual([
      ['Ada', 'not-yet'],
      ['Bo', 'cannot-say'],
    ]);
    expect(load).toEqual([{ name: 'Lead of first', learners: 2, drives: 3 }]);
    expect(calibration).toMatchObject({ results: 0, missing: 20 });
    expect((await school(second)).rows).toEqual([]);
    expect((await second.send('GET', `/api/learners/${ada}/readiness`)).status).toBe(404);
  });

  it('is kept as it was before a real test, whatever comes later', async () => {
    const cleo = await addLearner('Cleo');
    await addDrive(cleo, 30, []);
    const sheet = {
      standardId: 'tally',
      standardVersion: tally.version,
      date: new Date(Date.now() - 10 * 86_400_000).toISOString().slice(0, 10),
      official: 'pass',
      entries: [],
    };
    const { body: kept } = await first.send<SheetView>('POST', `/api/learners/${cleo}/sheets`, sheet);
    expect(kept.before!.mean).toBeGreaterThan(0.2);
    // Of a test without its faults nothing is learnt about them.
    expect((await inputOf(cleo)).evidence.map(({ kind }) => kind)).toEqual(['drive']);
    await addDrive(cleo, 2, [grave, grave]);
    const { body: edited } = await first.send<SheetView>('PUT', `/api/sheets/${kept.id}`, {
      ...sheet,
      official: 'fail',
      version: kept.version,
    });
    expect(edited.before).toEqual(kept.before);
    expect((await school()).calibration.results).toBe(1);
    const unknown = await addLearner('Dora');
    const { body: nothing } = await first.send<SheetView>('POST', `/api/learners/${unknown}/sheets`, sheet);
    expect(nothing.before).toBeUndefined();
  });

  it('before a real test begins with what the school had seen by then, as the page does', async () => {
    for (let n = 0; n < 10; n++) {
      const clean = await addLearner(`Clean ${n}`);
      for (const days of [40, 43, 46]) await addDrive(clean, days, []);
    }
    const gil = await addLearner('Gil');
    await addDrive(gil, 30, []);
    const date = new Date(Date.now() - 10 * 86_400_000).toISOString().slice(0, 10);
    const { body: sheet } = await first.send<SheetView>('POST', `/api/learners/${gil}/sheets`, {
      standardId: 'tally',
      standardVersion: tally.version,
      date,
      official: 'pass',
      entries: [],
    });
    const body = await inputOf(gil);
    const drives = body.evidence.filter(({ kind }) => kind === 'drive');
    // Thirty clean drives of ten others say that learners here do better than the stated default.
    const alone = { standard: tally, evidence: drives, assumptions: defaultAssumptions };
    expect(sheet.before!.mean).toBeGreaterThan(estimateBefore(alone, date).mean + 0.01);
  });

  it('keeps the figures of the school until its drives change, and shows markers to leads alone', async () => {
    const hana = await addLearner('Hana');
    await addDrive(hana, 6, [grave]);
    const before = await inputOf(hana);
    const kept = () => server.db.selectFrom('school_figures').selectAll().execute();
    const rows = await kept();
    await first.send('GET', '/api/readiness');
    expect(await kept()).toEqual(rows);
    // One drive of so many moves nothing yet: the figures stay, hers alone is worked out anew.
    const estimates = () =>
      server.db.selectFrom('estimates').select(['learner_id', 'made_at']).orderBy('learner_id').execute();
    const made = await estimates();
    await addDrive(hana, 3, []);
    await server.settled();
    expect(await kept()).toEqual(rows);
    const anew = (await estimates()).filter(({ made_at }, i) => made_at !== made[i]!.made_at);
    expect(anew.map(({ learner_id }) => learner_id)).toEqual([hana]);
    for (let n = 0; n < 12; n++) await addDrive(hana, 3, [grave, grave]);
    const after = await inputOf(hana);
    expect(after.school.road.drives).toBeGreaterThan(before.school.road.drives + 5);
    expect(made.length).toBeGreaterThan(3);
    expect(after.school.road.assumptions.outright).toBeGreaterThan(before.school.road.assumptions.outright);
    expect((await school()).markers).toMatchObject([{ name: 'Lead of first', factor: 1 }]);
    const email = 'instructor@first.example';
    await addPerson(first, email);
    const instructor = testClient(server.address);
    await instructor.signIn(email);
    expect((await school(instructor)).markers).toEqual([]);
  });

  it('says in the list what the page works out from what it is given, of every learner', async () => {
    const { rows } = await school();
    expect(rows.length).toBeGreaterThan(10);
    for (const row of rows) {
      const { school: figures, on, ...known } = await inputOf(row.learnerId);
      const question = questionUnder(tally, schoolsFrom(figures), { ...known, on: new Date(on) });
      const { chance, judgement, outlook, drives } = estimate(question);
      expect({ word: row.word, next: row.next, advice: row.advice, reason: row.reason }).toEqual({
        ...{ word: judgement.word, next: judgement.next, advice: outlook.advice, reason: judgement.reasons[0] },
      });
      expect([row.mean, row.from, row.to, row.drives]).toEqual([chance.mean, chance.from, chance.to, drives]);
    }
  });

  it('goes by the lessons that are booked, in the list as on the page, as soon as they are', async () => {
    const iva = await addLearner('Iva');
    for (const days of [20, 12, 4]) await addDrive(iva, days, []);
    const before = await school();
    const on = (days: number) => `${new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)}T10:00`;
    const lessons = [2, 5, 9].map((days) => ({ start: on(days), minutes: 60, goals: [] }));
    const kept = await first.send('PUT', `/api/learners/${iva}/lessons`, { lessons, version: 0 });
    expect(kept.status).toBe(200);
    const { lessons: known, ...input } = await inputOf(iva);
    expect(known.map(({ start }) => start)).toEqual(lessons.map(({ start }) => start));
    const madeAt = (of: SchoolReadiness) => of.rows.find(({ learnerId }) => learnerId === iva)!.madeAt;
    expect(madeAt(await school()) > madeAt(before)).toBe(true);
    expect(input.testDate).toBeUndefined();
  });

  it('hands the figures of the school out as a file that can be read again', async () => {
    const { body } = await first.send<SchoolFiguresFile>('GET', '/api/readiness/figures.json');
    const read = parseSchoolFigures(JSON.stringify(body));
    expect(read.ok && figuresOfKinds(read.value)).toEqual(body.figures);
    expect(body.figures.road.drives).toBeGreaterThan(0);
  });

  it('fills in drives that an older release kept', async () => {
    const emil = await addLearner('Emil');
    await addDrive(emil, 3, [grave]);
    await server.db
      .updateTable('drives')
      .set({ digest: '{"phase":"ended"}', digest_version: 1 })
      .where('learner_id', '=', emil)
      .execute();
    await refreshDigests({ db: server.db, write: (work: (db: Db) => Promise<unknown>) => work(server.db) } as Keeper);
    const { evidence } = await inputOf(emil);
    expect(evidence[0]?.counts['signs.lights']?.outright).toBe(1);
  });
});
