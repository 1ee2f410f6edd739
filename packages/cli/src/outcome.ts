import type { Verdict } from '@jasperwren/core/marking/verdict';
import { exitCodes } from './io';

/** Fail before incomplete before pass. */
export function exitCodeOf(verdicts: readonly Verdict[]): number {
  const outcomes = verdicts.map(({ outcome }) => outcome);
  if (outcomes.includes('fail')) return exitCodes.fail;
  return outcomes.includes('incomplete') ? exitCodes.incomplete : exitCodes.pass;
}
