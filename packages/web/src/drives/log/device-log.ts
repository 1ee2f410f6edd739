import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { ItemCounts } from '@jasperwren/core/marking/likely';
import type { Standard } from '@jasperwren/core/marking/standard';
import Dexie, { type EntityTable, type Table } from 'dexie';

/** What this device knows of a drive besides its events. */
export interface DriveMeta {
  readonly id: string;
  readonly schoolId: string;
  readonly learnerId: string;
  readonly learnerName: string;
  /** Which drive of this learner it is, from 1; 0 where the device does not know. */
  readonly number: number;
  readonly standard: Standard;
  /** Marks by item in this learner's earlier drives, oldest first. */
  readonly past: readonly ItemCounts[];
}

/** An event as the device keeps it: written before it is sent, and marked once the server has it on disk. */
interface KeptEvent {
  readonly id: string;
  readonly driveId: string;
  readonly event: DriveEvent;
  readonly sent: 0 | 1;
}

type DeviceLog = Dexie & { drives: EntityTable<DriveMeta, 'id'>; events: Table<KeptEvent, string> };

/** The log of this device: what was marked survives a reload, a closed tab and a dead server. */
const deviceLog = new Dexie('jasperwren') as DeviceLog;
deviceLog.version(1).stores({ drives: 'id', events: 'id, driveId, [driveId+sent], sent' });

/** A drive and its events as this device has them. */
export interface KeptDrive {
  readonly meta: DriveMeta;
  readonly events: readonly KeptEvent[];
}

export async function readDrive(driveId: string): Promise<KeptDrive | undefined> {
  const meta = await deviceLog.drives.get(driveId);
  return meta && { meta, events: await deviceLog.events.where({ driveId }).toArray() };
}

/** Keeps a drive with events the server has already, so that marking can go on here. */
export async function keepDrive(meta: DriveMeta, sentEvents: readonly DriveEvent[]): Promise<void> {
  await deviceLog.transaction('rw', deviceLog.drives, deviceLog.events, async () => {
    await deviceLog.drives.put(meta);
    const known = new Set(await deviceLog.events.where({ driveId: meta.id }).primaryKeys());
    const fresh = sentEvents.filter((event) => !known.has(event.id));
    await deviceLog.events.bulkPut(fresh.map((event) => ({ id: event.id, driveId: meta.id, event, sent: 1 })));
  });
}

export async function keepUnsent(driveId: string, event: DriveEvent): Promise<void> {
  await deviceLog.events.put({ id: event.id, driveId, event, sent: 0 });
}

/** Events of a drive the server has not acknowledged, in the order of the device. */
export async function unsentEvents(driveId: string, most: number): Promise<readonly DriveEvent[]> {
  const kept = await deviceLog.events.where({ driveId, sent: 0 }).toArray();
  return kept
    .map(({ event }) => event)
    .sort((a, b) => a.seq - b.seq)
    .slice(0, most);
}

export async function markSent(ids: readonly string[]): Promise<void> {
  await deviceLog.events
    .where('id')
    .anyOf([...ids])
    .modify({ sent: 1 });
}

/** Which of these events the server has, whoever sent them: another tab of this device may have. */
export async function sentAmong(ids: readonly string[]): Promise<readonly string[]> {
  return (await deviceLog.events.bulkGet([...ids])).flatMap((kept) => (kept?.sent ? [kept.id] : []));
}

/** The drives of a school that have events to send. */
export async function drivesToSend(schoolId: string): Promise<readonly string[]> {
  const waiting = new Set((await deviceLog.events.where({ sent: 0 }).toArray()).map((kept) => kept.driveId));
  const metas = await deviceLog.drives.bulkGet([...waiting]);
  return metas.flatMap((meta) => (meta?.schoolId === schoolId ? [meta.id] : []));
}

/** How many events on this device the server does not have. */
export function countUnsent(): Promise<number> {
  return deviceLog.events.where({ sent: 0 }).count();
}

/** Every drive on this device, for the list of what is unfinished. */
export async function keptDrives(schoolId: string): Promise<readonly KeptDrive[]> {
  const metas = await deviceLog.drives.filter((meta) => meta.schoolId === schoolId).toArray();
  return Promise.all(
    metas.map(async (meta) => ({ meta, events: await deviceLog.events.where({ driveId: meta.id }).toArray() })),
  );
}

/** Takes off this device every drive the server has in full. */
export async function forgetSentDrives(): Promise<void> {
  const waiting = new Set((await deviceLog.events.where({ sent: 0 }).toArray()).map((kept) => kept.driveId));
  const done = (await deviceLog.drives.toCollection().primaryKeys()).filter((id) => !waiting.has(id));
  await deviceLog.events.where('driveId').anyOf(done).delete();
  await deviceLog.drives.bulkDelete(done);
}

const deviceKey = 'jasperwren.device';

/** The name of this device in the logs, made once. */
export function deviceId(make: () => string): string {
  try {
    const known = localStorage.getItem(deviceKey);
    if (known) return known;
    const fresh = make();
    localStorage.setItem(deviceKey, fresh);
    return fresh;
  } catch {
    return make();
  }
}
