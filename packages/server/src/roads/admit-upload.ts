import { t } from '@jasperwren/words/refusals';
import { statfsSync, statSync } from 'node:fs';
import type { Db } from '../db/database';
import { conflict, diskFull, invalid } from '../refusal';
import { beginsLikeRoads, firstBytes } from './first-bytes';
import { fileOfRoads } from './roads-job';

/** Files of one school that are sent, or wait to be read, at a time (house default). */
const mostWaiting = 3;
/** What the roads of one school may take on the disk, those that wait included, in bytes (house default). */
const quota = 500e6;
/** What is left of the disk for marks, whatever else is sent, in bytes (house default). */
const reserve = 256e6;

/** What is there of a school, and of the disk. */
interface Room {
  readonly waiting: number;
  readonly taken: number;
  readonly free: number;
}

/** How much room there is for another file of roads. */
async function roomFor(db: Db, dataDir: string, schoolId: string): Promise<Room> {
  const rows = await db
    .selectFrom('roads')
    .select((eb) => ['id', 'state', eb.fn<number | null>('length', ['ways']).as('bytes')])
    .where('school_id', '=', schoolId)
    .execute();
  const waiting = rows.filter(({ state }) => state === 'reading');
  return {
    waiting: waiting.length,
    taken:
      rows.reduce((sum, { bytes }) => sum + Number(bytes ?? 0), 0) +
      waiting.reduce(
        (sum, { id }) => sum + (statSync(fileOfRoads(dataDir, id), { throwIfNoEntry: false })?.size ?? 0),
        0,
      ),
    free: freeOf(dataDir),
  };
}

/**
 * Says no to a file before it is taken.
 * @param sending how many of the school are being sent already
 * @param bytes how long it says it is; 0 where it does not
 * @throws conflict where too many wait; invalid where the school's roads take too much; disk-full where marks would lack room
 */
export function refuseWithoutRoom({ waiting, taken, free }: Room, sending: number, bytes: number): void {
  if (waiting + sending >= mostWaiting)
    throw conflict(t('roadsWait', { count: mostWaiting }), { code: 'roads-waiting' });
  if (taken + bytes > quota) throw invalid(t('roadsQuota', { megabytes: quota / 1e6 }), { code: 'roads-quota' });
  if (free - bytes < reserve) throw noRoom();
}

const noRoom = () => diskFull(t('noRoomForRoads'), { code: 'disk-full' });

function freeOf(dataDir: string): number {
  const { bavail, bsize } = statfsSync(dataDir);
  return bavail * bsize;
}

/** What is looked at of a file of roads before it is taken, and while it is. */
export const roadsGuard = (db: Db, dataDir: string) => ({
  admit: async (schoolId: string, sending: number, bytes: number) =>
    refuseWithoutRoom(await roomFor(db, dataDir, schoolId), sending, bytes),
  firstBytes,
  refuseOther(start: Buffer) {
    if (!beginsLikeRoads(start)) throw invalid(t('noFileOfRoads'), { code: 'no-roads-file' });
  },
  refuseWithoutRoom() {
    if (freeOf(dataDir) < reserve) throw noRoom();
  },
});
