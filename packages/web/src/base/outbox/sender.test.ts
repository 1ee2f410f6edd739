import 'fake-indexeddb/auto';
import { deviceDb } from '../device/device-db';
import { until } from '../testing-until';
import type { Lane, RouteOfLane } from '../device/lanes';
import { entriesOf, putInLine, putLatest, sendSoon } from './entries';
import { makeSender, type Sent } from './sender';

interface Request {
  readonly route: RouteOfLane;
  readonly of: string;
  readonly bodies: readonly unknown[];
}

const requests: Request[] = [];
const arrived: string[] = [];
const actions: { readonly type: string; readonly payload?: unknown }[] = [];
const ok: Sent = { ok: true };
const refused = (status: number, code = 'no', message = 'No.'): Sent => ({ ok: false, status, code, message });
let answer: (request: Request) => Sent;

const carrier = (most: number) => ({
  most,
  argOf: (of: string, bodies: readonly unknown[]) => ({ of, bodies }),
  arrived: (_: string, ids: readonly string[]) => void arrived.push(...ids),
});
const send = (route: RouteOfLane, arg: object) => {
  const request = { route, ...(arg as Omit<Request, 'route'>) };
  requests.push(request);
  return Promise.resolve(answer(request));
};
const dispatch = ((action: { type: string }) => actions.push(action)) as never;
const sender = makeSender(
  {
    sendEvents: carrier(200),
    sendFixes: carrier(40),
    sendVoice: carrier(1),
    dropVoice: carrier(1),
    addReviews: carrier(100),
    addMyReviews: carrier(100),
    setFreeHours: carrier(1),
  },
  send,
  dispatch,
  () => Promise.resolve(),
);

async function line(owner: string, lane: Lane, ...ids: readonly string[]): Promise<void> {
  for (const id of ids) await putInLine({ id, owner, lane, body: id });
}
const left = async (owner = 'ada') => (await entriesOf(owner)).map(({ id }) => id);
const last = (type: string) => actions.filter((action) => action.type === type).at(-1)?.payload;
let stop: () => void = () => undefined;

beforeAll(() => {
  Object.assign(globalThis, { window: new EventTarget() });
});
beforeEach(async () => {
  await deviceDb.outbox.clear();
  requests.length = 0;
  arrived.length = 0;
  actions.length = 0;
  answer = () => ok;
});
afterEach(() => stop());

describe('the outbox', () => {
  it('sends each lane in its order, in portions, and each entry once', async () => {
    const ids = Array.from({ length: 450 }, (_, i) => `e${i}`);
    await line('ada', 'sendEvents a', ...ids);
    stop = sender.start('ada');
    await until(async () => (await left()).length === 0);
    expect(requests.map(({ bodies }) => bodies.length)).toEqual([200, 200, 50]);
    expect(requests.flatMap(({ bodies }) => bodies)).toEqual(ids);
    expect(arrived).toEqual(ids);
  });

  it('tries again when the server cannot be reached, and loses nothing', async () => {
    await line('ada', 'addMyReviews a', 'a', 'b');
    answer = () => refused(0, 'unreachable');
    stop = sender.start('ada');
    await until(() => last('outbox/reached') === false);
    expect(await left()).toEqual(['a', 'b']);
    answer = () => ok;
    await until(() => last('outbox/reached') === true);
    expect(await left()).toEqual([]);
  });

  it.each([401, 429, 503])('keeps its order after an answer %s', async (status) => {
    await line('ada', 'sendEvents a', 'one', 'two');
    answer = () => refused(status);
    stop = sender.start('ada');
    await until(() => last('outbox/reached') === false);
    expect((await entriesOf('ada')).map(({ id, refused: why }) => [id, why])).toEqual([
      ['one', undefined],
      ['two', undefined],
    ]);
  });

  it('sets a refused entry aside with the reason, and sends the rest and the other lanes', async () => {
    await line('ada', 'sendEvents a', 'one', 'bad', 'three', 'four');
    await line('ada', 'sendEvents b', 'welcome');
    answer = ({ bodies }) => (bodies.includes('bad') ? refused(422, 'invalid', 'An event is not right.') : ok);
    stop = sender.start('ada');
    await until(async () => (await left()).length === 1 && last('outbox/reached') === true);
    const [aside] = await entriesOf('ada');
    expect(aside).toMatchObject({ id: 'bad', refused: { status: 422, message: 'An event is not right.' } });
    expect(arrived).toEqual(['one', 'three', 'four', 'welcome']);
    expect(last('outbox/outboxCounted')).toEqual({ waiting: 1, refused: 1, reason: 'An event is not right.' });
    // It is not tried again by itself.
    requests.length = 0;
    sendSoon();
    await line('ada', 'sendEvents c', 'later');
    await until(() => arrived.includes('later'));
    expect(requests.every(({ bodies }) => !bodies.includes('bad'))).toBe(true);
  });

  it('splits what is too large', async () => {
    await line('ada', 'sendEvents a', 'one', 'two', 'three');
    answer = ({ bodies }) => (bodies.length > 1 ? refused(413, 'too-large') : ok);
    stop = sender.start('ada');
    await until(async () => (await left()).length === 0);
    expect(arrived).toEqual(['one', 'two', 'three']);
  });

  it('sends nobody’s entries but those of whoever is signed in, and keeps the others’', async () => {
    await line('bo', 'sendEvents b', 'theirs');
    await line('ada', 'sendEvents b', 'own');
    stop = sender.start('ada');
    await until(() => arrived.length > 0);
    expect(arrived).toEqual(['own']);
    expect(await left('bo')).toEqual(['theirs']);
  });

  it('puts a setting in the place of an older one that still waits', async () => {
    for (const id of ['first', 'second']) await putLatest({ id, owner: 'ada', lane: 'setFreeHours ada', body: id });
    stop = sender.start('ada');
    await until(() => arrived.length > 0);
    expect(requests).toEqual([{ route: 'setFreeHours', of: 'ada', bodies: ['second'] }]);
  });
});

describe('where the device keeps nothing', () => {
  it('entries live as long as the page, and are sent all the same', async () => {
    const add = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('Denied', 'SecurityError');
    });
    await line('ada', 'addMyReviews a', 'held');
    add.mockRestore();
    expect(await deviceDb.outbox.count()).toBe(0);
    expect(await left()).toEqual(['held']);
    stop = sender.start('ada');
    await until(() => arrived.includes('held'));
    expect(await left()).toEqual([]);
  });
});
