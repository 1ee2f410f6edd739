import type { Question, Readiness } from '@jasperwren/core/readiness/estimate';
import type { Steps } from '../base/work/follow';
import { useWork } from '../base/work/use-work';
import type { ReadinessWork } from './readiness.worker';
import { readinessWorkers } from './use-readiness';

const steps: Steps<ReadinessWork, Question, { readonly readiness: Readiness }> = async (work, question, tell) =>
  tell({ readiness: await work.estimate(question) });

/** The estimate with what it means for the date of the test; worked out beside the page. */
export const usePlanWork = (question: Question) => useWork(readinessWorkers, question, steps);
