import { t } from '@jasperwren/words/questions';
import { Link } from 'react-router';
import { Page } from '../ui/Page';
import { SafeMoments } from './safe/SafeMoments';

export default function SafePage() {
  return (
    <Page
      title={t('safeMoment')}
      over={<Link to="/checks">{t('safetyQuestions')}</Link>}
      sub={t('theLearnerLooksWellAheadChecks')}
    >
      <SafeMoments />
    </Page>
  );
}
