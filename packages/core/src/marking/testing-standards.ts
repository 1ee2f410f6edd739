import { effective } from './options';
import type { EffectiveStandard, Standard } from './standard';
import * as shipped from './templates';

/** The shipped standards as drives are judged by them. */
export const templates: readonly EffectiveStandard[] = shipped.templates.map(effective);

/** @throws where none ships with this id */
export function standardOf(id: string): EffectiveStandard {
  const found = templates.find((standard) => standard.id === id);
  if (!found) throw new Error(`No standard "${id}" ships.`);
  return found;
}

/** The standard as it is judged by once another choice of one of its options is taken. */
export const choosing = (standard: Standard, option: string, chosen: string): EffectiveStandard =>
  effective({ ...standard, options: standard.options.map((one) => (one.code === option ? { ...one, chosen } : one)) });

export const attemptsYard = standardOf('attempts-yard');
export const graded = standardOf('graded');
export const minorMajor = standardOf('minor-major');
export const pointsOff = standardOf('points-off');
export const reversingArea = standardOf('reversing-area');
export const sequenceChecklist = standardOf('sequence-checklist');
export const strikes = standardOf('strikes');
export const tally = standardOf('tally');
export const timedYard = standardOf('timed-yard');
