import type { SchoolFigures } from '@jasperwren/contract/readiness';
import type { School } from '@jasperwren/core/readiness/assumptions';
import type { Evidence } from '@jasperwren/core/readiness/evidence';
import { fitSteps } from '@jasperwren/core/readiness/fit';
import { createHash } from 'node:crypto';
import { setImmediate } from 'node:timers/promises';
import type { Db } from '../db/database';

/** Changes with the way figures are fitted: those of an older release are fitted again. */
const fitVersion = 1;
/** A school of so many learners is fitted while the page waits; a larger one goes on with what it has meanwhile. */
const quickLearners = 40;

/** Fits under way, one for a school at most. */
const underWay = new WeakMap<Db, Map<string, Promise<School>>>();

/**
 * The figures of a school, fitted to its drives. They are kept, and fitted again when the drives change; every page
 * reads what is kept.
 */
export async function figuresOf(db: Db, schoolId: string, learners: readonly (readonly Evidence[])[]): Promise<School> {
  const row = await db
    .selectFrom('school_figures')
    .select(['basis', 'body'])
    .where('school_id', '=', schoolId)
    .executeTakeFirst();
  const basis = basisOf(learners);
  if (row?.basis === basis) return fromView(JSON.parse(row.body) as SchoolFigures);
  const fitting = fitOnce(db, schoolId, learners, basis);
  if (!row || learners.length <= quickLearners) return fitting;
  // A fit that fails leaves what is kept, and the next page tries again.
  fitting.catch(() => undefined);
  return fromView(JSON.parse(row.body) as SchoolFigures);
}

/** Fits a school in small steps, so that the server answers others meanwhile. */
export async function fitGently(learners: readonly (readonly Evidence[])[]): Promise<School> {
  const steps = fitSteps(learners);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    await setImmediate();
  }
}

function fitOnce(db: Db, schoolId: string, learners: readonly (readonly Evidence[])[], basis: string): Promise<School> {
  const fits = underWay.get(db) ?? new Map<string, Promise<School>>();
  underWay.set(db, fits);
  const known = fits.get(schoolId);
  if (known) return known;
  const fitting = fitAndKeep(db, schoolId, learners, basis).finally(() => fits.delete(schoolId));
  fits.set(schoolId, fitting);
  return fitting;
}

async function fitAndKeep(
  db: Db,
  schoolId: string,
  learners: readonly (readonly Evidence[])[],
  basis: string,
): Promise<School> {
  const school = await fitGently(learners);
  const row = { basis, body: JSON.stringify(toView(school)), made_at: new Date().toISOString() };
  await db
    .insertInto('school_figures')
    .values({ school_id: schoolId, ...row })
    .onConflict((conflict) => conflict.column('school_id').doUpdateSet(row))
    .execute();
  return school;
}

/** What the figures follow from, as a digest: it changes whenever anything in the drives does. */
const basisOf = (learners: readonly (readonly Evidence[])[]): string =>
  createHash('sha256')
    .update(JSON.stringify([fitVersion, learners]))
    .digest('base64');

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
