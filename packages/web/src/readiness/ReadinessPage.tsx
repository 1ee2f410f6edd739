import { t } from '@jasperwren/words/readiness';
import { useParams } from 'react-router';
import { api } from '../base/api';
import { Failed, Loading } from '../ui/states';
import { failureOf } from '../ui/failure';
import { ReadinessView } from './ReadinessView';

export default function ReadinessPage() {
  const { learnerId = '' } = useParams();
  const learner = api.useLearnerQuery({ learnerId });
  const input = api.useReadinessQuery({ learnerId });
  const standards = api.useStandardsQuery();
  const failed = failureOf(learner, input, standards);
  if (failed) return <Failed {...failed} />;
  if (!learner.currentData || !input.currentData || !standards.data) return <Loading what={t('mockTests3')} />;
  return <ReadinessView learner={learner.currentData} input={input.currentData} standards={standards.data} />;
}
