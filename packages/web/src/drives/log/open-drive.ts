import type { DriveSummary } from '@jasperwren/contract/drives';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { v7 as newId } from 'uuid';
import { api } from '../../base/api';
import { apiError, type ApiError } from '../../base/client';
import type { AppDispatch, RootState } from '../../base/store';
import type { DriveMeta } from '../../base/device/device-db';
import { deviceId, keepDrive, readDrive } from './device-log';
import { adoptClock, isGuessed, resumeClock } from './drive-clock';
import { driveOpened, eventsLearnt } from './drive-logs';

/** How many earlier drives count for what is likely now and for the comparison. */
const pastDrives = 6;

const fetchDrive = (driveId: string) =>
  api.endpoints.drive.initiate({ driveId }, { forceRefetch: true, subscribe: false });

/**
 * Learns what other devices, or this one before, have sent of a drive that is open on this page.
 * @param asksClock where its clock was but guessed off another device's: the server says it with the events, new or not
 */
export function learnFromServer(driveId: string, asksClock = false) {
  return async (dispatch: AppDispatch, getState: () => RootState): Promise<void> => {
    const drive = getState().driveLogs.open[driveId];
    if (!drive) return;
    const known = asksClock ? 0 : drive.events.length - drive.unsent.length;
    const news = api.endpoints.driveNews.initiate(
      { driveId, known: String(known) },
      { forceRefetch: true, subscribe: false },
    );
    const { data } = await dispatch(news);
    if (!data) return;
    learn(dispatch, driveId, data.events, data.clockMs);
    await keepDrive(drive.meta, data.events).catch(() => undefined);
  };
}

function learn(dispatch: AppDispatch, driveId: string, events: readonly DriveEvent[], clockMs?: number): void {
  const moved =
    events.some(({ type }) => type === 'moved-off') || !events.some((e) => e.type === 'started' && e.briefing);
  if (clockMs !== undefined && moved) adoptClock(driveId, clockMs);
  dispatch(eventsLearnt({ driveId, events, onServer: true }));
}

/**
 * Opens a drive on this page: from this device where it has it, and with what the server knows where that can be
 * reached.
 * @returns why it cannot be opened, or undefined
 */
export function openDrive(driveId: string, schoolId: string, owner: string) {
  return async (dispatch: AppDispatch, getState: () => RootState): Promise<ApiError | undefined> => {
    if (getState().driveLogs.open[driveId]) {
      void dispatch(learnFromServer(driveId));
      return undefined;
    }
    const kept = await readDrive(owner, driveId).catch(() => undefined);
    if (kept) {
      resumeClock(driveId, kept.events, deviceId(newId));
      dispatch(driveOpened(kept));
      void dispatch(learnFromServer(driveId, isGuessed(driveId)));
      return undefined;
    }
    const { data, error } = await dispatch(fetchDrive(driveId));
    if (!data) return apiError(error);
    const { summary, standard, events, clockMs } = data;
    const meta: DriveMeta = {
      id: driveId,
      schoolId,
      owner,
      learnerId: summary.learnerId,
      learnerName: summary.learnerName,
      standard,
      ...(await dispatch(standingOf(summary.learnerId, driveId))),
    };
    resumeClock(driveId, events, deviceId(newId));
    await keepDrive(meta, events).catch(() => undefined);
    dispatch(driveOpened({ meta, events, unsent: [] }));
    if (clockMs !== undefined) learn(dispatch, driveId, events, clockMs);
    return undefined;
  };
}

/** What the desk takes from a learner's earlier drives, oldest first. */
export function pastOf(drives: readonly DriveSummary[]): Pick<DriveMeta, 'past' | 'askedBefore'> {
  const asked = drives.at(-1)?.asked;
  return { past: drives.slice(-pastDrives).map(({ byItem }) => byItem), ...(asked && { askedBefore: asked }) };
}

/** Which drive of the learner this is, and what was marked in the ones before; nothing where the server is away. */
function standingOf(learnerId: string, driveId: string) {
  return async (dispatch: AppDispatch): Promise<Pick<DriveMeta, 'number' | 'past' | 'askedBefore'>> => {
    const list = api.endpoints.learnerDrives.initiate({ learnerId }, { forceRefetch: true, subscribe: false });
    const { data = [] } = await dispatch(list);
    const place = data.findIndex(({ id }) => id === driveId);
    return { number: place + 1, ...pastOf(data.slice(0, Math.max(0, place))) };
  };
}
