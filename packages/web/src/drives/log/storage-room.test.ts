import { askToPersist, storageRoom } from './storage-room';

const megabyte = 1024 * 1024;
const withStorage = (storage: unknown) =>
  Object.defineProperty(globalThis, 'navigator', { value: { storage }, configurable: true });
const estimating = (usage?: number, quota?: number) =>
  withStorage({ estimate: () => Promise.resolve({ usage, quota }) });

afterEach(() => withStorage(undefined));

describe('the room on a device', () => {
  it.each([
    ['plenty', 10, 500, { state: 'enough' }],
    ['just enough', 80, 100, { state: 'enough' }],
    ['a little less', 81, 100, { state: 'low', leftMB: 19 }],
    ['none', 100, 100, { state: 'low', leftMB: 0 }],
    ['less than none, as some browsers count', 120, 100, { state: 'low', leftMB: 0 }],
  ])('is told where there is %s', async (_, used, quota, room) => {
    estimating(used * megabyte, quota * megabyte);
    expect(await storageRoom()).toEqual(room);
  });

  it('is not guessed where the browser does not say', async () => {
    estimating(undefined, undefined);
    expect(await storageRoom()).toEqual({ state: 'unknown' });
    withStorage(undefined);
    expect(await storageRoom()).toEqual({ state: 'unknown' });
    withStorage({ estimate: () => Promise.reject(new Error('denied')) });
    expect(await storageRoom()).toEqual({ state: 'unknown' });
  });

  it('is asked to be kept, and a browser that cannot is let be', async () => {
    const persist = jest.fn(() => Promise.reject(new Error('denied')));
    withStorage({ persist });
    askToPersist();
    await Promise.resolve();
    expect(persist).toHaveBeenCalledTimes(1);
    withStorage({});
    expect(askToPersist).not.toThrow();
  });
});
