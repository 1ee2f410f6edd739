import { foldDrive } from '@jasperwren/core/drive/fold';
import { keptDrives } from './device-log';

/** A drive on this device that has not ended, or whose events the server does not all have. */
export interface UnfinishedHere {
  readonly id: string;
  readonly learnerName: string;
  readonly unsent: number;
}

/** What this device still has to finish or to send of a person's. */
export async function unfinishedHere(owner: string): Promise<readonly UnfinishedHere[]> {
  const drives = await keptDrives(owner);
  return drives.flatMap(({ meta, events, unsent }) => {
    const ended = foldDrive(events).phase === 'ended';
    return ended && unsent.length === 0 ? [] : [{ id: meta.id, learnerName: meta.learnerName, unsent: unsent.length }];
  });
}
