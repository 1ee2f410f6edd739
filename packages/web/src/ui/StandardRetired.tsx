import { t } from '@jasperwren/words/common';
import { Link } from 'react-router';
import { Page } from './Page';
import { Empty } from './states';

/** Stands in place of a page about a learner whose standard is retired: what it shows follows from a standard in use. */
export const StandardRetired = ({ learner }: { readonly learner: { readonly id: string; readonly name: string } }) => (
  <Page title={learner.name}>
    <Empty action={<Link to={`/learners/${learner.id}/edit`}>{t('chooseAnotherStandard')}</Link>}>
      {t('standardIsRetired')}
    </Empty>
  </Page>
);
