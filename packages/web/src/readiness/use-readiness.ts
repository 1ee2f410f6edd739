import type { HistoryPoint, Question, Readiness, WhatMovesIt } from '@jasperwren/core/readiness/estimate';
import type { Steps } from '../base/work/follow';
import { useWork } from '../base/work/use-work';
import { workersOf } from '../base/work/workers';
import type { ReadinessWork } from './readiness.worker';

/** Estimates are worked out by these. */
export const readinessWorkers = workersOf<ReadinessWork>(
  () => new Worker(new URL('./readiness.worker.ts', import.meta.url), { type: 'module' }),
);

interface Parts {
  readonly readiness: Readiness;
  readonly history: readonly HistoryPoint[];
  readonly moves: WhatMovesIt;
}

const steps: Steps<ReadinessWork, Question, Parts> = async (work, question, tell) => {
  tell({ readiness: await work.estimate(question) });
  tell({ history: await work.history(question) });
  tell({ moves: await work.whatMovesIt(question) });
};

/** Works out an estimate, its history, and what would move it. */
export const useReadiness = (question: Question) => useWork(readinessWorkers, question, steps);
