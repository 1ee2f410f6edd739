import { t } from '@jasperwren/words/readiness';
import { useParams } from 'react-router';
import { api } from '../base/api';
import { Failed, Loading } from '../ui/states';
import { ReadinessView } from './ReadinessView';

export default function ReadinessPage() {
  const { learnerId = '' } = useParams();
  const learner = api.useLearnerQuery({ learnerId });
  const input = api.useReadinessQuery({ learnerId });
  const standards = api.useStandardsQuery();
  const error = learner.error ?? input.error ?? standards.error;
  if (error) return <Failed error={error} onRetry={() => void input.refetch()} />;
  if (!learner.data || !input.data || !standards.data) return <Loading what={t('mockTests3')} />;
  return <ReadinessView learner={learner.data} input={input.data} standards={standards.data} />;
}
