import type { DriveSummary } from '@jasperwren/contract/drives';
import { drivenMs } from '@jasperwren/core/drive/clock';
import { unsettledPins } from '@jasperwren/core/drive/drive';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { marksByArea } from '@jasperwren/core/marking/areas';
import { countBy } from '@jasperwren/core/marking/grouping';
import { countingMarks } from '@jasperwren/core/marking/counting';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { countItems } from '@jasperwren/core/marking/likely';
import { resultDetail } from '@jasperwren/core/marking/result-detail';
import { evidenceOfDrive } from '@jasperwren/core/readiness/evidence';
import { exerciseResults } from '@jasperwren/core/yard/exercise-history';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';

/** The part of a summary that follows from the log and the standard alone. */
export type DriveDigest = Omit<DriveSummary, 'id' | 'learnerId' | 'learnerName' | 'instructorName' | 'startedAt'>;

/** Changes whenever the same log may be summarised otherwise: digests of an older one are worked out again at start. */
export const digestVersion = 10;

/** What lists show of a drive. */
export function summariseDrive(standard: EffectiveStandard, events: readonly DriveEvent[]): DriveDigest {
  const drive = foldDrive(events);
  const verdict = judgeDrive(standard, drive);
  const evidence = evidenceOfDrive(standard, drive);
  const exercises = exerciseResults(standard, drive, verdict);
  const asked = [...new Set(drive.answers.flatMap(({ question }) => question ?? []))];
  return {
    standard: { id: standard.id, version: standard.version, name: standard.name },
    phase: drive.phase,
    drivenMs: drivenMs(drive, drive.lastMs),
    outcome: verdict.outcome,
    detail: resultDetail(standard, verdict),
    unsettledPins: unsettledPins(drive).length,
    unsettledDoubles: drive.doubles.length,
    debriefed: drive.debriefed !== undefined,
    prompts: drive.prompts.length,
    interventions: drive.interventions.length,
    byGrade: countBy(countingMarks(standard, drive), ({ grade }) => grade),
    byArea: marksByArea(standard, drive),
    byItem: countItems(drive),
    ...(asked.length > 0 && { asked }),
    ...(exercises.length > 0 && { exercises }),
    ...(drive.route && { route: drive.route }),
    ...(evidence && { evidence }),
  };
}
