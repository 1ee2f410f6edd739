import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { addSlice, type RootState } from '../../base/store';

/** Where the positions of a trace come from. */
export type RecordedFrom = 'device' | 'simulated';

interface Recording {
  /** By drive; one that is not recorded is not in it. */
  readonly from: Readonly<Record<string, RecordedFrom>>;
  /** Positions noted on this page so far, by drive. */
  readonly fixes: Readonly<Record<string, number>>;
  /** Why there is no position. */
  readonly failed?: string | undefined;
}

const storageKey = 'jasperwren-traces';

/** What was being recorded before the page was loaded again. */
function before(): Recording['from'] {
  try {
    return JSON.parse(sessionStorage.getItem(storageKey) ?? '{}') as Recording['from'];
  } catch {
    return {};
  }
}

const slice = createSlice({
  name: 'recording',
  initialState: (): Recording => ({ from: before(), fixes: {} }),
  reducers: {
    recordingSet: (
      state,
      {
        payload: { driveId, from },
      }: PayloadAction<{ readonly driveId: string; readonly from: RecordedFrom | undefined }>,
    ) => {
      const others = Object.entries(state.from).filter(([id]) => id !== driveId);
      return { ...state, failed: undefined, from: Object.fromEntries(from ? [...others, [driveId, from]] : others) };
    },
    fixNoted: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      failed: undefined,
      fixes: { ...state.fixes, [payload]: (state.fixes[payload] ?? 0) + 1 },
    }),
    positionFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, failed: payload }),
  },
});

export const { recordingSet, fixNoted, positionFailed } = slice.actions;

/** Whether the way of a drive is being recorded. */
export const isRecording =
  (driveId: string) =>
  ({ recording }: RootState): boolean =>
    recording.from[driveId] !== undefined;

addSlice(slice);
declare module '../../base/store' {
  interface Slices {
    readonly recording: Recording;
  }
}

/** Keeps what is recorded over a reload of the page. */
export function keepRecording(from: Recording['from']): void {
  try {
    sessionStorage.setItem(storageKey, JSON.stringify(from));
  } catch {
    // Then a reload ends it.
  }
}
