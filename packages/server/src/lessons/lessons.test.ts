import ICAL from 'ical.js';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { LessonsView, UpcomingLesson } from '@jasperwren/contract/lessons';
import { startTwoSchools, type TestClient } from '../testing';

let server: Awaited<ReturnType<typeof startTwoSchools>>['server'];
let first: TestClient;
let second: TestClient;
let learnerId: string;

beforeAll(async () => {
  ({ server, first, second } = await startTwoSchools());
});
afterAll(() => server.remove());
beforeEach(async () => {
  const { body } = await first.send<LearnerView>('POST', '/api/learners', {
    name: 'Ada; the, first',
    transmission: 'manual',
    standardId: 'tally',
    testDate: '2099-06-30',
    testCentre: 'Centre, north',
  });
  learnerId = body.id;
});

const goal = { kind: 'area', code: 'junctions', name: 'Junctions', seek: 'stop lines, crossroads' };
const lesson = (start: string, more: object = {}) => ({ start, minutes: 60, goals: [goal], ...more });
const plan = async (lessons: readonly object[], client = first) => {
  const { version } = (await first.send<LessonsView>('GET', `/api/learners/${learnerId}/lessons`)).body;
  return client.send<LessonsView>('PUT', `/api/learners/${learnerId}/lessons`, { lessons, version });
};
const calendar = async () => {
  const response = await fetch(`${server.address}/api/learners/${learnerId}/lessons.ics`, {
    headers: { cookie: first.cookie() },
  });
  expect(response.headers.get('content-type')).toContain('text/calendar');
  return response.text();
};

/** The plan of a learner of their own that wants some lessons. */
async function another(name: string, lessons: readonly object[]) {
  const { body } = await first.send<LearnerView>('POST', '/api/learners', {
    name,
    transmission: 'manual',
    standardId: 'tally',
  });
  return first.send<{ error: { message: string } }>('PUT', `/api/learners/${body.id}/lessons`, { lessons, version: 0 });
}

describe('an hour of an instructor', () => {
  it('is booked once, half open, and whoever comes later is told who has it', async () => {
    expect((await plan([lesson('2098-06-01T09:00')])).status).toBe(200);
    const late = await another('Bo', [lesson('2098-06-01T08:30')]);
    expect(late).toMatchObject({ status: 409, body: { error: { code: 'double-booked' } } });
    expect(late.body.error.message).toBe(
      'Lead of first has Ada; the, first on 1 June 2098 from 09:00 to 10:00. Nothing was saved.',
    );
    expect((await another('Cleo', [lesson('2098-06-01T10:00'), lesson('2098-06-01T08:00')])).status).toBe(200);
  });

  it('is won by one of fifty who want it at once', async () => {
    const tries = await Promise.all(
      Array.from({ length: 50 }, (_, i) =>
        another(`Racer ${i}`, [lesson(`2098-07-01T09:${i % 60 < 10 ? '0' : ''}${i}`)]),
      ),
    );
    expect(tries.filter(({ status }) => status === 200)).toHaveLength(1);
    for (const { status, body } of tries.filter((one) => one.status !== 200)) {
      expect(status).toBe(409);
      expect(body.error.message).toMatch(/^Lead of first has Racer \d+ on 1 July 2098 from 09:/);
    }
  });

  it('does not stand in the way of what was booked there before', async () => {
    const { body } = await plan([lesson('2098-08-01T09:00')]);
    const [own] = body.lessons;
    // As an older release could leave it.
    await server.db.updateTable('lessons').set({ start: '2098-06-01T09:30' }).where('id', '=', own!.id).execute();
    expect(
      (await plan([lesson('2098-06-01T09:30', { id: own!.id, goals: [] }), lesson('2098-08-02T09:00')])).status,
    ).toBe(200);
    expect((await plan([lesson('2098-06-01T09:15', { id: own!.id })])).status).toBe(409);
  });
});

describe('a plan', () => {
  it('is kept, moved, cancelled, and never takes a past lesson away', async () => {
    const { body } = await plan([lesson('2099-06-01T09:00'), lesson('2099-06-03T09:00'), lesson('2020-01-01T09:00')]);
    expect(body.lessons.map(({ start }) => start)).toEqual([
      '2020-01-01T09:00',
      '2099-06-01T09:00',
      '2099-06-03T09:00',
    ]);
    const [, one] = body.lessons;
    const moved = await plan([lesson('2099-06-02T10:00', { id: one!.id })]);
    expect(moved.body.lessons.map(({ start }) => start)).toEqual(['2020-01-01T09:00', '2099-06-02T10:00']);
  });

  it.each([
    ['no time', [lesson('2099-06-01')], 422],
    ['a minute', [lesson('2099-06-01T09:00', { minutes: 1 })], 422],
    ['an unknown lesson', [lesson('2099-06-01T09:00', { id: 'nobody' })], 404],
    ['two at once, by an hour that begins in another', [lesson('2099-06-01T09:00'), lesson('2099-06-01T09:45')], 409],
    ['two at once', [lesson('2099-06-01T09:00'), lesson('2099-06-01T09:00')], 409],
  ])('is refused whole with %s', async (_, lessons, status) => {
    expect((await plan([lesson('2099-06-09T09:00'), ...lessons])).status).toBe(status);
    expect((await first.send<LessonsView>('GET', `/api/learners/${learnerId}/lessons`)).body.lessons).toEqual([]);
  });

  it('that is older than another’s bookings cancels none of them', async () => {
    const { body: read } = await first.send<LessonsView>('GET', `/api/learners/${learnerId}/lessons`);
    await plan([lesson('2099-06-05T09:00')]);
    const stale = { lessons: [lesson('2099-06-06T09:00')], version: read.version };
    expect(await first.send('PUT', `/api/learners/${learnerId}/lessons`, stale)).toMatchObject({
      status: 409,
      body: { error: { code: 'stale', current: { version: 1, lessons: [{ start: '2099-06-05T09:00' }] } } },
    });
    const { body } = await first.send<LessonsView>('GET', `/api/learners/${learnerId}/lessons`);
    expect(body.lessons.map(({ start }) => start)).toEqual(['2099-06-05T09:00']);
  });

  it('shows the instructor what is to come, from today on, the earliest first', async () => {
    const { body: before } = await plan([lesson('2097-03-02T09:00'), lesson('2097-03-01T09:00')]);
    await plan([lesson('2097-03-01T09:00', { id: before.lessons[0]!.id })]);
    const ahead = async (client: TestClient) =>
      (await client.send<readonly UpcomingLesson[]>('GET', '/api/lessons')).body.filter(({ start }) =>
        start.startsWith('2097'),
      );
    expect(await ahead(first)).toEqual([
      {
        id: before.lessons[0]!.id,
        start: '2097-03-01T09:00',
        minutes: 60,
        goals: [goal],
        learnerId,
        learnerName: 'Ada; the, first',
      },
    ]);
    expect(await ahead(second)).toEqual([]);
    await first.send('PUT', `/api/learners/${learnerId}/archived`);
    expect(await ahead(first)).toEqual([]);
  });

  it('belongs to its school', async () => {
    expect((await plan([lesson('2099-06-01T09:00')], second)).status).toBe(404);
    expect((await second.send('GET', `/api/learners/${learnerId}/lessons.ics`)).status).toBe(404);
  });

  it('knows the hours of the instructor and what is taken in them', async () => {
    const hours = [{ weekday: 1, from: '09:00', to: '12:00' }];
    const set = (of: readonly object[], version: number) =>
      first.send('PUT', '/api/free-hours', { hours: of, version });
    expect(await set(hours, 0)).toMatchObject({ status: 200, body: { hours, version: 1 } });
    // A second device that still shows what was before.
    expect(await set([], 0)).toMatchObject({ status: 409, body: { error: { code: 'stale', current: { hours } } } });
    expect((await set([{ weekday: 8, from: '9', to: '12:00' }], 1)).status).toBe(422);
    await plan([lesson('2099-05-04T09:00')]);
    const { body: other } = await first.send<LearnerView>('POST', '/api/learners', {
      name: 'Bo',
      transmission: 'manual',
      standardId: 'tally',
    });
    const { body } = await first.send<LessonsView>('GET', `/api/learners/${other.id}/lessons`);
    expect(body.freeHours.hours).toEqual(hours);
    expect(body.taken).toContainEqual({ start: '2099-05-04T09:00', minutes: 60 });
  });
});

describe('the calendar (RFC 5545)', () => {
  it('is read by an independent reader, with moves and cancellations', async () => {
    const { body } = await plan([lesson('2099-06-11T09:00'), lesson('2099-06-13T09:00')]);
    await plan([lesson('2099-06-12T10:30', { id: body.lessons[0]!.id, minutes: 90 })]);
    // ical.js: an independent reader.
    const events = new ICAL.Component(ICAL.parse(await calendar()) as [])
      .getAllSubcomponents('vevent')
      .map((component) => ({ event: new ICAL.Event(component), status: component.getFirstPropertyValue('status') }));
    expect(events).toHaveLength(3);
    const [moved, cancelled, test] = [...events].sort((a, b) => a.event.startDate.compare(b.event.startDate));
    expect(moved!.event.startDate.toString()).toBe('2099-06-12T10:30:00');
    expect(moved!.event.duration.toSeconds()).toBe(90 * 60);
    expect([moved!.status, moved!.event.sequence]).toEqual(['CONFIRMED', 1]);
    expect([cancelled!.status, cancelled!.event.sequence]).toEqual(['CANCELLED', 1]);
    expect(test!.event.summary).toBe('Driving test: Ada; the, first');
    expect(test!.event.location).toBe('Centre, north');
    expect(test!.event.startDate.isDate).toBe(true);
    expect(moved!.event.description).toBe('Junctions: stop lines, crossroads');
    expect(new Set(events.map(({ event }) => event.uid)).size).toBe(3);
  });
});
