import type { Drive } from '../drive/drive';
import { judgeDrive } from '../marking/judge';
import type { ItemCounts } from '../marking/likely';
import type { EffectiveStandard } from '../marking/standard';
import type { Verdict } from '../marking/verdict';
import { comparedWithLast, type ComparedWithLast } from './compared';
import { marksTold, type MarkTold } from './marks-told';
import { patternsIn, type Pattern } from './patterns';
import { wentWell, type GoodThing } from './went-well';
import { firstTwo, worthWork, type WorkOn } from './work-on';

/** Everything a talk-through needs, worked out from the log alone. */
export interface Debrief {
  readonly verdict: Verdict;
  /** For a fail with a single fault as its reason: the pass it would have been without that. */
  readonly otherwise?: Verdict | undefined;
  readonly well: readonly GoodThing[];
  readonly marks: readonly MarkTold[];
  readonly patterns: readonly Pattern[];
  readonly compared: ComparedWithLast;
  /** Everything worth working on, the weightiest first. */
  readonly worth: readonly WorkOn[];
  /** What to begin with: what was agreed, or a proposal of two. */
  readonly workOn: readonly WorkOn[];
}

/**
 * The debrief of an ended drive.
 * @param standard with its options applied
 * @param past how often each item was marked in the learner's drives before, oldest first
 */
export function debriefOf(standard: EffectiveStandard, drive: Drive, past: readonly ItemCounts[]): Debrief {
  const verdict = judgeDrive(standard, drive);
  const worth = worthWork(standard, drive, past, verdict);
  const agreed = drive.debriefed?.workOn.flatMap((item) => worth.find((one) => one.item === item) ?? []) ?? [];
  return {
    verdict,
    otherwise: withoutTheReason(standard, drive, verdict),
    well: wentWell(standard, drive, past),
    marks: marksTold(standard, drive, verdict),
    patterns: patternsIn(standard, drive),
    compared: comparedWithLast(standard, drive, past),
    worth,
    workOn: agreed.length > 0 ? agreed : firstTwo(standard, worth),
  };
}

function withoutTheReason(standard: EffectiveStandard, drive: Drive, verdict: Verdict): Verdict | undefined {
  const [reason, ...others] = verdict.reasons;
  if (!reason || others.length > 0 || verdict.stops.length > 0 || reason.marks.length !== 1) return undefined;
  const only = reason.marks[0]!.id;
  const without = judgeDrive(standard, { ...drive, marks: drive.marks.filter(({ id }) => id !== only) });
  return without.outcome === 'pass' ? without : undefined;
}
