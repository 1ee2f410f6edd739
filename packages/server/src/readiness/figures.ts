import type { SchoolSummary } from '@jasperwren/core/readiness/moved';
import { createHash } from 'node:crypto';
import type { SchoolFigures } from '@jasperwren/contract/readiness';
import { unknownSchool, type School } from '@jasperwren/core/readiness/assumptions';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import { fitSteps } from '@jasperwren/core/readiness/fit';
import type { InSchool } from '../call';

/** Changes with the way figures are fitted: those of an older release are fitted again. */
const fitVersion = 1;

/** The figures of a school as they are kept: by them every page estimates, until they are fitted again. */
export interface KeptFigures {
  readonly school: School;
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
  if (!row) return { school: unknownSchool, basis: '' };
  return {
    school: fromView(JSON.parse(row.body) as SchoolFigures),
    basis: row.basis,
    madeAt: row.made_at,
    ...(row.summary !== null && { summary: JSON.parse(row.summary) as SchoolSummary }),
  };
}

/** Fits a school to the drives of its learners. It takes seconds for a large one: never where others wait. */
export function fitSchool(learners: readonly (readonly Evidence[])[]): School {
  const steps = fitSteps(learners);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** What figures follow from, as a digest: it changes whenever anything in the drives does. */
export const basisOfFigures = (learners: readonly (readonly Evidence[])[]): string => sha256Hex([fitVersion, learners]);

/** A digest of anything that JSON can say. */
export const sha256Hex = (value: unknown): string =>
  createHash('sha256').update(JSON.stringify(value)).digest('base64');

export const toView = ({ counted, outright, markers, ...school }: School): SchoolFigures => ({
  ...school,
  counted: [...counted],
  outright: [...outright],
  markers: [...markers],
});

const fromView = ({ counted, outright, markers, ...school }: SchoolFigures): School => ({
  ...school,
  counted: new Map(counted),
  outright: new Map(outright),
  markers: new Map(markers),
});
