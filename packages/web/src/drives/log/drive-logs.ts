import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { DriveMeta } from './device-log';

/** How sending stands: nothing to say, no connection, or the server said no. */
export type SendTrouble = { readonly kind: 'unreachable' } | { readonly kind: 'refused'; readonly message: string };

/** A drive that is open on this page. */
export interface OpenDrive {
  readonly meta: DriveMeta;
  readonly events: readonly DriveEvent[];
  /** Ids the server has not acknowledged. */
  readonly unsent: readonly string[];
}

interface DriveLogs {
  readonly open: Readonly<Record<string, OpenDrive>>;
  readonly trouble?: SendTrouble | undefined;
  /** This device's storage refused an event. */
  readonly storageFailed: boolean;
}

const initialState: DriveLogs = { open: {}, storageFailed: false };

const slice = createSlice({
  name: 'driveLogs',
  initialState,
  reducers: {
    driveOpened: (
      state,
      { payload }: PayloadAction<{ meta: DriveMeta; events: readonly DriveEvent[]; unsent: readonly string[] }>,
    ) => {
      const { meta, events, unsent } = payload;
      return withDrive(state, { meta, events, unsent });
    },
    /** Events another device sent, or this one before. */
    eventsLearnt: (state, { payload }: PayloadAction<{ driveId: string; events: readonly DriveEvent[] }>) => {
      const drive = state.open[payload.driveId];
      if (!drive) return state;
      const known = new Set(drive.events.map((event) => event.id));
      const fresh = payload.events.filter((event) => !known.has(event.id));
      return fresh.length === 0 ? state : withDrive(state, { ...drive, events: [...drive.events, ...fresh] });
    },
    eventAdded: (state, { payload }: PayloadAction<{ driveId: string; event: DriveEvent }>) => {
      const drive = state.open[payload.driveId];
      if (!drive) return state;
      const { event } = payload;
      return withDrive(state, {
        ...drive,
        events: [...drive.events, event],
        unsent: [...drive.unsent, event.id],
      });
    },
    eventsSent: (state, { payload }: PayloadAction<{ driveId: string; ids: readonly string[] }>) => {
      const drive = state.open[payload.driveId];
      if (!drive) return state;
      const sent = new Set(payload.ids);
      return withDrive(state, { ...drive, unsent: drive.unsent.filter((id) => !sent.has(id)) });
    },
    troubleChanged: (state, { payload }: PayloadAction<SendTrouble | undefined>) => ({ ...state, trouble: payload }),
    storageRefused: (state) => ({ ...state, storageFailed: true }),
  },
});

function withDrive(state: DriveLogs, drive: OpenDrive): DriveLogs {
  return { ...state, open: { ...state.open, [drive.meta.id]: drive } };
}

export const { driveOpened, eventsLearnt, eventAdded, eventsSent, troubleChanged, storageRefused } = slice.actions;
export const driveLogsReducer = slice.reducer;
