import { t } from '@jasperwren/words/learners';
import type { LearnerView } from '@jasperwren/contract/learners';
import { enqueueSnackbar } from 'notistack';
import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import { useSignedIn } from '../base/signed-in';
import { Page } from '../ui/Page';
import { LearnerForm } from './LearnerForm';

export default function NewLearnerPage() {
  const navigate = useNavigate();
  const [add] = api.useAddLearnerMutation();
  const { account } = useSignedIn();
  const onSaved = useCallback(
    ({ id, name }: LearnerView) => {
      enqueueSnackbar(t('nameIsOnTheList', { name }));
      void navigate(`/learners/${id}`, { replace: true });
    },
    [navigate],
  );
  return (
    <Page title={t('newLearner')}>
      <LearnerForm
        initial={{ instructorId: account.id }}
        action={t('addLearner')}
        onSave={(body) => add({ body })}
        onSaved={onSaved}
      />
    </Page>
  );
}
