import type { VoiceView } from '@jasperwren/contract/voices';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { FilmAnchor } from '@jasperwren/core/drive/film';
import type { Review } from '@jasperwren/core/safety-questions/memory';
import Dexie, { type EntityTable, type Table } from 'dexie';
import type { CarRoute } from '@jasperwren/core/routes/car-route';
import type { ItemCounts } from '@jasperwren/core/marking/likely';
import { effective } from '@jasperwren/core/marking/options';
import type { EffectiveStandard, Standard } from '@jasperwren/core/marking/standard';
import type { Entry } from '../outbox/entry';
import { laneOfDrive, type Lane } from './lanes';

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
  readonly standard: EffectiveStandard;
  /** Marks by item in this learner's earlier drives, oldest first. */
  readonly past: readonly ItemCounts[];
  /** Questions of the drive before, by their ids. */
  readonly askedBefore?: readonly string[];
  /** The route it is driven on, where this device started it. */
  readonly route?: CarRoute;
}

/** An event as the device keeps it; whether it still has to be sent the outbox says. */
export interface KeptEvent {
  readonly id: string;
  readonly driveId: string;
  readonly event: DriveEvent;
}

/** An answer of a drill; its lane says whose it is. */
export interface KeptReview {
  readonly id: string;
  readonly lane: Lane;
  readonly review: Review;
}

/** What was said with a pin. */
type KeptVoice = VoiceView & { readonly driveId: string };

/** What this device remembers of the film of a drive: never the film itself. */
export interface KeptFilm {
  readonly driveId: string;
  readonly name: string;
  readonly anchors: readonly FilmAnchor[];
  /** The file, where the browser hands out something to find it by. */
  readonly handle?: FileSystemFileHandle;
}

type DeviceDb = Dexie & {
  drives: EntityTable<DriveMeta, 'id'>;
  events: Table<KeptEvent, string>;
  reviews: Table<KeptReview, string>;
  voices: Table<KeptVoice, string>;
  films: Table<KeptFilm, string>;
  outbox: Table<Entry, number>;
};

/** What this device keeps: what was marked and answered survives a reload, a closed tab and a dead server. */
export const deviceDb = new Dexie('jasperwren') as DeviceDb;
deviceDb.version(1).stores({ drives: 'id', events: 'id, driveId, [driveId+sent], sent' });
deviceDb
  .version(2)
  .stores({ drives: 'id', events: 'id, driveId', reviews: 'id, lane', outbox: '++n, &id, owner, [owner+lane]' })
  .upgrade(async (change) => {
    // Until now an event said itself whether it was sent.
    const unsent = (await change.table('events').toArray()) as (KeptEvent & { readonly sent?: 0 | 1 })[];
    const waiting = unsent.filter(({ sent }) => sent === 0).sort((a, b) => a.event.seq - b.event.seq);
    await change
      .table('outbox')
      .bulkAdd(
        waiting.map(({ id, driveId, event }) => ({ id, owner: event.by, lane: laneOfDrive(driveId), body: event })),
      );
  });
deviceDb
  .version(3)
  .stores({})
  .upgrade((change) =>
    // Until now the options of a standard were applied anew wherever it was read.
    change
      .table('drives')
      .toCollection()
      .modify((drive: { standard: Standard }) => {
        drive.standard = effective(drive.standard);
      }),
  );
deviceDb.version(4).stores({ voices: 'pin, driveId', films: 'driveId' });
