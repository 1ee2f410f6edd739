import { createSlice, original, type Draft, type PayloadAction } from '@reduxjs/toolkit';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { DriveMeta } from '../../base/device/device-db';
import { personLeft } from '../../base/person';
import { addSlice } from '../../base/store';

/** A drive that is open on this page. */
export interface OpenDrive {
  readonly meta: DriveMeta;
  readonly events: readonly DriveEvent[];
  /** Ids the server has not acknowledged. */
  readonly unsent: readonly string[];
}

interface DriveLogs {
  readonly open: Readonly<Record<string, OpenDrive>>;
  /** This device's storage refused an event. */
  readonly storageFailed: boolean;
  /** Megabytes left on this device, once they are few. */
  readonly storageLeftMB?: number | undefined;
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
    /** Events another device sent, or this one before, or another tab has just written and not sent. */
    eventsLearnt: (
      state,
      { payload }: PayloadAction<{ driveId: string; events: readonly DriveEvent[]; onServer: boolean }>,
    ) => {
      const drive = openDrive(state, payload.driveId);
      if (!drive) return state;
      const told = new Set(payload.events.map((event) => event.id));
      const known = new Set(drive.events.map((event) => event.id));
      const fresh = payload.events.filter((event) => !known.has(event.id));
      const unsent = payload.onServer
        ? drive.unsent.filter((id) => !told.has(id))
        : [...drive.unsent, ...fresh.map(({ id }) => id)];
      if (fresh.length === 0 && unsent.length === drive.unsent.length) return state;
      return withDrive(state, { ...drive, events: [...drive.events, ...fresh], unsent });
    },
    eventAdded: (state, { payload }: PayloadAction<{ driveId: string; event: DriveEvent }>) => {
      const drive = openDrive(state, payload.driveId);
      if (!drive) return state;
      const { event } = payload;
      return withDrive(state, {
        ...drive,
        events: [...drive.events, event],
        unsent: [...drive.unsent, event.id],
      });
    },
    eventsSent: (state, { payload }: PayloadAction<{ driveId: string; ids: readonly string[] }>) => {
      const drive = openDrive(state, payload.driveId);
      if (!drive) return state;
      const sent = new Set(payload.ids);
      return withDrive(state, { ...drive, unsent: drive.unsent.filter((id) => !sent.has(id)) });
    },
    roomMeasured: (state, { payload }: PayloadAction<number | undefined>) => ({ ...state, storageLeftMB: payload }),
    storageRefused: (state) => ({ ...state, storageFailed: true }),
  },
  extraReducers: (build) => build.addCase(personLeft, () => initialState),
});

/** A drive as it was kept, not as a draft: whoever copies a draft's events makes a draft of each of them. */
const openDrive = (state: Draft<DriveLogs>, driveId: string): OpenDrive | undefined => original(state).open[driveId];

function withDrive(state: Draft<DriveLogs>, drive: OpenDrive): DriveLogs {
  const before = original(state);
  return { ...before, open: { ...before.open, [drive.meta.id]: drive } };
}

export const { driveOpened, eventsLearnt, eventAdded, eventsSent, roomMeasured, storageRefused } = slice.actions;
export const driveLogsReducer = slice.reducer;
addSlice(slice);
declare module '../../base/store' {
  interface Slices {
    readonly driveLogs: DriveLogs;
  }
}
