import type { SchoolSummary } from '@jasperwren/core/readiness/moved';
import { createHash } from 'node:crypto';
import { unknownSchools, type SchoolByKind } from '@jasperwren/core/readiness/assumptions';
import { fitSchool, type SchoolLearner } from '@jasperwren/core/readiness/fit';
import { schoolsFrom, type SchoolFigures } from '@jasperwren/core/readiness/school-figures';
import type { InSchool } from '../call';

/** Changes with the way figures are fitted: those of an older release are fitted again. */
const fitVersion = 2;

/** The figures of a school as they are kept: by them every page estimates, until they are fitted again. */
export interface KeptFigures {
  readonly school: SchoolByKind;
  /** What they were fitted to; empty where nothing was fitted yet. */
  readonly basis: string;
  readonly madeAt?: string;
  /** What the drives came to that they were fitted to; missing in what an older release fitted. */
  readonly summary?: SchoolSummary;
}

/** The kept figures of a school; where there are none yet, what is assumed of any school. */
export async function figuresOf({ db, who: { schoolId } }: InSchool): Promise<KeptFigures> {
  const row = await db
    .selectFrom('school_figures')
    .select(['basis', 'body', 'made_at', 'summary'])
    .where('school_id', '=', schoolId)
    .executeTakeFirst();
  if (!row) return { school: unknownSchools, basis: '' };
  const body = JSON.parse(row.body) as Partial<SchoolFigures>;
  // Those of an older release hold other things: they are fitted again soon.
  if (!body.road || !body.yard) return { school: unknownSchools, basis: '' };
  return {
    school: schoolsFrom({ road: body.road, yard: body.yard }),
    basis: row.basis,
    madeAt: row.made_at,
    ...(row.summary !== null && { summary: JSON.parse(row.summary) as SchoolSummary }),
  };
}

/** Fits a school to the drives of its learners. It takes seconds for a large one: never where others wait. */
export const fitKinds = (learners: readonly SchoolLearner[]): SchoolByKind => ({
  road: fitSchool(learners, 'road'),
  yard: fitSchool(learners, 'yard'),
});

/** What figures follow from, as a digest: it changes whenever anything in the drives does. */
export const basisOfFigures = (learners: readonly SchoolLearner[]): string => sha256Hex([fitVersion, learners]);

/** A digest of anything that JSON can say. */
export const sha256Hex = (value: unknown): string =>
  createHash('sha256').update(JSON.stringify(value)).digest('base64');
