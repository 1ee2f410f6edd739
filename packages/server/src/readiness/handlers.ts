import type { HandlersOf } from '../http/call';
import type { Runner } from '../jobs/runner';
import { readinessInput, schoolReadiness } from './store';

/** Who is ready, and what that rests on: what was worked out last, while the jobs see to it that it is of today. */
export const readinessHandlers = (jobs: Runner): HandlersOf<'schoolReadiness' | 'readiness'> => ({
  async schoolReadiness(call) {
    const { allOfToday, ...view } = await schoolReadiness(call);
    const { schoolId } = call.who;
    if (!allOfToday) await jobs.queue({ schoolId, kind: 'estimates' });
    return { ...view, pending: await jobs.pending(schoolId) };
  },
  readiness: (call, { learnerId }) => readinessInput(call, learnerId),
});
