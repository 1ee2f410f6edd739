import type { DriveEvent, EventBody } from '@jasperwren/core/drive/event';
import { v7 as newId } from 'uuid';
import { afterPaint } from '../../base/after-paint';
import type { AppDispatch, RootState } from '../../base/store';
import type { DriveMeta } from '../../base/device/device-db';
import { deviceId, keepDrive, keepUnsent } from './device-log';
import { driveNowMs, makeClock, startClock } from './drive-clock';
import { driveOpened, eventAdded, storageRefused } from './drive-logs';
import { askToPersist } from './storage-room';
import { tellTabs } from './tabs';

/** Opens a new drive on this device and writes its start, with or without a briefing. Returns the drive's id. */
export function startDrive(
  input: Omit<DriveMeta, 'id' | 'owner'>,
  by: string,
  briefing: boolean,
  helpers: readonly string[],
) {
  return async (dispatch: AppDispatch): Promise<string> => {
    const meta: DriveMeta = { ...input, owner: by, id: newId() };
    askToPersist();
    makeClock(meta.id, briefing);
    dispatch(driveOpened({ meta, events: [], unsent: [] }));
    // A device that keeps nothing can still mark and send.
    await keepDrive(meta, []).catch(() => dispatch(storageRefused()));
    const { id, version } = meta.standard;
    await dispatch(
      append(
        meta.id,
        {
          type: 'started',
          learnerId: meta.learnerId,
          standard: { id, version },
          ...(briefing && { briefing }),
          ...(helpers.length > 0 && { helpers }),
          ...(meta.route && { route: { id: meta.route.id, name: meta.route.name } }),
        },
        by,
      ),
    );
    return meta.id;
  };
}

/**
 * Adds an event to the log of an open drive: on the screen at once, then into this device's storage, then to the
 * server when it can be reached.
 */
export function append(driveId: string, body: EventBody, by: string) {
  return async (dispatch: AppDispatch, getState: () => RootState): Promise<DriveEvent | undefined> => {
    const drive = getState().driveLogs.open[driveId];
    if (!drive) return undefined;
    if (body.type === 'moved-off') startClock(driveId);
    const device = deviceId(newId);
    const seq =
      1 +
      drive.events.reduce((highest, event) => (event.device === device ? Math.max(highest, event.seq) : highest), -1);
    const event: DriveEvent = {
      ...body,
      id: newId(),
      device,
      seq,
      atMs: driveNowMs(driveId),
      wall: new Date().toISOString(),
      by,
    };
    dispatch(eventAdded({ driveId, event }));
    await afterPaint(async () => {
      tellTabs({ driveId, event, nowMs: event.atMs });
      await keepUnsent(driveId, event).catch(() => dispatch(storageRefused()));
    });
    return event;
  };
}
