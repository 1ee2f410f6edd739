import type { MeView } from '@jasperwren/contract/me';
import { useOutletContext } from 'react-router';
import type { DrillSource } from '../safety-questions/public';

/** What every page of a learner works with. */
export interface Learning {
  readonly me: MeView;
  readonly source: DrillSource;
  /** Whether what was answered before is known: without it nothing is said of where the learner stands. */
  readonly isWhole: boolean;
}

export const useLearning = () => useOutletContext<Learning>();
