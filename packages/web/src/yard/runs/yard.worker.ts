import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { findingsOf, judgeRun, type JudgedRun, type RunFacts, type RunFindings } from '@jasperwren/core/yard/judge-run';
import type { SentSample } from '@jasperwren/core/yard/sample';
import { expose } from 'comlink';

const work = {
  judge: (standard: EffectiveStandard, samples: readonly SentSample[], facts: RunFacts): JudgedRun | undefined =>
    judgeRun(standard, samples, facts),
  find: (standard: EffectiveStandard, samples: readonly SentSample[]): RunFindings => findingsOf(standard, samples),
};
export type YardWork = typeof work;

expose(work);
