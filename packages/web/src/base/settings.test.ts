import { configureStore } from '@reduxjs/toolkit';
import type { Settings } from './settings';

const kept = new Map<string, string>();
const storage = (refuses = false) => ({
  getItem: (key: string) => {
    if (refuses) throw new Error('denied');
    return kept.get(key) ?? null;
  },
  setItem: (key: string, value: string) => {
    if (refuses) throw new Error('denied');
    kept.set(key, value);
  },
});
const useStorage = (value: unknown) =>
  Object.defineProperty(globalThis, 'localStorage', { value, configurable: true, writable: true });

/** The settings as a page finds them that is opened now. */
async function opened() {
  jest.resetModules();
  const { keepSettings, settingsChanged, settingsSlice } = await import('./settings');
  const store = configureStore({ reducer: { settings: settingsSlice.reducer } });
  const now = (): Settings => store.getState().settings;
  return {
    now,
    change: (changes: Partial<Settings>) => {
      store.dispatch(settingsChanged(changes));
      keepSettings(now());
    },
  };
}

beforeEach(() => {
  kept.clear();
  useStorage(storage());
});
afterAll(() => useStorage(undefined));

describe('the settings of a device', () => {
  it('begin with the theme of the device, receipts and single keys', async () => {
    expect((await opened()).now()).toEqual({ theme: 'device', receipts: true, deskKeys: true });
  });

  it('are found again by the next page', async () => {
    (await opened()).change({ theme: 'night', deskKeys: false });
    expect((await opened()).now()).toEqual({ theme: 'night', receipts: true, deskKeys: false });
  });

  it('that were kept before a setting was invented take its default', async () => {
    kept.set('jasperwren.settings', '{"theme":"day"}');
    expect((await opened()).now()).toEqual({ theme: 'day', receipts: true, deskKeys: true });
  });

  it('that cannot be read are as at first', async () => {
    kept.set('jasperwren.settings', '{"theme":');
    expect((await opened()).now().theme).toBe('device');
  });

  it('last as long as the page where storage is denied', async () => {
    useStorage(storage(true));
    const page = await opened();
    page.change({ receipts: false });
    expect(page.now().receipts).toBe(false);
    expect((await opened()).now().receipts).toBe(true);
  });
});
