import { withoutPrivateNotes } from '@jasperwren/core/debrief/for-learner';
import { foldDrive } from '@jasperwren/core/drive/fold';
import type { DriveRecord } from '@jasperwren/core/formats/drive-record';
import { driveColumns, driveTable } from '@jasperwren/core/formats/drive-table';
import { file, nothing, type HandlersOf } from '../http/call';
import { toCsv } from '../http/csv';
import { appendEvents } from './append';
import type { Digests } from './digests';
import { drivesOfLearner, getDrive, latestDrives, newsOf } from './store';

const mostListed = 60;

type Names = 'drives' | 'learnerDrives' | 'drive' | 'driveNews' | 'sendEvents' | 'driveRecord' | 'driveTable';

export const driveHandlers = (digests: Digests): HandlersOf<Names> => ({
  drives: ({ db, who }) => latestDrives(db, who.schoolId, mostListed),
  learnerDrives: ({ db, who }, { learnerId }) => drivesOfLearner(db, who.schoolId, learnerId),

  async drive({ db, write, who }, { driveId }) {
    const view = await getDrive(db, who.schoolId, driveId);
    const others = view.events.some((event) => event.type === 'note' && event.private && event.by !== who.accountId);
    if (others) await write(nothing, { action: 'sawPrivateNotes', learnerId: view.summary.learnerId });
    return view;
  },

  driveNews: async ({ db, who }, { driveId, known }) =>
    (await newsOf(db, who.schoolId, driveId, Number(known))) ?? null,

  async sendEvents({ write, who }, { driveId }, body) {
    const { receipt } = await write(
      (db) => appendEvents(db, who, driveId, body),
      ({ learnerId, afterEnd }) => ({ learnerId, detail: afterEnd ?? String(body.events.length) }),
    );
    digests.later(who.schoolId, driveId);
    return receipt;
  },

  async driveRecord({ db, who }, { driveId }) {
    const { summary, standard, events } = await getDrive(db, who.schoolId, driveId);
    const record: DriveRecord = {
      format: 'jasperwren-drive',
      formatVersion: 1,
      driveId: summary.id,
      learner: { name: summary.learnerName },
      standard,
      events: withoutPrivateNotes(events),
    };
    return file(`drive-${summary.startedAt.slice(0, 10)}.json`, 'json', JSON.stringify(record));
  },

  async driveTable({ db, who }, { driveId }) {
    const { summary, standard, events } = await getDrive(db, who.schoolId, driveId);
    const rows = driveTable(standard, foldDrive(events));
    return file(`drive-${summary.startedAt.slice(0, 10)}.csv`, 'text/csv', toCsv(driveColumns, rows));
  },
});
