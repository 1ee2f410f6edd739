import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { ItemCounts } from '@jasperwren/core/marking/likely';
import type { Standard } from '@jasperwren/core/marking/standard';
import { deviceDb, type KeptEvent } from '../../app/device-db';
import { entriesOf, lanesInUse, putInLine, type Lane } from '../../outbox/entries';

/** What this device knows of a drive besides its events. */
export interface DriveMeta {
  readonly id: string;
  readonly schoolId: string;
  /** The account that has it on this device. */
  readonly owner: string;
  readonly learnerId: string;
  readonly learnerName: string;
  /** Which drive of this learner it is, from 1; 0 where the device does not know. */
  readonly number: number;
  readonly standard: Standard;
  /** Marks by item in this learner's earlier drives, oldest first. */
  readonly past: readonly ItemCounts[];
}

/** A drive and its events as this device has them. */
export interface KeptDrive {
  readonly meta: DriveMeta;
  readonly events: readonly DriveEvent[];
  /** Events of its owner that the server has not acknowledged. */
  readonly unsent: readonly string[];
}

const laneOf = (driveId: string): Lane => `drive ${driveId}`;

/** A drive that this person has on this device. */
export async function readDrive(owner: string, driveId: string): Promise<KeptDrive | undefined> {
  const meta = await deviceDb.drives.get(driveId);
  return meta?.owner === owner ? keptDrive(meta) : undefined;
}

async function keptDrive(meta: DriveMeta): Promise<KeptDrive> {
  const events = await deviceDb.events.where({ driveId: meta.id }).toArray();
  const waiting = (await entriesOf(meta.owner)).filter(({ lane }) => lane === laneOf(meta.id));
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
  const entry = { id: event.id, owner: event.by, lane: laneOf(driveId), body: event };
  try {
    await deviceDb.transaction('rw', deviceDb.events, deviceDb.outbox, async () => {
      await deviceDb.events.put({ id: event.id, driveId, event });
      await deviceDb.outbox.add(entry);
    });
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

/** Takes off this device every drive that nothing waits of, whoever had it. */
export async function forgetSentDrives(): Promise<void> {
  const lanes = await lanesInUse();
  const all = await deviceDb.drives.toCollection().primaryKeys();
  await forgetDrives(all.filter((id) => !lanes.has(laneOf(id))));
}

/** Takes drives off this device, of these learners or by their ids, with whatever waits of them. */
export async function forgetErased(learners: readonly string[], driveIds: readonly string[]): Promise<void> {
  const theirs = await deviceDb.drives.filter(({ learnerId }) => learners.includes(learnerId)).primaryKeys();
  const ids = [...new Set([...theirs, ...driveIds])];
  const lanes = new Set<string>(ids.map(laneOf));
  const about = (text: string) => learners.some((id) => text.includes(id));
  await forgetDrives(ids);
  await deviceDb.outbox.filter(({ lane }) => lanes.has(lane) || about(lane)).delete();
  await deviceDb.reviews.filter(({ url }) => about(url)).delete();
}

async function forgetDrives(ids: readonly string[]): Promise<void> {
  await deviceDb.events
    .where('driveId')
    .anyOf([...ids])
    .delete();
  await deviceDb.drives.bulkDelete([...ids]);
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
