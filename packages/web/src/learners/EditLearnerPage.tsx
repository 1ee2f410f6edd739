import { useSnackbar } from 'notistack';
import { useCallback } from 'react';
import { useNavigate, useParams } from 'react-router';
import { Page } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { LearnerForm } from './LearnerForm';
import { useEditLearnerMutation, useLearnerQuery } from './learners-api';

export default function EditLearnerPage() {
  const { learnerId = '' } = useParams();
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const { data: learner, error, refetch } = useLearnerQuery(learnerId);
  const [edit] = useEditLearnerMutation();
  const onSaved = useCallback(() => {
    enqueueSnackbar('Saved.');
    void navigate(`/learners/${learnerId}`, { replace: true });
  }, [enqueueSnackbar, navigate, learnerId]);
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!learner) return <Loading what="the learner" />;
  const { name, email, phone, transmission, standardId, testDate, testCentre, notes } = learner;
  return (
    <Page title={`Edit ${name}`}>
      <LearnerForm
        initial={{
          name,
          transmission,
          standardId,
          ...(email && { email }),
          ...(phone && { phone }),
          ...(testDate && { testDate }),
          ...(testCentre && { testCentre }),
          ...(notes && { notes }),
        }}
        action="Save"
        onSave={(input) => edit({ id: learnerId, input })}
        onSaved={onSaved}
      />
    </Page>
  );
}
