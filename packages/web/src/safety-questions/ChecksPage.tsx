import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import type { BoardRow, BoardView } from '@jasperwren/contract/safety-questions';
import { percent } from '@jasperwren/words/lists';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { fromToday, shortDate } from '../ui/format';
import { NoLearners } from '../ui/NoLearners';
import { Page, Rows, Section } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import styles from './safety-questions.module.css';

const ForgottenChart = lazy(() => import('./ForgottenChart'));

/** The board: who is due, who will know it on the day, and what the school forgets. */
export default function ChecksPage() {
  const { data, ...asked } = api.useBoardQuery();
  const failed = failureOf(asked);
  return (
    <Page
      title={t('safetyQuestions')}
      sub={t('whoHasQuestionsDueAndHow')}
      actions={
        <>
          <Button variant="outlined" component={Link} to="/checks/safe">
            {t('safeMoment')}
          </Button>
          <Button variant="outlined" component={Link} to="/checks/cars">
            {t('cars')}
          </Button>
          <Button variant="outlined" component={Link} to="/checks/questions">
            {t('allQuestions')}
          </Button>
        </>
      }
    >
      {failed && <Failed {...failed} />}
      {!failed && !data && <Loading what={t('questions2')} />}
      {data && <Board board={data} />}
    </Page>
  );
}

function Board({ board: { learners, forgotten } }: { readonly board: BoardView }) {
  if (learners.length === 0) return <NoLearners>{t('noLearnersYetAddOneTo')}</NoLearners>;
  return (
    <div className={styles.two}>
      <Section title={t('learners')}>
        <Rows>
          {[...learners].sort(bySoonest).map((row) => (
            <LearnerRow key={row.learnerId} row={row} />
          ))}
        </Rows>
      </Section>
      <Section title={t('missedMost')}>
        {forgotten.length === 0 ? (
          <p className="muted">{t('showsAfter3AnswersToA')}</p>
        ) : (
          <Suspense fallback={<Loading what={t('chart')} />}>
            <ForgottenChart forgotten={forgotten} />
          </Suspense>
        )}
      </Section>
    </div>
  );
}

function LearnerRow({ row }: { readonly row: BoardRow }) {
  const { learnerId, name, testDate, due, unseen, questions, recall, allRight } = row;
  const sure = allRight ?? recall;
  return (
    <li className={styles.learner}>
      <span>
        <Link to={`/checks/learners/${learnerId}`}>{name}</Link>
        <small>
          {testDate
            ? t('drivingTestDateWhen', { date: shortDate(testDate), when: fromToday(testDate) })
            : t('noDrivingTestBooked')}
        </small>
      </span>
      {sure === undefined ? (
        <span className={styles.asksNone}>{t('theirStandardAsksNone')}</span>
      ) : (
        <>
          <span>
            <b>{due}</b> {t('due')}
            <small>{unseen === 0 ? t('allSeen') : t('unseenOfQuestionsNotSeen', { unseen, questions })}</small>
          </span>
          <span>
            <b>{percent(sure)}</b>
            <small>
              {allRight === undefined ? t('averageScore') : t('bothRight')} {testDate ? t('onTestDay') : t('today')}
            </small>
          </span>
        </>
      )}
    </li>
  );
}

const bySoonest = (a: BoardRow, b: BoardRow) => (a.testDate ?? '9').localeCompare(b.testDate ?? '9');
