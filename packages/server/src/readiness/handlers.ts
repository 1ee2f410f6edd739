import type { HandlersOf } from '../http/call';
import type { Jobs } from '../jobs/jobs';
import { readinessInput, schoolReadiness } from './store';

/** Who is ready, and what that rests on: what was worked out last, while the jobs see to it that it is of today. */
export const readinessHandlers = (jobs: Jobs): HandlersOf<'schoolReadiness' | 'readiness'> => ({
  async schoolReadiness(call) {
    const { allOfToday, ...view } = await schoolReadiness(call);
    if (!allOfToday) jobs.refreshSchool(call.who.schoolId);
    return { ...view, pending: jobs.pending(call.who.schoolId) };
  },
  readiness: (call, { learnerId }) => readinessInput(call, learnerId),
});
