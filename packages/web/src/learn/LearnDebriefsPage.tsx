import { t } from '@jasperwren/words/learn';
import { Link } from 'react-router';
import type { Outcome } from '@jasperwren/core/marking/verdict';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { longDate } from '../ui/format';
import { OutcomeWord } from '../ui/OutcomeWord';
import { Page, Rows } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import styles from './learn.module.css';

/** The debriefs an instructor has shared. */
export default function LearnDebriefsPage() {
  const { data, ...asked } = api.useMyDebriefsQuery();
  const failed = failureOf(asked);
  return (
    <Page title={t('debriefs')}>
      {failed && <Failed {...failed} />}
      {!failed && !data && <Loading what={t('debriefs2')} />}
      {data?.length === 0 && <Empty>{t('noDebriefsYetYourInstructorCan')}</Empty>}
      {data && data.length > 0 && (
        <Rows>
          {data.map(({ id, startedAt, expiresAt, outcome }) => (
            <li key={id} className={styles.debrief}>
              <Link to={`/learn/debriefs/${id}`}>{longDate(startedAt)}</Link>
              <OutcomeWord outcome={outcome as Outcome} />
              <span className="muted">{t('readableUntilDate', { date: longDate(expiresAt) })}</span>
            </li>
          ))}
        </Rows>
      )}
    </Page>
  );
}
