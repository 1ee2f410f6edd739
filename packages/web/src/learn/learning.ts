import type { MeView } from '@jasperwren/contract/me';
import { useOutletContext } from 'react-router';
import type { DrillSource } from '../safety-questions/public';

/** What every page of a learner works with. */
export interface Learning {
  readonly me: MeView;
  readonly source: DrillSource;
}

export const useLearning = () => useOutletContext<Learning>();
