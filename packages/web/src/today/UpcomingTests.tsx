import type { LearnerView } from '@jasperwren/contract/learners';
import { ReadinessUnavailable, useSchoolReadiness } from '../readiness/public';
import { Rows } from '../ui/Page';
import { TestRow } from './TestRow';

/** The driving tests to come, each with the readiness of its learner; where that cannot be had, it says so. */
export default function UpcomingTests({ learners }: { readonly learners: readonly LearnerView[] }) {
  const { data, error, refetch } = useSchoolReadiness();
  return (
    <>
      {error && <ReadinessUnavailable onRetry={refetch} />}
      <Rows>
        {learners.map((learner) => (
          <TestRow key={learner.id} learner={learner} ready={data?.rows.find((row) => row.learnerId === learner.id)} />
        ))}
      </Rows>
    </>
  );
}
