/** Signing out and making way for somebody else on one device. */

// What the service worker keeps is forgotten elsewhere.
jest.mock('../base/offline', () => ({ forgetAnswers: () => Promise.resolve() }));

const kept = new Map<string, string>();
const requests: { readonly path: string; readonly method: string; readonly token: string | undefined }[] = [];
let answers: (path: string, method: string, token: string | undefined) => Response | undefined;
const dispatched: { readonly type: string }[] = [];

beforeEach(() => {
  kept.clear();
  requests.length = 0;
  dispatched.length = 0;
  Object.defineProperty(globalThis, 'localStorage', {
    value: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    },
    configurable: true,
    writable: true,
  });
  globalThis.fetch = ((path: string, { method = 'GET', headers = {} }: RequestInit = {}) => {
    const token = (headers as Record<string, string>)['x-csrf-token'];
    requests.push({ path, method, token });
    const answer = answers(path, method, token);
    return answer ? Promise.resolve(answer) : Promise.reject(new TypeError('no network'));
  }) as typeof fetch;
});

const nothing = (status: number) => new Response(null, { status });
const session = (csrfToken: string) => Response.json({ csrfToken });

/** The module as a page finds it that was opened now, with the token of its sign-in. */
async function opened(token = '') {
  jest.resetModules();
  const { keepToken } = await import('../base/client');
  keepToken(token);
  const { leave, isLeaving, finishLeaving, arrive, lastPerson } = await import('./leave');
  const dispatch = ((action: { readonly type: string }) => {
    dispatched.push(action);
    return action;
  }) as never;
  return {
    leave: () => leave(dispatch),
    isLeaving,
    finishLeaving,
    lastPerson,
    arrive: (who: string) => arrive(who, dispatch),
  };
}
const forgot = () => dispatched.some(({ type }) => type === 'personLeft');

it('tells the server with the token of the sign-in, and forgets the person', async () => {
  answers = () => nothing(204);
  const page = await opened('mine');
  await page.leave();
  expect(requests).toEqual([{ path: '/api/session', method: 'DELETE', token: 'mine' }]);
  expect(page.isLeaving()).toBe(false);
  expect(forgot()).toBe(true);
});

it('signs out without a network too, and tells the server as soon as it can, with the token it had', async () => {
  answers = () => undefined;
  const page = await opened('mine');
  await page.leave();
  expect(page.isLeaving()).toBe(true);
  expect(forgot()).toBe(true);
  // The page is opened anew, with no token.
  const later = await opened();
  expect(later.isLeaving()).toBe(true);
  expect(await later.finishLeaving()).toBe(false);
  answers = () => nothing(204);
  expect(await later.finishLeaving()).toBe(true);
  expect(requests.at(-1)).toEqual({ path: '/api/session', method: 'DELETE', token: 'mine' });
  expect(later.isLeaving()).toBe(false);
});

it('asks for the token of now where the one it had is refused', async () => {
  answers = (path, method, token) =>
    method === 'DELETE' ? nothing(token === 'fresh' ? 204 : 403) : session(path === '/api/session' ? 'fresh' : '');
  const page = await opened('stale');
  await page.leave();
  expect(page.isLeaving()).toBe(false);
  expect(requests.map(({ method, token }) => [method, token])).toEqual([
    ['DELETE', 'stale'],
    ['GET', undefined],
    ['DELETE', 'fresh'],
  ]);
});

it('goes on leaving while the server cannot say', async () => {
  answers = () => nothing(503);
  const page = await opened('mine');
  await page.leave();
  expect(page.isLeaving()).toBe(true);
  // A sign-in that the server does not know is none.
  answers = () => nothing(401);
  expect(await page.finishLeaving()).toBe(true);
  expect(page.isLeaving()).toBe(false);
});

it('has nothing to tell where nobody has left', async () => {
  const page = await opened();
  expect(await page.finishLeaving()).toBe(true);
  expect(requests).toEqual([]);
});

it('clears the device for another person, not for the same one, and ends an open leaving', async () => {
  answers = () => undefined;
  const page = await opened();
  await page.arrive('ada');
  expect(forgot()).toBe(false);
  expect(page.lastPerson()).toBe('ada');
  await page.arrive('ada');
  expect(forgot()).toBe(false);
  await page.leave();
  // Who it was stands nowhere: whoever comes begins anew, also where the clearing was broken off.
  expect(page.lastPerson()).not.toBe('ada');
  dispatched.length = 0;
  await page.arrive('ada');
  expect([forgot(), page.isLeaving()]).toEqual([true, false]);
  await page.arrive('brisa');
  expect([forgot(), page.lastPerson()]).toEqual([true, 'brisa']);
});

it('works with a storage that is denied, for as long as the page', async () => {
  Object.defineProperty(globalThis, 'localStorage', {
    get: () => {
      throw new Error('denied');
    },
    configurable: true,
  });
  answers = () => nothing(204);
  const page = await opened('mine');
  expect(page.isLeaving()).toBe(false);
  expect(page.lastPerson()).toBeUndefined();
  await page.leave();
  await page.arrive('ada');
  expect(forgot()).toBe(true);
});
