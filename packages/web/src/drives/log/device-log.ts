import type { DriveEvent } from '@jasperwren/core/drive/event';
import { deviceDb, type DriveMeta, type KeptEvent } from '../../base/device/device-db';
import { laneOfDrive } from '../../base/device/lanes';
import { entriesOf, putInLine, sendSoon } from '../../base/outbox/entries';

/** A drive and its events as this device has them. */
export interface KeptDrive {
  readonly meta: DriveMeta;
  readonly events: readonly DriveEvent[];
  /** Events of its owner that the server has not acknowledged. */
  readonly unsent: readonly string[];
}

/** A drive that this person has on this device. */
export async function readDrive(owner: string, driveId: string): Promise<KeptDrive | undefined> {
  const meta = await deviceDb.drives.get(driveId);
  return meta?.owner === owner ? keptDrive(meta) : undefined;
}

async function keptDrive(meta: DriveMeta): Promise<KeptDrive> {
  const events = await deviceDb.events.where({ driveId: meta.id }).toArray();
  const waiting = (await entriesOf(meta.owner)).filter(({ lane }) => lane === laneOfDrive(meta.id));
  return { meta, events: events.map(({ event }) => event), unsent: waiting.map(({ id }) => id) };
}

/** Keeps a drive with events the server has already, so that marking can go on here. */
export async function keepDrive(meta: DriveMeta, sentEvents: readonly DriveEvent[]): Promise<void> {
  await deviceDb.transaction('rw', deviceDb.drives, deviceDb.events, async () => {
    await deviceDb.drives.put(meta);
    await deviceDb.events.bulkPut(sentEvents.map((event): KeptEvent => ({ id: event.id, driveId: meta.id, event })));
  });
}

/**
 * Keeps an event and puts it in line to be sent: both, or, where storage is denied, in line for as long as the page
 * lives.
 * @throws where storage is denied
 */
export async function keepUnsent(driveId: string, event: DriveEvent): Promise<void> {
  const entry = { id: event.id, owner: event.by, lane: laneOfDrive(driveId), body: event };
  try {
    await deviceDb.transaction('rw', deviceDb.events, deviceDb.outbox, async () => {
      await deviceDb.events.put({ id: event.id, driveId, event });
      await deviceDb.outbox.add(entry);
    });
    sendSoon();
  } catch (error) {
    await putInLine(entry);
    throw error;
  }
}

/** Which of these events the server has, whoever sent them: another tab of this device may have. */
export async function sentAmong(ids: readonly string[]): Promise<readonly string[]> {
  const [kept, waiting] = await Promise.all([
    deviceDb.events.bulkGet([...ids]),
    deviceDb.outbox
      .where('id')
      .anyOf([...ids])
      .toArray(),
  ]);
  const inLine = new Set(waiting.map(({ id }) => id));
  return kept.flatMap((one) => (one && !inLine.has(one.id) ? [one.id] : []));
}

/** Every drive of this person on this device, for the list of what is unfinished. */
export async function keptDrives(owner: string): Promise<readonly KeptDrive[]> {
  const metas = await deviceDb.drives.filter((meta) => meta.owner === owner).toArray();
  return Promise.all(metas.map(keptDrive));
}

const deviceKey = 'jasperwren.device';
let ownId: string | undefined;

/** The name of this device in the logs, made once. */
export function deviceId(make: () => string): string {
  ownId ??= readId() ?? make();
  return ownId;

  function readId(): string | undefined {
    try {
      const known = localStorage.getItem(deviceKey);
      if (known) return known;
      const fresh = make();
      localStorage.setItem(deviceKey, fresh);
      return fresh;
    } catch {
      // Storage denied: the name lasts as long as the page.
      return undefined;
    }
  }
}
