import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { Review } from '@jasperwren/core/checks/memory';
import Dexie, { type EntityTable, type Table } from 'dexie';
import type { DriveMeta } from '../drives/log/device-log';
import type { Entry } from '../outbox/entries';

/** An event as the device keeps it; whether it still has to be sent the outbox says. */
export interface KeptEvent {
  readonly id: string;
  readonly driveId: string;
  readonly event: DriveEvent;
}

/** An answer of a drill; `url` says whose it is. */
export interface KeptReview {
  readonly id: string;
  readonly url: string;
  readonly review: Review;
}

type DeviceDb = Dexie & {
  drives: EntityTable<DriveMeta, 'id'>;
  events: Table<KeptEvent, string>;
  reviews: Table<KeptReview, string>;
  outbox: Table<Entry, number>;
};

/** What this device keeps: what was marked and answered survives a reload, a closed tab and a dead server. */
export const deviceDb = new Dexie('jasperwren') as DeviceDb;
deviceDb.version(1).stores({ drives: 'id', events: 'id, driveId, [driveId+sent], sent' });
deviceDb
  .version(2)
  .stores({ drives: 'id', events: 'id, driveId', reviews: 'id, url', outbox: '++n, &id, owner, [owner+lane]' })
  .upgrade(async (change) => {
    // Until now an event said itself whether it was sent.
    const unsent = (await change.table('events').toArray()) as (KeptEvent & { readonly sent?: 0 | 1 })[];
    const waiting = unsent.filter(({ sent }) => sent === 0).sort((a, b) => a.event.seq - b.event.seq);
    await change
      .table('outbox')
      .bulkAdd(
        waiting.map(({ id, driveId, event }) => ({ id, owner: event.by, lane: `drive ${driveId}`, body: event })),
      );
  });
