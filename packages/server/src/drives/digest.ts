import type { DriveSummary } from '@jasperwren/contract/drives';
import { drivenMs } from '@jasperwren/core/drive/clock';
import { unsettledPins } from '@jasperwren/core/drive/drive';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { marksByArea } from '@jasperwren/core/marking/areas';
import { countingMarks } from '@jasperwren/core/marking/counting';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { countItems } from '@jasperwren/core/marking/likely';
import { evidenceOfDrive } from '@jasperwren/core/readiness/evidence';
import type { Standard } from '@jasperwren/core/marking/standard';
import { verdictDetail } from '@jasperwren/core/marking/wording';

/** The part of a summary that follows from the log and the standard alone. */
export type DriveDigest = Omit<DriveSummary, 'id' | 'learnerId' | 'learnerName' | 'instructorName' | 'startedAt'>;

/** What lists show of a drive. */
export function digestOf(standard: Standard, events: readonly DriveEvent[]): DriveDigest {
  const drive = foldDrive(events);
  const verdict = judgeDrive(standard, drive);
  const byGrade: Record<string, number> = {};
  for (const mark of countingMarks(standard, drive)) byGrade[mark.grade] = (byGrade[mark.grade] ?? 0) + 1;
  return {
    standard: { id: standard.id, version: standard.version, name: standard.name },
    phase: drive.phase,
    drivenMs: drivenMs(drive, drive.lastMs),
    outcome: verdict.outcome,
    detail: verdictDetail(standard, verdict),
    unsettledPins: unsettledPins(drive).length,
    unsettledDoubles: drive.doubles.length,
    debriefed: drive.debriefed !== undefined,
    prompts: drive.prompts.length,
    interventions: drive.interventions.length,
    byGrade,
    byArea: marksByArea(standard, drive),
    byItem: countItems(drive),
    evidence: evidenceOfDrive(standard, drive),
  };
}
