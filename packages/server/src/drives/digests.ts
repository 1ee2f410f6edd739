import { callNow } from '../call';
import type { Keeper } from '../db/keeper';
import { queueJob } from '../jobs/queue';
import { boundStandard } from '../standards/store';
import { queueOfDrive } from '../traces/traces-job';
import { summariseDrive, digestVersion, type DriveDigest } from './digest';
import { eventsOf } from './store';

/** Works out what follows from logs, after the events are on disk and acknowledged. */
export interface Digests {
  /**
   * Has a drive summarised anew: at once where somebody waits for it, such as at its end; else once nobody has marked for a
   * moment, or somebody reads.
   */
  readonly later: (schoolId: string, driveId: string, atOnce?: boolean) => void;
  /** Works out what was asked for so far, of a school or of all, and waits until it is done. */
  readonly settled: (schoolId?: string) => Promise<void>;
}

/** Marks that come one after the other are summarised together, in milliseconds (house default). */
const gatherMs = 5000;

interface Asked {
  readonly schoolId: string;
  readonly driveId: string;
}

/**
 * @param ended is told once the estimates of a drive that has ended, or was changed since, are in the queue
 * @param failed is told where a drive cannot be summarised; it keeps its former summary then
 */
export function digestsOf(keeper: Keeper, ended: () => void, failed: (error: unknown) => void): Digests {
  const waiting = new Map<string, Asked & { readonly timer: NodeJS.Timeout }>();
  const underWay = new Map<string, Asked & { readonly done: Promise<void> }>();

  function begin(key: string, { schoolId, driveId }: Asked): void {
    clearTimeout(waiting.get(key)?.timer);
    waiting.delete(key);
    const before = underWay.get(key)?.done ?? Promise.resolve();
    const own = {
      schoolId,
      driveId,
      done: before
        .then(() => refreshDigest(keeper, schoolId, driveId))
        .then((phase) => phase === 'ended' && ended())
        .then(() => undefined, failed)
        .finally(() => {
          if (underWay.get(key) === own) underWay.delete(key);
        }),
    };
    underWay.set(key, own);
  }

  return {
    later(schoolId, driveId, atOnce = false) {
      const key = `${schoolId} ${driveId}`;
      const asked = { schoolId, driveId };
      if (atOnce) return begin(key, asked);
      if (waiting.has(key)) return undefined;
      const timer = setTimeout(() => begin(key, asked), gatherMs).unref();
      waiting.set(key, { ...asked, timer });
      return undefined;
    },
    async settled(schoolId) {
      const wanted = (one: Asked) => schoolId === undefined || one.schoolId === schoolId;
      for (const [key, one] of waiting) if (wanted(one)) begin(key, one);
      await Promise.all([...underWay.values()].filter(wanted).map(({ done }) => done));
    },
  };
}

/** Works out again what follows from the log of drives that an older release kept, or that was not done in time. */
export async function refreshDigests(keeper: Keeper): Promise<void> {
  const old = await keeper.db
    .selectFrom('drives')
    .select(['school_id', 'id'])
    .where('digest_version', '!=', digestVersion)
    .execute();
  for (const { school_id, id } of old) await refreshDigest(keeper, school_id, id);
}

/** Returns how far the drive is; undefined where it is not there any more. */
async function refreshDigest(
  { db, write }: Keeper,
  schoolId: string,
  driveId: string,
): Promise<DriveDigest['phase'] | undefined> {
  const row = await db
    .selectFrom('drives')
    .select(['learner_id', 'standard_id', 'standard_version'])
    .where('school_id', '=', schoolId)
    .where('id', '=', driveId)
    .executeTakeFirst();
  // Erased meanwhile.
  if (!row) return undefined;
  const call = { ...callNow(db), who: { schoolId } };
  const standard = await boundStandard(call, row.standard_id, row.standard_version);
  const events = await eventsOf(call, driveId);
  const summary = summariseDrive(standard, events);
  const digest = JSON.stringify(summary);
  await write(async (trx) => {
    const { numUpdatedRows } = await trx
      .updateTable('drives')
      .set({ digest, digest_version: digestVersion })
      .where('school_id', '=', schoolId)
      .where('id', '=', driveId)
      // Not where more has arrived since: that is summarised in its turn.
      .where(
        (eb) =>
          eb
            .selectFrom('events')
            .select(eb.fn.countAll<number>().as('n'))
            .where('school_id', '=', schoolId)
            .where('drive_id', '=', driveId),
        '=',
        events.length,
      )
      .executeTakeFirst();
    if (numUpdatedRows === 0n || summary.phase !== 'ended') return;
    await queueOfDrive(trx, schoolId, driveId);
    // The learner who just drove first, then everybody whose figures rest on the school's.
    const estimates = { schoolId, kind: 'estimates' } as const;
    await queueJob(trx, { ...estimates, subject: row.learner_id }, new Date());
    await queueJob(trx, estimates, new Date());
  });
  return summary.phase;
}
