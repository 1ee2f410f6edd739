import 'fake-indexeddb/auto';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { fullTest } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/templates/tally';
import { countUnsent, keepDrive, keepUnsent, markSent } from './device-log';
import { sendSoon, startSending } from './sender';

type Request = { readonly driveId: string; readonly events: readonly DriveEvent[] };
type Result = {
  readonly data?: { readonly accepted: readonly string[] };
  readonly error?: { readonly status: number; readonly code: string; readonly message: string };
};

const requests: Request[] = [];
const actions: { readonly type: string; readonly payload?: unknown }[] = [];
let answer: (request: Request) => Result;
let open: Record<
  string,
  {
    readonly meta: { readonly id: string; readonly schoolId: string };
    readonly events: readonly DriveEvent[];
    readonly unsent: readonly string[];
  }
> = {};

jest.mock('../drives-api', () => ({
  drivesApi: { endpoints: { sendEvents: { initiate: (request: Request) => ({ request }) } } },
}));
jest.mock('../../app/store', () => ({
  store: {
    getState: () => ({ driveLogs: { open } }),
    dispatch: (action: { request?: Request; type: string }) => {
      if (!action.request) return actions.push(action);
      requests.push(action.request);
      return Promise.resolve(answer(action.request));
    },
  },
}));

const accept = ({ events }: Request): Result => ({ data: { accepted: events.map(({ id }) => id) } });
const unreachable = (): Result => ({ error: { status: 0, code: 'unreachable', message: 'No.' } });
const trouble = () => actions.filter(({ type }) => type === 'driveLogs/troubleChanged').at(-1)?.payload;

async function markHere(driveId: string, schoolId: string, n: number): Promise<readonly string[]> {
  await keepDrive(
    { id: driveId, schoolId, learnerId: 'l', learnerName: 'Ada', number: 1, standard: tally, past: [] },
    [],
  );
  const events = fullTest(Array.from({ length: n }, () => ({ type: 'pin' }) as const));
  for (const [seq, event] of events.entries()) await keepUnsent(driveId, { ...event, id: `${driveId}-${seq}`, seq });
  return events.map((_, seq) => `${driveId}-${seq}`);
}

async function until(condition: () => boolean): Promise<void> {
  for (let i = 0; i < 400 && !condition(); i++) await new Promise((resolve) => setTimeout(resolve, 10));
  expect(condition()).toBe(true);
}

let stop: () => void = () => undefined;

beforeAll(() => {
  Object.assign(globalThis, { window: Object.assign(new EventTarget(), {}) });
});
beforeEach(() => {
  requests.length = 0;
  actions.length = 0;
  answer = accept;
});
afterEach(() => stop());

describe('sending what waits on the device', () => {
  it('sends a drive in the order of the device, in batches, and each event once', async () => {
    const ids = await markHere('long', 'ours', 450);
    stop = startSending('ours');
    await until(() => requests.length === 3);
    await until(() => trouble() === undefined && actions.length > 0);
    expect(requests.map(({ events }) => events.length)).toEqual([200, 200, ids.length - 400]);
    expect(requests.flatMap(({ events }) => events.map(({ id }) => id))).toEqual(ids);
    expect(await countUnsent()).toBe(0);
  });

  it('tries again when the server cannot be reached, and loses nothing', async () => {
    const ids = await markHere('offline', 'ours', 2);
    answer = unreachable;
    stop = startSending('ours');
    await until(() => trouble() !== undefined);
    expect(trouble()).toEqual({ kind: 'unreachable' });
    expect(await countUnsent()).toBe(ids.length);
    answer = accept;
    await until(() => trouble() === undefined);
    expect(requests.length).toBeGreaterThanOrEqual(2);
    expect(await countUnsent()).toBe(0);
  });

  it('says what the server refused, keeps it, and sends the other drives all the same', async () => {
    const refused = await markHere('refused', 'ours', 1);
    await markHere('welcome', 'ours', 1);
    answer = (request) =>
      request.driveId === 'refused'
        ? { error: { status: 404, code: 'no-learner', message: 'No such learner.' } }
        : accept(request);
    stop = startSending('ours');
    await until(() => trouble() !== undefined);
    expect(trouble()).toEqual({ kind: 'refused', message: 'No such learner.' });
    expect(await countUnsent()).toBe(refused.length);
    answer = accept;
    sendSoon();
    await until(() => trouble() === undefined);
  });

  it('learns what another tab of this device has sent', async () => {
    const all = await markHere('elsewhere', 'ours', 0);
    const [sent] = all;
    await markSent(all);
    const meta = { id: 'elsewhere', schoolId: 'ours' };
    open = { elsewhere: { meta, events: [], unsent: [sent!, 'on its way to the storage'] } };
    stop = startSending('ours');
    await until(() => actions.some(({ type }) => type === 'driveLogs/eventsSent'));
    expect(actions.filter(({ type }) => type === 'driveLogs/eventsSent').at(-1)?.payload).toEqual({
      driveId: 'elsewhere',
      ids: [sent],
    });
    open = {};
  });

  it('leaves alone what another school marked on this device', async () => {
    await markHere('theirs', 'another', 1);
    stop = startSending('ours');
    await until(() => actions.length > 0);
    expect(requests).toEqual([]);
  });
});
