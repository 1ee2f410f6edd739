import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { AppDispatch, RootState } from '../../base/store';
import { keepUnsent } from './device-log';
import { eventAdded, storageRefused } from './drive-logs';

/** Adds events that were made elsewhere, as from sensors, to the log of an open drive. Returns those that were new. */
export function appendMade(driveId: string, made: readonly DriveEvent[]) {
  return async (dispatch: AppDispatch, getState: () => RootState): Promise<readonly DriveEvent[]> => {
    const known = new Set(getState().driveLogs.open[driveId]?.events.map(({ id }) => id));
    const fresh = made.filter(({ id }) => !known.has(id));
    for (const event of fresh) {
      dispatch(eventAdded({ driveId, event }));
      await keepUnsent(driveId, event).catch(() => dispatch(storageRefused()));
    }
    return fresh;
  };
}
