import { t } from '@jasperwren/words/readiness';
import { useParams } from 'react-router';
import { api } from '../base/api';
import { Failed, Loading } from '../ui/states';
import { failureOf } from '../ui/failure';
import { StandardRetired } from '../ui/StandardRetired';
import { Plan } from './Plan';

export default function PlanPage() {
  const { learnerId = '' } = useParams();
  const learner = api.useLearnerQuery({ learnerId });
  const input = api.useReadinessQuery({ learnerId });
  const lessons = api.useLessonsQuery({ learnerId });
  const standards = api.useStandardsQuery();
  const failed = failureOf(learner, input, lessons, standards);
  if (failed) return <Failed {...failed} />;
  if (!learner.currentData || !input.currentData || !lessons.currentData || !standards.data)
    return <Loading what={t('plan')} />;
  const { standardId } = learner.currentData;
  const standard = standards.data.find(({ id }) => id === standardId);
  if (!standard) return <StandardRetired learner={learner.currentData} />;
  return (
    <Plan learner={learner.currentData} input={input.currentData} kept={lessons.currentData} standard={standard} />
  );
}
