import { nextWords } from '@jasperwren/words/readiness-items';
import { t } from '@jasperwren/words/learners';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { LearnerView } from '@jasperwren/contract/learners';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { ReadinessRow } from '@jasperwren/contract/readiness';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { fromToday, shortDate } from '../ui/format';
import { OutcomeWord } from '../ui/OutcomeWord';
import { NoLearners } from '../ui/NoLearners';
import { Page, Rows } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { JudgementWord, ReadinessUnavailable, useSchoolReadiness } from '../readiness/public';
import styles from './learners.module.css';

const searchFrom = 6;

export default function LearnersPage() {
  const [params] = useSearchParams();
  const archived = params.get('archived') === '1';
  const asked = api.useLearnersQuery(archived ? { archived: '1' } : {});
  // Those of the other list are not shown under the heading of this one.
  const { currentData: learners } = asked;
  const failed = failureOf(asked);
  const { data: ready, error: readinessError, refetch: refetchReadiness } = useSchoolReadiness();
  const [search, setSearch] = useState('');
  const shown = useMemo(
    () => learners?.filter(({ name }) => name.toLowerCase().includes(search.trim().toLowerCase())),
    [learners, search],
  );
  return (
    <Page
      title={archived ? t('archivedLearners') : t('learners')}
      sub={
        learners && learners.length > 0
          ? t(archived ? 'archivedLearners2' : 'learnersListed', { count: learners.length })
          : undefined
      }
      actions={
        <>
          {!archived && (
            <Button variant="outlined" component={Link} to="/learners/ready">
              {t('readiness')}
            </Button>
          )}
          <Button variant="text" component={Link} to={archived ? '/learners' : '/learners?archived=1'}>
            {archived ? t('backToTheList') : t('archived')}
          </Button>
          {!archived && (
            <Button variant="contained" component={Link} to="/learners/new">
              {t('addLearner')}
            </Button>
          )}
        </>
      }
    >
      {failed && <Failed {...failed} />}
      {readinessError && !archived && <ReadinessUnavailable onRetry={refetchReadiness} />}
      {!failed && !shown && <Loading what={t('learners2')} />}
      {learners && (learners.length >= searchFrom || search) && (
        <TextField
          label={t('findByName')}
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          size="small"
          sx={{ mb: 2, width: 280 }}
        />
      )}
      {learners?.length === 0 &&
        (archived ? <Empty>{t('noArchivedLearners')}</Empty> : <NoLearners>{t('noLearnersYetAddOneTo')}</NoLearners>)}
      {learners && learners.length > 0 && shown?.length === 0 && <Empty>{t('noLearnerNamedSearch', { search })}</Empty>}
      {shown && shown.length > 0 && (
        <Rows>
          {shown.map((learner) => (
            <LearnerRow
              key={learner.id}
              learner={learner}
              ready={ready?.rows.find((row) => row.learnerId === learner.id)}
            />
          ))}
        </Rows>
      )}
    </Page>
  );
}

function LearnerRow({ learner, ready }: { readonly learner: LearnerView; readonly ready: ReadinessRow | undefined }) {
  const { id, name, testDate, drives, lastDrive } = learner;
  return (
    <li className={styles.row}>
      <Link to={`/learners/${id}`} className={styles.name}>
        {name}
      </Link>
      <span>
        {testDate ? (
          <>
            {t('testDate', { date: shortDate(testDate) })} <span className="muted">{fromToday(testDate)}</span>
          </>
        ) : (
          <span className="muted">{t('noDrivingTestBooked')}</span>
        )}
      </span>
      <span>
        {ready && (
          <>
            <JudgementWord word={ready.word} /> <small className="muted">{nextWords(ready.next)}</small>
          </>
        )}
      </span>
      <span>
        {lastDrive ? (
          <>
            {t('countedLast', { counted: t('mockTests', { count: drives }) })}{' '}
            <OutcomeWord outcome={lastDrive.outcome} /> <span className="muted">{fromToday(lastDrive.startedAt)}</span>
          </>
        ) : (
          <span className="muted">{t('noMockTestsYet')}</span>
        )}
      </span>
    </li>
  );
}
