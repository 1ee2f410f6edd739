import type { Question, Readiness } from '@jasperwren/core/readiness/estimate';
import type { Expected } from '@jasperwren/core/readiness/plan';
import { useMemo } from 'react';
import type { Steps } from '../base/work/follow';
import { useWork } from '../base/work/use-work';
import type { ReadinessWork } from './readiness.worker';
import { readinessWorkers } from './use-readiness';

export interface PlanWork {
  readonly readiness: Readiness;
  readonly onDay: Expected | undefined;
  /** Null where it is not within half a year; missing while it is worked out. */
  readonly ready: Expected | null | undefined;
}

interface PlanQuestion {
  readonly question: Question;
  /** `YYYY-MM-DD`. */
  readonly until: string;
}

const steps: Steps<ReadinessWork, PlanQuestion, PlanWork> = async (work, { question, until }, tell) => {
  // What was expected under another question goes with it.
  tell({ readiness: await work.estimate(question), onDay: undefined, ready: undefined });
  tell({ onDay: await work.expectedOn(question, until) });
  tell({ ready: (await work.readyBy(question)) ?? null });
};

/** The estimate, what is expected on the day, and from when a test could be booked; worked out beside the page. */
export function usePlanWork(question: Question, until: string) {
  const asked = useMemo(() => ({ question, until }), [question, until]);
  return useWork(readinessWorkers, asked, steps);
}
