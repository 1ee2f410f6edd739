import Button from '@mui/material/Button';
import type { BoardRow, BoardView } from '@jasperwren/contract/safety-questions';
import { percent } from '@jasperwren/core/marking/wording';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { api } from '../base/api';
import { fromToday, shortDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import styles from './safety-questions.module.css';

const ForgottenChart = lazy(() => import('./ForgottenChart'));

/** The board: who is due, who will know it on the day, and what the school forgets. */
export default function ChecksPage() {
  const { data, error, refetch } = api.useBoardQuery();
  return (
    <Page
      title="Checks"
      sub="Safety questions: who is due, and who will know them on the day."
      actions={
        <>
          <Button variant="outlined" component={Link} to="/checks/safe">
            When it is safe
          </Button>
          <Button variant="outlined" component={Link} to="/checks/cars">
            Cars
          </Button>
          <Button variant="outlined" component={Link} to="/checks/questions">
            Questions
          </Button>
        </>
      }
    >
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !data && <Loading what="the board" />}
      {data && <Board board={data} />}
    </Page>
  );
}

function Board({ board: { learners, forgotten } }: { readonly board: BoardView }) {
  if (learners.length === 0)
    return (
      <Empty
        action={
          <Button variant="contained" component={Link} to="/learners/new">
            Add a learner
          </Button>
        }
      >
        Nobody is on the list yet. Add a learner to begin drilling.
      </Empty>
    );
  return (
    <div className={styles.two}>
      <Section title="Learners">
        <Rows>
          {[...learners].sort(bySoonest).map((row) => (
            <LearnerRow key={row.learnerId} row={row} />
          ))}
        </Rows>
      </Section>
      <Section title="Forgotten most">
        {forgotten.length === 0 ? (
          <p className="muted">Not enough answers yet: a question counts from its third answer on.</p>
        ) : (
          <Suspense fallback={<Loading what="the chart" />}>
            <ForgottenChart forgotten={forgotten} />
          </Suspense>
        )}
      </Section>
    </div>
  );
}

function LearnerRow({ row }: { readonly row: BoardRow }) {
  const { learnerId, name, testDate, due, unseen, questions, recall, allRight } = row;
  return (
    <li className={styles.learner}>
      <span>
        <Link to={`/checks/learners/${learnerId}`}>{name}</Link>
        <small>{testDate ? `test ${shortDate(testDate)}, ${fromToday(testDate)}` : 'no test booked'}</small>
      </span>
      <span>
        <b>{due}</b> due
        <small>{unseen === 0 ? 'all seen' : `${unseen} of ${questions} not seen`}</small>
      </span>
      <span>
        <b>{percent(allRight ?? recall)}</b>
        <small>
          {allRight === undefined ? 'known on average' : 'both right'} {testDate ? 'on the day' : 'today'}
        </small>
      </span>
    </li>
  );
}

const bySoonest = (a: BoardRow, b: BoardRow) => (a.testDate ?? '9').localeCompare(b.testDate ?? '9');
