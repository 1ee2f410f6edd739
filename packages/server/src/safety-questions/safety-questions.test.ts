import type { BoardView, ChecksView, KeptVersion } from '@jasperwren/contract/safety-questions';
import type { LearnerView } from '@jasperwren/contract/learners';
import { shippedQuestions } from '@jasperwren/core/safety-questions/bank/bank';
import type { SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import { shippedVehicles } from '@jasperwren/core/safety-questions/vehicles';
import { startTwoSchools, without, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let first: TestClient;
let second: TestClient;

beforeAll(async () => {
  ({ server, first, second } = await startTwoSchools());
});
afterAll(() => server.remove());

const brakesId = shippedQuestions[0]!.id;
const brakes = without(shippedQuestions[0]!, 'id', 'version');
const tarrelId = shippedVehicles[0]!.id;
const tarrel = without(shippedVehicles[0]!, 'id', 'version');
const own = async (client = first) => (await client.send<ChecksView>('GET', '/api/checks')).body;

describe('questions of a school', () => {
  it('are edited as new versions, every one of which is kept', async () => {
    const ask = 'How do you try the brakes in this car?';
    const { body } = await first.send<SafetyQuestion>('PUT', `/api/checks/questions/${brakesId}`, { ...brakes, ask });
    expect(body).toMatchObject({ id: brakesId, version: 2, ask });
    await first.send('PUT', `/api/checks/questions/${brakesId}`, { ...brakes, ask: 'And now?' });
    const { body: kept } = await first.send<KeptVersion<SafetyQuestion>[]>(
      'GET',
      `/api/checks/questions/${brakesId}/versions`,
    );
    expect(kept.map(({ value, by }) => [value.version, value.ask, by])).toEqual([
      [3, 'And now?', 'Lead of first'],
      [2, ask, 'Lead of first'],
    ]);
    expect((await own()).questions[0]?.question.ask).toBe('And now?');
    expect((await own(second)).questions).toEqual([]);
  });

  it('are added, taken out of use and put back', async () => {
    const { status, body } = await first.send<SafetyQuestion>('POST', '/api/checks/questions', brakes);
    expect(status).toBe(201);
    const retired = async () => (await own()).questions.find(({ question }) => question.id === body.id)?.retired;
    expect((await first.send('PUT', `/api/checks/questions/${body.id}/retired`)).status).toBe(204);
    expect(await retired()).toBe(true);
    await first.send('DELETE', `/api/checks/questions/${body.id}/retired`);
    expect(await retired()).toBe(false);
    expect((await second.send('PUT', `/api/checks/questions/${body.id}`, brakes)).status).toBe(404);
    expect((await second.send('PUT', `/api/checks/questions/${body.id}/retired`)).status).toBe(404);
  });

  it.each([
    ['nothing critical', { points: brakes.points.map((point) => ({ ...point, critical: false })) }],
    ['no points', { points: [] }],
    ['no words', { ask: ' ' }],
    ['an unknown kind', { kind: 'song' }],
    ['an unknown field', { colour: 'red' }],
  ])('are refused with %s', async (__, change) => {
    expect((await first.send('POST', '/api/checks/questions', { ...brakes, ...change })).status).toBe(422);
  });
});

describe('cars of a school', () => {
  it('are added and edited, and a learner drives one of them', async () => {
    const { body: car } = await first.send<{ id: string; version: number }>('POST', '/api/checks/vehicles', {
      ...tarrel,
      name: 'Our own',
    });
    expect(car.version).toBe(1);
    const edited = await first.send<{ version: number }>('PUT', `/api/checks/vehicles/${tarrelId}`, tarrel);
    expect(edited.body.version).toBe(2);
    const { body: learner } = await first.send<LearnerView>('POST', '/api/learners', {
      name: 'Ada',
      transmission: 'manual',
      standardId: 'tally',
    });
    const choose = (vehicleId: string, client = first) =>
      client.send<LearnerView>('PUT', `/api/learners/${learner.id}/vehicle`, { vehicleId });
    expect((await choose(car.id)).body.vehicleId).toBe(car.id);
    expect((await choose('skerrin')).status).toBe(200);
    expect((await choose('nothing')).status).toBe(422);
    expect((await choose('skerrin', second)).status).toBe(404);
    expect((await second.send('PUT', `/api/checks/vehicles/${car.id}`, tarrel)).status).toBe(404);
  });

  it('need every control', async () => {
    const controls = without(tarrel.controls, 'horn');
    expect((await first.send('POST', '/api/checks/vehicles', { ...tarrel, controls })).status).toBe(422);
  });
});

describe('the board', () => {
  it('says who is due, what is forgotten, and the chance of both questions', async () => {
    const { body: learner } = await first.send<LearnerView>('POST', '/api/learners', {
      name: 'Zed',
      transmission: 'manual',
      standardId: 'tally',
    });
    const old = new Date(Date.now() - 40 * 86_400_000).toISOString();
    const reviews = ['again', 'again', 'good'].map((rating, i) => ({
      id: `z${i}`,
      question: brakesId,
      at: old.replace(/\d{3}Z$/, `00${i}Z`),
      rating,
      mode: 'reveal',
      missed: rating === 'again' ? ['pedal'] : [],
    }));
    expect((await first.send('POST', `/api/learners/${learner.id}/reviews`, { reviews })).status).toBe(200);
    const { body } = await first.send<BoardView>('GET', '/api/checks/board');
    const row = body.learners.find(({ name }) => name === 'Zed')!;
    expect(row).toMatchObject({ due: 1, unseen: 21, questions: 22 });
    expect(row.recall).toBeGreaterThan(0);
    const { body: yard } = await first.send<LearnerView>('POST', '/api/learners', {
      name: 'Yves',
      transmission: 'manual',
      standardId: 'timed-yard',
    });
    const { body: withYard } = await first.send<BoardView>('GET', '/api/checks/board');
    const asksNone = withYard.learners.find(({ learnerId }) => learnerId === yard.id)!;
    expect(asksNone).toMatchObject({ due: 0, unseen: 0, questions: 0 });
    expect(asksNone).not.toHaveProperty('recall');
    expect(asksNone).not.toHaveProperty('allRight');
    expect(row.allRight).toBeGreaterThan(0.05);
    expect(row.allRight).toBeLessThan(0.35);
    expect(body.forgotten[0]).toMatchObject({ question: brakesId, asked: 3, forgotten: 2 });
    expect((await second.send<BoardView>('GET', '/api/checks/board')).body.learners).toEqual([]);
  });

  it.each([
    ['no reviews', { reviews: [] }],
    [
      'a rating of its own',
      {
        reviews: [{ id: 'x', question: 'q', at: '2026-01-01T00:00:00Z', rating: 'superb', mode: 'reveal', missed: [] }],
      },
    ],
    ['no moment', { reviews: [{ id: 'x', question: 'q', at: 'now', rating: 'good', mode: 'reveal', missed: [] }] }],
  ])('takes nothing with %s', async (__, body) => {
    const { body: all } = await first.send<LearnerView[]>('GET', '/api/learners');
    expect((await first.send('POST', `/api/learners/${all[0]!.id}/reviews`, body)).status).toBe(422);
  });
});
