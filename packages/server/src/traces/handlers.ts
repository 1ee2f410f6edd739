import { t } from '@jasperwren/words/refusals';
import { rulesOf } from '@jasperwren/core/marking/rules';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { writeGpxTrace } from '@jasperwren/roads/formats/gpx';
import { cleanFixes, trimmed } from '@jasperwren/roads/traces/fix';
import { getDrive } from '../drives/store';
import { file, type HandlersOf } from '../http/call';
import type { Runner } from '../jobs/runner';
import type { Workers } from '../jobs/threads';
import { missing } from '../refusal';
import { roundTheWay } from './shared-road';
import { addPieces, dropTrace, editTrace, fixesOf, traceOf } from './store';

type Names = 'trace' | 'driveRoad' | 'sendFixes' | 'editTrace' | 'dropTrace' | 'traceFile';

export const traceHandlers = (jobs: Runner, workers: Workers): HandlersOf<Names> => ({
  trace: async (call, { driveId }) => (await traceOf(call, driveId)) ?? null,
  async driveRoad(call, { driveId }) {
    // Refused here where there is no such mock test.
    await getDrive(call, driveId);
    return workers.run({ kind: 'shared-road', schoolId: call.who.schoolId, driveId, around: roundTheWay.school });
  },
  async sendFixes({ write }, { driveId }, body) {
    await write(
      (trx) => addPieces(trx, driveId, body),
      // A drive sends a piece every quarter of a minute: the first has the line.
      ({ learnerId, goesOn }) => ({ learnerId, goesOn }),
    );
    jobs.wake();
  },
  async editTrace({ write }, { driveId }, body) {
    await write((trx) => editTrace(trx, driveId, body));
    jobs.wake();
  },
  async dropTrace({ withdraw, who }, { driveId }) {
    await withdraw(
      (trx) => dropTrace(trx, driveId),
      ({ learnerId }) => ({ learnerId }),
    );
    jobs.cancel(who.schoolId, driveId);
    jobs.wake();
  },
  async traceFile(call, { driveId }) {
    const trace = await traceOf(call, driveId);
    if (!trace) throw missing(t('noTrace'), { code: 'no-trace' });
    const { summary, standard, events } = await getDrive(call, driveId);
    const items = rulesOf(standard).items;
    const marks = new Map(foldDrive(events).marks.map((mark) => [mark.id, mark]));
    const { fixes } = cleanFixes(await fixesOf(call, driveId));
    const shown = trimmed(fixes, trace.trimStart, trace.trimEnd);
    const day = summary.startedAt.slice(0, 10);
    return file(
      `drive-${day}.gpx`,
      'application/gpx+xml',
      writeGpxTrace(
        `${summary.learnerName}, ${day}`,
        shown.map((fix) => ({ ...fix, at: fix.at + trace.offsetMs })),
        trace.marks.map(({ markId, atMs, lat, lon }) => ({
          lat,
          lon,
          at: trace.zeroMs + atMs,
          name: items.get(marks.get(markId)?.item ?? '')?.item.name ?? '',
        })),
      ),
    );
  },
});
