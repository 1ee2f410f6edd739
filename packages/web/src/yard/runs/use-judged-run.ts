import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { JudgedRun, RunFacts, RunFindings } from '@jasperwren/core/yard/judge-run';
import type { SentSample } from '@jasperwren/core/yard/sample';
import type { Steps } from '../../base/work/follow';
import { useWork } from '../../base/work/use-work';
import { workersOf } from '../../base/work/workers';
import type { YardWork } from './yard.worker';

const yardWorkers = workersOf<YardWork>(
  () => new Worker(new URL('./yard.worker.ts', import.meta.url), { type: 'module' }),
);

interface Question {
  readonly standard: EffectiveStandard;
  readonly samples: readonly SentSample[];
  readonly facts: RunFacts;
}

interface Parts {
  /** Null where no sample has a time. */
  readonly judged: JudgedRun | null;
}

const judge: Steps<YardWork, Question, Parts> = async (work, { standard, samples, facts }, tell) =>
  tell({ judged: (await work.judge(standard, samples, facts)) ?? null });

/** Judges a run beside the page. The question stays the same object while the same is asked. */
export const useJudgedRun = (question: Question) => useWork(yardWorkers, question, judge);

interface OtherQuestion {
  readonly standard: EffectiveStandard;
  /** Missing while there is no other run. */
  readonly samples: readonly SentSample[] | undefined;
}

const find: Steps<YardWork, OtherQuestion, { readonly found: RunFindings | undefined }> = async (
  work,
  { standard, samples },
  tell,
) => tell({ found: samples && (await work.find(standard, samples)) });

/** What is found in another run, to lay it under the first. */
export const useOtherRun = (question: OtherQuestion): RunFindings | undefined =>
  useWork(yardWorkers, question, find).parts.found;
