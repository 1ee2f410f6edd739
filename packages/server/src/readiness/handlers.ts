import type { HandlersOf } from '../http/call';
import type { Jobs } from '../jobs/jobs';
import { readinessInput, schoolReadiness } from './store';

/** Who is ready, and what that rests on: what was worked out last, while the jobs see to it that it is of today. */
export const readinessHandlers = (jobs: Jobs): HandlersOf<'schoolReadiness' | 'readiness'> => ({
  async schoolReadiness({ db, who, now }) {
    const { allOfToday, ...view } = await schoolReadiness(db, who, now);
    if (!allOfToday) jobs.refreshSchool(who.schoolId);
    return { ...view, pending: jobs.pending(who.schoolId) };
  },
  readiness: ({ db, who, now }, { learnerId }) => readinessInput(db, who.schoolId, learnerId, now),
});
