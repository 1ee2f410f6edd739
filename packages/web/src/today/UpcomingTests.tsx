import type { LearnerView } from '@jasperwren/contract/learners';
import { EstimatedAt, ReadinessUnavailable, useSchoolReadiness } from '../readiness/public';
import { Rows } from '../ui/Page';
import { TestRow } from './TestRow';

/** The driving tests to come, each with the readiness of its learner; where that cannot be had, it says so. */
export default function UpcomingTests({ learners }: { readonly learners: readonly LearnerView[] }) {
  const { data, error, refetch } = useSchoolReadiness();
  const shown = learners.map((learner) => ({ learner, ready: data?.rows.find((row) => row.learnerId === learner.id) }));
  return (
    <>
      {error && <ReadinessUnavailable onRetry={refetch} />}
      <EstimatedAt rows={shown.flatMap(({ ready }) => ready ?? [])} />
      <Rows>
        {shown.map(({ learner, ready }) => (
          <TestRow key={learner.id} learner={learner} ready={ready} />
        ))}
      </Rows>
    </>
  );
}
