import { pretendServer } from './testing-server';
import { addressFor, api } from './api';
import { apiError, keepToken } from './client';
import { store } from './store';

let fails: number | 'away' | undefined;
const server = pretendServer(({ method, path }) => {
  if (fails === 'away') return new TypeError('no network');
  if (fails === 502) return { status: 502, body: 'bad gateway' };
  if (fails) return { status: fails, body: { error: { code: 'stale', message: 'Changed.', current: { version: 2 } } } };
  return method === 'DELETE' ? { status: 204 } : { body: { at: path } };
});
afterAll(() => {
  store.dispatch(api.util.resetApiState());
  server.stop();
});
beforeEach(() => {
  fails = undefined;
  store.dispatch(api.util.resetApiState());
  server.forget();
});

/** Waits until nothing is under way. */
const settled = () => Promise.all(store.dispatch(api.util.getRunningQueriesThunk()));

describe('the client of the table of routes', () => {
  it('calls a route by its method, its address and its body, with the token of the sign-in', async () => {
    keepToken('t');
    const input = { weekday: 1, from: '09:00', to: '12:00' };
    await store.dispatch(api.endpoints.setFreeHours.initiate({ body: { hours: [input], version: 0 } }));
    await store.dispatch(api.endpoints.revokeShare.initiate({ driveId: 'd/1', shareId: 's' }));
    await store.dispatch(api.endpoints.learners.initiate({ archived: '1' }));
    await store.dispatch(api.endpoints.learners.initiate());
    expect(server.paths()).toEqual([
      'PUT /api/free-hours',
      'DELETE /api/drives/d%2F1/shares/s',
      'GET /api/learners?archived=1',
      'GET /api/learners',
    ]);
    expect(server.heard[0]!.body).toEqual({ hours: [input], version: 0 });
    expect(server.heard[0]!.headers.get('x-csrf-token')).toBe('t');
    expect(server.heard[3]!.body).toBeUndefined();
    expect(addressFor('auditTable', { from: '2026-01-01' })).toBe('/api/audit.csv?from=2026-01-01');
  });

  it('asks again for what a change touches: the learner’s and everybody’s lists, and no other learner', async () => {
    const open = [
      store.dispatch(api.endpoints.learner.initiate({ learnerId: 'ada' })),
      store.dispatch(api.endpoints.learner.initiate({ learnerId: 'bo' })),
      store.dispatch(api.endpoints.learners.initiate()),
      store.dispatch(api.endpoints.checks.initiate()),
    ];
    await settled();
    server.forget();
    await store.dispatch(api.endpoints.archiveLearner.initiate({ learnerId: 'ada' }));
    await settled();
    expect(server.paths().sort()).toEqual([
      'GET /api/learners',
      'GET /api/learners/ada',
      'PUT /api/learners/ada/archived',
    ]);
    server.forget();
    // Where nobody says whose it is, everything of the kind is asked for.
    await store.dispatch(
      api.endpoints.addLearner.initiate({ body: { name: 'Cy', transmission: 'manual', standardId: 'tally' } }),
    );
    await settled();
    expect(server.paths().filter((path) => path.startsWith('GET'))).toHaveLength(3);
    open.forEach((one) => one.unsubscribe());
  });

  it('asks again for the lessons of all when those of one change: their hours are taken', async () => {
    const open = store.dispatch(api.endpoints.lessons.initiate({ learnerId: 'bo' }));
    await open;
    server.forget();
    await store.dispatch(api.endpoints.keepLessons.initiate({ learnerId: 'ada', body: { lessons: [], version: 0 } }));
    await settled();
    expect(server.paths()).toEqual(['PUT /api/learners/ada/lessons', 'GET /api/learners/bo/lessons']);
    open.unsubscribe();
  });

  it('asks for nothing again where a change was refused, and tells what stands', async () => {
    const open = store.dispatch(api.endpoints.learner.initiate({ learnerId: 'ada' }));
    await open;
    server.forget();
    fails = 409;
    const { error } = await store.dispatch(api.endpoints.archiveLearner.initiate({ learnerId: 'ada' }));
    await settled();
    expect(apiError(error)).toEqual({ status: 409, code: 'stale', message: 'Changed.', current: { version: 2 } });
    expect(server.paths()).toEqual(['PUT /api/learners/ada/archived']);
    open.unsubscribe();
  });

  it.each(['away', 502] as const)('says that the server cannot be reached: %s', async (how) => {
    fails = how;
    const { error } = await store.dispatch(api.endpoints.school.initiate());
    expect(apiError(error)).toMatchObject({ status: 0, code: 'unreachable' });
  });

  it('has words for what nobody foresaw', () => {
    expect(apiError(new Error('x'))).toMatchObject({ code: 'unknown', status: 0 });
    expect(apiError(undefined)).toBeUndefined();
  });
});
