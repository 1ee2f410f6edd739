import { t } from '@jasperwren/words/learn';
import { Link } from 'react-router';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { longDate } from '../ui/format';
import { Page, Rows } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import styles from './learn.module.css';

/** The routes that can be rehearsed. */
export default function LearnRoutesPage() {
  const { data, ...asked } = api.useMyRoutesQuery();
  const failed = failureOf(asked);
  return (
    <Page title={t('routes')}>
      {failed && <Failed {...failed} />}
      {!failed && !data && <Loading what={t('routes2')} />}
      {data?.length === 0 && <Empty>{t('noRoutesToRehearse')}</Empty>}
      {data && data.length > 0 && (
        <Rows>
          {data.map(({ id, name, expiresAt }) => (
            <li key={id} className={styles.debrief}>
              <Link to={`/learn/routes/${id}`}>{name}</Link>
              <span className="muted">{t('readableUntilDate', { date: longDate(expiresAt) })}</span>
            </li>
          ))}
        </Rows>
      )}
    </Page>
  );
}
