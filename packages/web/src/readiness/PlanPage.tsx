import { t } from '@jasperwren/words/readiness';
import { useParams } from 'react-router';
import { api } from '../base/api';
import { Failed, Loading } from '../ui/states';
import { Plan } from './Plan';

export default function PlanPage() {
  const { learnerId = '' } = useParams();
  const learner = api.useLearnerQuery({ learnerId });
  const input = api.useReadinessQuery({ learnerId });
  const lessons = api.useLessonsQuery({ learnerId });
  const standards = api.useStandardsQuery();
  const error = learner.error ?? input.error ?? lessons.error ?? standards.error;
  if (error) return <Failed error={error} onRetry={() => void lessons.refetch()} />;
  const standard = standards.data?.find(({ id }) => id === learner.data?.standardId);
  if (!learner.data || !input.data || !lessons.data || !standard) return <Loading what={t('plan')} />;
  return <Plan learner={learner.data} input={input.data} kept={lessons.data} standard={standard} />;
}
