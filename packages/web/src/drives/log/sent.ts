import { store } from '../../base/store';
import { sentAmong } from './device-log';
import { driveNowMs, isGuessed } from './drive-clock';
import { eventsSent } from './drive-logs';

const openDrive = (driveId: string) => store.getState().driveLogs.open[driveId];

/** Whose drive it is, where it is open on this page. */
export const learnerOf = (driveId: string): string | undefined => openDrive(driveId)?.meta.learnerId;

/** The clock of a drive as a batch leaves; nothing where the drive is not open, or its clock here is but a guess. */
export const clockOf = (driveId: string) =>
  openDrive(driveId) && !isGuessed(driveId) ? { clockMs: driveNowMs(driveId) } : {};

/** The server has these events of a drive. */
export function eventsArrived(driveId: string, ids: readonly string[]): void {
  store.dispatch(eventsSent({ driveId, ids }));
}

/** Another tab may have sent what was marked in this one. */
export async function learnFromOtherTabs(): Promise<void> {
  for (const [driveId, { unsent }] of Object.entries(store.getState().driveLogs.open)) {
    const ids = unsent.length > 0 ? await sentAmong(unsent).catch(() => []) : [];
    if (ids.length > 0) store.dispatch(eventsSent({ driveId, ids }));
  }
}
