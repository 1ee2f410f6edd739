import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { addSlice } from '../../base/store';

interface VoiceState {
  /** Drives on which everybody in the car agreed to a microphone. */
  readonly agreed: Readonly<Record<string, true>>;
  /** Pins whose words stay when they are named. */
  readonly kept: Readonly<Record<string, true>>;
}

const key = 'jasperwren-voice';

/** What was agreed survives a reload, as long as the tab. */
function agreedBefore(): VoiceState['agreed'] {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? '{}') as VoiceState['agreed'];
  } catch {
    return {};
  }
}

const slice = createSlice({
  name: 'voice',
  initialState: (): VoiceState => ({ agreed: agreedBefore(), kept: {} }),
  reducers: {
    agreedSet: (state, { payload: { driveId, agreed } }: PayloadAction<{ driveId: string; agreed: boolean }>) => {
      const { [driveId]: _, ...rest } = state.agreed;
      const next = agreed ? { ...rest, [driveId]: true as const } : rest;
      try {
        sessionStorage.setItem(key, JSON.stringify(next));
      } catch {
        // Then it is asked again after a reload.
      }
      return { ...state, agreed: next };
    },
    keptSet: (state, { payload: { pin, kept } }: PayloadAction<{ pin: string; kept: boolean }>) => {
      const { [pin]: _, ...rest } = state.kept;
      return { ...state, kept: kept ? { ...rest, [pin]: true as const } : rest };
    },
  },
});

addSlice(slice);
export const { agreedSet, keptSet } = slice.actions;

declare module '../../base/store' {
  interface Slices {
    voice: VoiceState;
  }
}
