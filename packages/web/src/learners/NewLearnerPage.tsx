import { useSnackbar } from 'notistack';
import { useNavigate } from 'react-router';
import { Page } from '../ui/Page';
import { LearnerForm } from './LearnerForm';
import { useAddLearnerMutation } from './learners-api';

export default function NewLearnerPage() {
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const [add] = useAddLearnerMutation();
  return (
    <Page title="A new learner">
      <LearnerForm
        initial={{}}
        action="Add the learner"
        onSave={async (input) => {
          const { data, error } = await add(input);
          if (data) {
            enqueueSnackbar(`${data.name} is on the list.`);
            setTimeout(() => void navigate(`/learners/${data.id}`, { replace: true }));
          }
          return error;
        }}
      />
    </Page>
  );
}
