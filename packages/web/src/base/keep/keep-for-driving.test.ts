import { keepForDriving } from './keep-for-driving';
import { keepStatus } from './keep-status';

const soon = new Date(Date.now() + 3600_000).toISOString();
const answers: Readonly<Record<string, unknown>> = {
  '/api/lessons': [
    { learnerId: 'ada', start: soon },
    { learnerId: 'ada', start: soon },
    { learnerId: 'bo', start: '2099-01-01T09:00' },
  ],
  '/api/drives': [
    { id: 'told', phase: 'ended', debriefed: true },
    { id: 'untold', phase: 'ended', debriefed: false },
  ],
  '/api/routes': [{ roadsId: 'r' }, { roadsId: 'r' }],
};
const answer = (address: string, headers?: HeadersInit) =>
  ({ ok: true, headers: new Headers(headers), json: () => Promise.resolve(answers[address] ?? {}) }) as Response;

beforeAll(() => {
  const container = { ready: Promise.resolve(), controller: {} };
  Object.defineProperty(globalThis, 'navigator', { value: { serviceWorker: container }, configurable: true });
});

it('asks for the day: everybody, whoever has a lesson soon, what is still to be talked through, and each road once', async () => {
  const asked: string[] = [];
  await keepForDriving((address) => {
    asked.push(address);
    return Promise.resolve(answer(address));
  });
  for (const address of ['/api/learners', '/api/standards', '/api/checks', '/api/readiness', '/api/session'])
    expect(asked).toContain(address);
  expect(asked.filter((address) => address.startsWith('/api/learners/'))).toEqual([
    '/api/learners/ada',
    '/api/learners/ada/drives',
    '/api/learners/ada/lessons',
    '/api/learners/ada/readiness',
    '/api/learners/ada/reviews',
    '/api/learners/ada/sheets',
  ]);
  expect(asked.filter((address) => address.startsWith('/api/drives/'))).toEqual(['/api/drives/untold']);
  expect(asked.filter((address) => address.startsWith('/api/roads/'))).toEqual(['/api/roads/r/ways']);
  expect(keepStatus.now()).toMatchObject({ state: 'ready' });
});

it.each([
  ['fails', () => Promise.reject(new TypeError('no network'))],
  ['is refused', () => Promise.resolve({ ok: false, headers: new Headers() } as Response)],
  ['comes from the device', (address: string) => Promise.resolve(answer(address, { 'x-kept': '1' }))],
])('is not ready where one answer %s', async (_, broken: (address: string) => Promise<Response>) => {
  await keepForDriving((address) =>
    address.endsWith('/reviews') ? broken(address) : Promise.resolve(answer(address)),
  );
  expect(keepStatus.now()).toEqual({ state: 'incomplete' });
});
