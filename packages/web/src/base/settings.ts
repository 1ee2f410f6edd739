import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What this device remembers of how its user likes it. */
export interface Settings {
  readonly theme: 'day' | 'night' | 'device';
  /** A sound and a short vibration as receipt of a mark. */
  readonly receipts: boolean;
  /** Single letters and digits work on the marking desk. */
  readonly deskKeys: boolean;
}

const storageKey = 'jasperwren.settings';
const defaults: Settings = { theme: 'device', receipts: true, deskKeys: true };

function load(): Settings {
  try {
    return { ...defaults, ...(JSON.parse(localStorage.getItem(storageKey) ?? '{}') as Partial<Settings>) };
  } catch {
    return defaults;
  }
}

export const settingsSlice = createSlice({
  name: 'settings',
  initialState: load,
  reducers: {
    settingsChanged: (state, { payload }: PayloadAction<Partial<Settings>>) => ({ ...state, ...payload }),
  },
});

export const { settingsChanged } = settingsSlice.actions;

/** Keeps the settings on the device; without storage they last as long as the page. */
export function keepSettings(settings: Settings): void {
  try {
    localStorage.setItem(storageKey, JSON.stringify(settings));
  } catch {
    // Storage denied: nothing to do, and nothing is lost but a preference.
  }
}
