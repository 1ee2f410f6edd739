import { t } from '@jasperwren/words/drives';
import Button from '@mui/material/Button';
import { Link, useSearchParams } from 'react-router';
import { api } from '../base/api';
import { firstName } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import styles from './drive-page.module.css';
import { useUnfinishedHere } from './log/use-unfinished';
import { ChooseDrive } from './ChooseDrive';

/** Chooses who drives and by which standard, and starts the clock. */
export default function DrivePage() {
  const [params] = useSearchParams();
  const { data: learners, error, refetch } = api.useLearnersQuery();
  const { data: standards, error: standardsError, refetch: refetchStandards } = api.useStandardsQuery();
  const unfinished = useUnfinishedHere();
  const failed = error ?? standardsError;
  return (
    <Page title={t('drive')}>
      {unfinished.length > 0 && (
        <Section title={t('underWayOnThisDevice')}>
          <Rows>
            {unfinished.map(({ id, learnerName }) => (
              <li key={id} className={styles.open}>
                <span>{learnerName}</span>
                <Button variant="text" component={Link} to={`/drive/${id}/desk`}>
                  {t('goOnWithName', { name: firstName(learnerName) })}
                </Button>
              </li>
            ))}
          </Rows>
        </Section>
      )}
      {failed && (
        <Failed
          error={failed}
          onRetry={() => {
            void refetch();
            void refetchStandards();
          }}
        />
      )}
      {!failed && (!learners || !standards) && <Loading what={t('learnersAndStandards')} />}
      {learners?.length === 0 && (
        <Empty
          action={
            <Button variant="contained" component={Link} to="/learners/new">
              {t('addALearner')}
            </Button>
          }
        >
          {t('aDriveNeedsALearnerAdd')}
        </Empty>
      )}
      {learners && learners.length > 0 && standards && (
        <ChooseDrive learners={learners} standards={standards} first={params.get('learner')} />
      )}
    </Page>
  );
}
