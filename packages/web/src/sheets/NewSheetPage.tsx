import { t } from '@jasperwren/words/test-results';
import type { SheetView } from '@jasperwren/contract/sheets';
import { enqueueSnackbar } from 'notistack';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../base/api';
import { Page } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { failureOf } from '../ui/failure';
import { SheetForm } from './SheetForm';

export default function NewSheetPage() {
  const { learnerId = '' } = useParams();
  const navigate = useNavigate();
  const learner = api.useLearnerQuery({ learnerId });
  const standards = api.useStandardsQuery();
  const [add] = api.useAddSheetMutation();
  const failed = failureOf(learner, standards);
  if (failed) return <Failed {...failed} />;
  if (!learner.currentData || !standards.data) return <Loading what={t('learner')} />;
  const { name, standardId, testCentre } = learner.currentData;
  const back = `/learners/${learnerId}`;
  const onSaved = (sheet: SheetView) => {
    enqueueSnackbar(sheet.agrees ? t('testResultSaved') : t('savedItDiffersFromTheOfficial'));
    void navigate(back);
  };
  return (
    <Page title={t('testResult')} over={<Link to={back}>{name}</Link>}>
      <SheetForm
        standards={standards.data}
        initial={{ standardId, ...(testCentre && { centre: testCentre }) }}
        action={t('saveResult')}
        onSave={(input) => add({ learnerId, body: input })}
        onSaved={onSaved}
        onCancel={() => void navigate(back)}
      />
    </Page>
  );
}
