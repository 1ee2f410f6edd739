import { t } from '@jasperwren/words/questions';
import { Link } from 'react-router';
import { Page } from '../ui/Page';
import { SafeMoments } from './safe/SafeMoments';

export default function SafePage() {
  return (
    <Page
      title={t('whenItIsSafe')}
      over={<Link to="/checks">{t('checks')}</Link>}
      sub={t('theLearnerLooksFarAheadLooks')}
    >
      <SafeMoments />
    </Page>
  );
}
