import { t } from '@jasperwren/words/standards';
import { Link, useParams, useSearchParams } from 'react-router';
import { api } from '../base/api';
import { Page } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { failureOf } from '../ui/failure';
import { Differences } from './Differences';

/** What changed from one version of a standard to another. */
export default function ChangesPage() {
  const { standardId: id = '' } = useParams();
  const [search] = useSearchParams();
  const before = api.useStandardVersionQuery({ id, version: Number(search.get('from')) || 1 });
  const after = api.useStandardVersionQuery({ id, version: Number(search.get('to')) || 1 });
  const failed = failureOf(before, after);
  if (failed) return <Failed {...failed} />;
  if (!before.data || !after.data) return <Loading what={t('bothVersions')} />;
  return (
    <Page
      title={t('whatChangedInVersionVersion', { version: after.data.version })}
      over={<Link to={`/standards/${id}`}>{after.data.name}</Link>}
      sub={t('comparedWithVersionVersionMockTests', { version: before.data.version })}
    >
      <Differences before={before.data} after={after.data} />
    </Page>
  );
}
