import type { SchoolFiguresFile } from '@jasperwren/core/formats/school-figures-file';
import { figuresOfKinds } from '@jasperwren/core/readiness/school-figures';
import { file, type HandlersOf } from '../http/call';
import { figuresOf } from './figures';
import type { Runner } from '../jobs/runner';
import { readinessInput, schoolReadiness } from './store';

/** Who is ready, and what that rests on: what was worked out last, while the jobs see to it that it is of today. */
export const readinessHandlers = (jobs: Runner): HandlersOf<'schoolReadiness' | 'schoolFigures' | 'readiness'> => ({
  async schoolReadiness(call) {
    const { allOfToday, ...view } = await schoolReadiness(call);
    const { schoolId } = call.who;
    if (!allOfToday) await jobs.queue({ schoolId, kind: 'estimates' });
    return { ...view, pending: await jobs.pending(schoolId) };
  },
  async schoolFigures(call) {
    const { school } = await figuresOf(call);
    const figures: SchoolFiguresFile = {
      format: 'jasperwren-school-figures',
      formatVersion: 1,
      figures: figuresOfKinds(school),
    };
    return file('school-figures.json', 'application/json; charset=utf-8', JSON.stringify(figures, undefined, 2));
  },
  readiness: (call, { learnerId }) => readinessInput(call, learnerId),
});
