import { withoutPrivateNotes } from '@jasperwren/core/debrief/for-learner';
import { foldDrive } from '@jasperwren/core/drive/fold';
import type { DriveRecord } from '@jasperwren/core/formats/drive-record';
import { driveColumns, driveTable } from '@jasperwren/core/formats/drive-table';
import { file, nothing, type HandlersOf } from '../http/call';
import { toCsv } from '../csv';
import { appendEvents, canGoTogether, type Appended, type Sent } from './append';
import type { Digests } from './digests';
import { getStandard } from '../standards/store';
import { drivesOfLearner, getDrive, latestDrives, newsOf } from './store';

const mostListed = 60;

type Names = 'drives' | 'learnerDrives' | 'drive' | 'driveNews' | 'sendEvents' | 'driveRecord' | 'driveTable';

export const driveHandlers = (digests: Digests, append: (sent: Sent) => Promise<Appended>): HandlersOf<Names> => ({
  drives: (call) => latestDrives(call, mostListed),
  learnerDrives: (call, { learnerId }) => drivesOfLearner(call, learnerId),

  async drive(call, { driveId }) {
    const view = await getDrive(call, driveId);
    const others = view.events.some(
      (event) => event.type === 'note' && event.private && event.by !== call.who.accountId,
    );
    if (others) await call.write(nothing, { action: 'sawPrivateNotes', learnerId: view.summary.learnerId });
    return view;
  },

  driveNews: async (call, { driveId, known }) => (await newsOf(call, driveId, Number(known))) ?? null,

  async sendEvents(call, { driveId }, body) {
    const { who, now } = call;
    const about = ({ learnerId, afterEnd }: Appended) => ({
      learnerId,
      detail: afterEnd ?? String(body.events.length),
    });
    const made = canGoTogether(body)
      ? await append({ who, now, driveId, batch: body, deed: (done) => call.deed(about(done), done) })
      : await call.write((trx) => appendEvents(trx, driveId, body), about);
    call.changed();
    const { receipt, afterEnd } = made;
    // Who may add to a drive, and what is worked out of it, hangs on its end.
    digests.later(who.schoolId, driveId, afterEnd !== undefined || body.events.some(({ type }) => type === 'ended'));
    return receipt;
  },

  async driveRecord(call, { driveId }) {
    const { summary, standard, events } = await getDrive(call, driveId);
    // The record holds the version as it was published, its options beside its numbers.
    const published = await getStandard(call, standard.id, standard.version);
    const record: DriveRecord = {
      format: 'jasperwren-drive',
      formatVersion: 1,
      driveId: summary.id,
      learner: { name: summary.learnerName },
      standard: published,
      events: withoutPrivateNotes(events),
    };
    return file(`drive-${summary.startedAt.slice(0, 10)}.json`, 'json', JSON.stringify(record));
  },

  async driveTable(call, { driveId }) {
    const { summary, standard, events } = await getDrive(call, driveId);
    const rows = driveTable(standard, foldDrive(events));
    return file(`drive-${summary.startedAt.slice(0, 10)}.csv`, 'text/csv', toCsv(driveColumns, rows));
  },
});
