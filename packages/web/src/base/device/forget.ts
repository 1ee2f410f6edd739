import { lanesInUse } from '../outbox/entries';
import { deviceDb } from './device-db';
import { forgetReviews } from './kept-reviews';
import { laneOfDrive, laneOfDroppedVoices, laneOfVoices } from './lanes';

/** Takes off this device what nothing waits of, whoever had it. */
export async function forgetSent(): Promise<void> {
  const lanes = await lanesInUse();
  const drives = await deviceDb.drives.toCollection().primaryKeys();
  await forgetDrives(drives.filter((id) => !lanes.has(laneOfDrive(id)) && !lanes.has(laneOfVoices(id))));
  await forgetReviews((lane) => lanes.has(lane));
}

/** Takes learners and drives that were erased off this device, with whatever waits of them. */
export async function forgetErased(learners: readonly string[], driveIds: readonly string[]): Promise<void> {
  const theirs = await deviceDb.drives.filter(({ learnerId }) => learners.includes(learnerId)).primaryKeys();
  const ids = [...new Set([...theirs, ...driveIds])];
  const lanes = new Set<string>(ids.flatMap((id) => [laneOfDrive(id), laneOfVoices(id), laneOfDroppedVoices(id)]));
  const about = (lane: string) => learners.some((id) => lane.endsWith(` ${id}`));
  await forgetDrives(ids);
  await deviceDb.outbox.filter(({ lane }) => lanes.has(lane) || about(lane)).delete();
  await deviceDb.reviews.filter(({ lane }) => about(lane)).delete();
}

async function forgetDrives(ids: readonly string[]): Promise<void> {
  await deviceDb.events
    .where('driveId')
    .anyOf([...ids])
    .delete();
  for (const table of [deviceDb.voices, deviceDb.films])
    await table
      .where('driveId')
      .anyOf([...ids])
      .delete();
  await deviceDb.drives.bulkDelete([...ids]);
}
