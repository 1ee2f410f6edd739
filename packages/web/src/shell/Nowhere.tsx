import { t } from '@jasperwren/words/nowhere';
import { Link } from 'react-router';
import { Page } from '../ui/Page';

/** What stands at an address that leads to nothing. */
export default function Nowhere() {
  return (
    <Page title={t('pageNotFound')}>
      <p>
        {t('nothingIsAtThisAddress')} <Link to="/">{t('goToToday')}</Link>
      </p>
    </Page>
  );
}
