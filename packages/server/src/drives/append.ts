import { t } from '@jasperwren/words/refusals';
import type { EventBatch, EventReceipt } from '@jasperwren/contract/drives';
import type { DriveEvent, StartedEvent } from '@jasperwren/core/drive/event';
import { eventText, sameOnce } from '@jasperwren/core/drive/same-once';
import { sql } from 'kysely';
import { addDeeds, type Deed } from '../audit/store';
import type { Call, InSchool, Who } from '../call';
import type { Db } from '../db/database';
import type { Ended } from '../db/together';
import { conflict } from '../refusal';
import { getLearner } from '../learners/store';
import { linkRuns } from '../yard/store';
import { boundStandard } from '../standards/store';
import { summariseDrive, digestVersion } from './digest';
import { refuseStrangers } from './may-mark';

/** What became of a batch of events. */
export interface Appended {
  readonly receipt: EventReceipt;
  readonly learnerId: string;
  /** What was changed after the drive had ended, in words for the audit trail. */
  readonly afterEnd?: string;
}

/**
 * Takes events of one drive: each id once, all of them or none. A drive begins with the batch that holds its start.
 * Who recorded an event is who sends it, whatever the event says. What follows from the log is worked out later.
 * @throws conflict where the drive is unknown and its start not among the events, or where an event is known by its id and
 *   says something else; missing where the school does not have the learner or the standard; notAllowed where somebody else marks
 */
export async function appendEvents(
  call: Call,
  driveId: string,
  { events: sent, clockMs }: Pick<EventBatch, 'events' | 'clockMs'>,
): Promise<Appended> {
  const { db, who, now } = call;
  const { schoolId, accountId } = who;
  const events = sent.map((event) => ({ ...event, by: accountId }));
  const received_at = now.toISOString();
  const drive = await db
    .selectFrom('drives')
    .select(['account_id', 'learner_id', 'digest'])
    .where('school_id', '=', schoolId)
    .where('id', '=', driveId)
    .executeTakeFirst();
  const started = drive ? undefined : await begin(call, driveId, events);
  refuseConflicts(await knownAmong(call, driveId, events), events);
  const afterEnd = drive && (await refuseStrangers(call, driveId, drive, events));
  // One statement takes a batch of any length.
  await sql`insert into events (school_id, drive_id, id, account_id, body, received_at)
    select ${schoolId}, ${driveId}, value ->> 'id', ${accountId}, value, ${received_at}
    from json_each(${JSON.stringify(events)}) where true
    on conflict (school_id, drive_id, id) do nothing`.execute(db);
  await linkRuns(
    call,
    { driveId, learnerId: drive?.learner_id ?? started!.learnerId },
    events.flatMap((event) => (event.type === 'run' ? [event.run] : [])),
  );
  const news = {
    ...(drive && { digest_version: 0 }),
    ...(clockMs !== undefined && { clock_ms: clockMs, clock_at: received_at }),
  };
  if (Object.keys(news).length > 0)
    await db.updateTable('drives').set(news).where('school_id', '=', schoolId).where('id', '=', driveId).execute();
  return appended(events, drive?.learner_id ?? started!.learnerId, afterEnd);
}

const appended = (events: readonly DriveEvent[], learnerId: string, afterEnd: string | undefined): Appended => ({
  receipt: { accepted: events.map(({ id }) => id) },
  learnerId,
  ...(afterEnd && { afterEnd }),
});

const noStart = () => conflict(t('startNotArrived'), { code: 'no-start' });

/** Events of a drive that has begun, as somebody sends them. */
export interface Sent {
  readonly who: Who;
  readonly now: Date;
  readonly driveId: string;
  readonly batch: Pick<EventBatch, 'events' | 'clockMs'>;
  /** The line of the trail for it. */
  readonly deed: (made: Appended) => Deed;
}

/** Whether events can be taken together with those of other drives: all but a start and what ties sensors to a drive. */
export const canGoTogether = ({ events }: Pick<EventBatch, 'events'>): boolean =>
  events.every(({ type }) => type !== 'started' && type !== 'run');

interface Known {
  readonly school_id: string;
  readonly id: string;
  readonly account_id: string;
  readonly learner_id: string;
  readonly digest: string;
}

/**
 * The same for events of many drives that have begun, with their lines of the trail: by four statements, however many
 * there are. Each is taken or refused by itself, by the rules of `appendEvents`.
 */
export async function appendTogether(db: Db, sent: readonly Sent[]): Promise<readonly Ended<Appended>[]> {
  const keys = JSON.stringify(sent.map(({ who, driveId }) => [who.schoolId, driveId]));
  const ids = JSON.stringify(
    sent.flatMap(({ who, driveId, batch }) => batch.events.map(({ id }) => [who.schoolId, driveId, id])),
  );
  const drives = await sql<Known>`select school_id, id, account_id, learner_id, digest from drives
    where (school_id, id) in (select value ->> 0, value ->> 1 from json_each(${keys}))`.execute(db);
  const events = await sql<{ school_id: string; drive_id: string; body: string }>`select school_id, drive_id, body
    from events where (school_id, drive_id, id) in
      (select value ->> 0, value ->> 1, value ->> 2 from json_each(${ids}))`.execute(db);
  const keyOf = (schoolId: string, driveId: string) => `${schoolId} ${driveId}`;
  const driveOf = new Map(drives.rows.map((row) => [keyOf(row.school_id, row.id), row]));
  const known = new Map<string, DriveEvent[]>();
  const knownOf = (key: string) => known.get(key) ?? known.set(key, []).get(key)!;
  for (const { school_id, drive_id, body } of events.rows)
    knownOf(keyOf(school_id, drive_id)).push(JSON.parse(body) as DriveEvent);
  const rows: object[] = [];
  const clocks: object[] = [];
  const deeds: Deed[] = [];
  const ends: Ended<Appended>[] = [];
  for (const { who, now, driveId, batch, deed } of sent) {
    const key = keyOf(who.schoolId, driveId);
    try {
      const drive = driveOf.get(key);
      if (!drive) throw noStart();
      const own = batch.events.map((event) => ({ ...event, by: who.accountId }));
      refuseConflicts(knownOf(key), own);
      const afterEnd = await refuseStrangers({ db, who, now }, driveId, drive, own);
      const made = appended(own, drive.learner_id, afterEnd);
      const at = now.toISOString();
      rows.push(...own.map((event) => [who.schoolId, driveId, event.id, who.accountId, event, at]));
      clocks.push([who.schoolId, driveId, batch.clockMs ?? null, at]);
      deeds.push(deed(made));
      // What comes twice at one time is known the second time.
      knownOf(key).push(...own);
      ends.push({ value: made });
    } catch (error) {
      ends.push({ error });
    }
  }
  if (rows.length === 0) return ends;
  await sql`insert into events (school_id, drive_id, id, account_id, body, received_at)
    select value ->> 0, value ->> 1, value ->> 2, value ->> 3, value -> 4, value ->> 5
    from json_each(${JSON.stringify(rows)}) where true
    on conflict (school_id, drive_id, id) do nothing`.execute(db);
  await sql`update drives set digest_version = 0,
      clock_ms = coalesce(sent.ms, clock_ms), clock_at = iif(sent.ms is null, clock_at, sent.at)
    from (select value ->> 0 as school, value ->> 1 as drive, value ->> 2 as ms, value ->> 3 as at
      from json_each(${JSON.stringify(clocks)})) as sent
    where drives.school_id = sent.school and drives.id = sent.drive`.execute(db);
  await addDeeds(db, deeds);
  return ends;
}

/** Makes the row of a new drive; its first events are few, and what follows from them is there at once. */
async function begin(call: Call, driveId: string, events: readonly DriveEvent[]): Promise<StartedEvent> {
  const { db, who } = call;
  const started = events.find((event) => event.type === 'started');
  if (!started) throw noStart();
  const standard = await boundStandard(call, started.standard.id, started.standard.version);
  await getLearner(call, started.learnerId);
  await db
    .insertInto('drives')
    .values({
      school_id: who.schoolId,
      id: driveId,
      learner_id: started.learnerId,
      account_id: who.accountId,
      standard_id: standard.id,
      standard_version: standard.version,
      started_at: new Date(started.wall).toISOString(),
      digest: JSON.stringify(summariseDrive(standard, events)),
      digest_version: digestVersion,
    })
    .execute();
  return started;
}

async function knownAmong(
  { db, who: { schoolId } }: InSchool,
  driveId: string,
  events: readonly DriveEvent[],
): Promise<readonly DriveEvent[]> {
  const { rows } = await sql<{ body: string }>`select body from events
    where school_id = ${schoolId} and drive_id = ${driveId}
    and id in (select value from json_each(${JSON.stringify(events.map(({ id }) => id))}))`.execute(db);
  return rows.map(({ body }) => JSON.parse(body) as DriveEvent);
}

/** @throws conflict where two events share an id and differ, with the id and where each of them is */
function refuseConflicts(before: readonly DriveEvent[], events: readonly DriveEvent[]): void {
  const known = sameOnce(before);
  const here = new Map<string, number>();
  events.forEach((event, i) => {
    const earlier = here.get(event.id);
    const other = earlier === undefined ? known.get(event.id) : events[earlier];
    here.set(event.id, earlier ?? i);
    // Another person may pass on what is known already.
    if (!other || eventText(other) === eventText({ ...event, by: other.by })) return;
    const said = earlier === undefined ? t('eventConflict', { i }) : t('eventConflictInBatch', { i, earlier });
    throw conflict(said, {
      code: 'event-conflict',
      problems: [{ field: `events.${i}.id`, message: t('idTaken', { id: event.id }) }],
    });
  });
}
