import { apiError, type ApiError } from '../../app/api';
import type { AppDispatch, RootState } from '../../app/store';
import { drivesApi } from '../drives-api';
import { keepDrive, readDrive } from './device-log';
import { resumeClock } from './drive-clock';
import { driveOpened, eventsLearnt } from './drive-logs';

/**
 * Opens a drive on this page: from this device where it has it, and with what the server knows where that can be
 * reached.
 * @returns why it cannot be opened, or undefined
 */
export function openDrive(driveId: string, schoolId: string) {
  return async (dispatch: AppDispatch, getState: () => RootState): Promise<ApiError | undefined> => {
    const fetchDrive = () =>
      dispatch(drivesApi.endpoints.drive.initiate(driveId, { forceRefetch: true, subscribe: false }));
    const learn = () =>
      void fetchDrive().then(({ data }) => {
        if (data) dispatch(eventsLearnt({ driveId, events: data.events }));
      });
    if (getState().driveLogs.open[driveId]) {
      learn();
      return undefined;
    }
    const kept = await readDrive(driveId).catch(() => undefined);
    if (kept && kept.meta.schoolId === schoolId) {
      const events = kept.events.map(({ event }) => event);
      resumeClock(driveId, events);
      dispatch(
        driveOpened({ meta: kept.meta, events, unsent: kept.events.filter(({ sent }) => !sent).map(({ id }) => id) }),
      );
      learn();
      return undefined;
    }
    const { data, error } = await fetchDrive();
    if (!data) return apiError(error);
    const { summary, standard, events } = data;
    const meta = {
      id: driveId,
      schoolId,
      learnerId: summary.learnerId,
      learnerName: summary.learnerName,
      number: 0,
      standard,
      past: [],
    };
    resumeClock(driveId, events);
    await keepDrive(meta, events).catch(() => undefined);
    dispatch(driveOpened({ meta, events, unsent: [] }));
    return undefined;
  };
}
