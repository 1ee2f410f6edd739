import { drivenMs, exerciseRuns, momentAfter, sectionMs } from '../drive/clock';
import { unsettledPins, type Drive } from '../drive/drive';
import type { Circumstances } from './circumstances';
import { countingMarks, measuredConflicts } from './counting';
import { rulesOf } from './rules';
import { scoreMarks } from './score';
import type { EffectiveStandard } from './standard';
import { strangeReferences } from './strange';
import { verdictOf, type Verdict } from './verdict';

/**
 * Judges a drive under the version of a standard it was marked under: the one function by which a drive is judged, on
 * the device, on the server, at the command line and, once its marks are converted, in comparison.
 * @param nowMs for a drive under way, the moment to judge at, on the drive's clock in milliseconds; without it,
 *   the moment of the last event
 */
export function judgeDrive(standard: EffectiveStandard, drive: Drive, nowMs: number = drive.lastMs): Verdict {
  const score = scoreMarks(rulesOf(standard), countingMarks(standard, drive));
  return verdictOf(score, circumstancesOf(standard, drive, nowMs), measuredConflicts(standard, drive));
}

/** What a verdict needs to know of this drive besides its marks. */
export function circumstancesOf(standard: EffectiveStandard, drive: Drive, nowMs: number): Circumstances {
  return {
    ending: drive.ended?.ending ?? 'none',
    cause: drive.ended?.cause,
    endedMs: drive.ended?.atMs ?? nowMs,
    movedOff: drivenMs(drive, nowMs) > 0,
    short: drive.short !== undefined,
    strange: strangeReferences(rulesOf(standard), drive),
    unsettledPins: unsettledPins(drive).length,
    unsettledDoubles: drive.doubles.length,
    failedChecks: drive.checks.flatMap(({ check, result }) => (result === 'failed' ? [check] : [])),
    startedMs: drive.movedOffMs ?? 0,
    drivenMs: drivenMs(drive, nowMs),
    sectionMs: {
      guided: sectionMs(drive, 'guided', nowMs),
      independent: sectionMs(drive, 'independent', nowMs),
      exercise: sectionMs(drive, 'exercise', nowMs),
    },
    runs: exerciseRuns(drive, nowMs),
    momentAfter: (fromMs, lastingMs) => momentAfter(drive, fromMs, lastingMs),
  };
}
