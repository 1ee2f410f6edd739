import type { MarkerView, ReadinessRow, SchoolReadiness } from '@jasperwren/contract/readiness';
import type { Calibration } from '@jasperwren/core/readiness/calibration';
import { percent } from '@jasperwren/core/marking/wording';
import { judgements } from '@jasperwren/core/readiness/judgement';
import dayjs from 'dayjs';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { counted, fromToday, shortDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { JudgementWord } from './JudgementWord';
import { Perches } from './Perches';
import styles from './readiness.module.css';
import { useSchoolReadiness } from './use-school-readiness';

const ReliabilityChart = lazy(() => import('./ReliabilityChart'));
/** A test this near is worth moving where the learner is not ready (house default). */
const soonDays = 28;

/** All learners by judgement and date, whose test should move, who has how much to do, and how estimates have done. */
export default function SchoolReadinessPage() {
  const { data, error, refetch } = useSchoolReadiness();
  return (
    <Page
      title="Who is ready"
      over={<Link to="/learners">Learners</Link>}
      sub="The judgement about everybody on the list."
    >
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !data && <Loading what="the estimates" />}
      {data && <School school={data} />}
    </Page>
  );
}

function School({ school: { rows, pending, load, calibration, markers } }: { readonly school: SchoolReadiness }) {
  if (rows.length === 0 && pending > 0) return <Loading what="the estimates" />;
  if (rows.length === 0) return <Empty>Nobody is on the list yet.</Empty>;
  const sorted = [...rows].sort(
    (a, b) =>
      judgements.indexOf(a.word) - judgements.indexOf(b.word) || (a.testDate ?? '9').localeCompare(b.testDate ?? '9'),
  );
  const toMove = rows.filter(
    ({ testDate, word }) =>
      testDate &&
      word !== 'book' &&
      word !== 'nearly' &&
      dayjs(testDate).diff(dayjs(), 'day') <= soonDays &&
      !dayjs(testDate).isBefore(dayjs(), 'day'),
  );
  return (
    <>
      {toMove.length > 0 && (
        <Section title="Think of moving the test">
          <Rows>
            {toMove.map((row) => (
              <li key={row.learnerId} className={styles.line}>
                <Link to={`/learners/${row.learnerId}/readiness`}>{row.name}</Link>, {fromToday(row.testDate!)}:{' '}
                {row.reasons[0]}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      <Section title="Everybody">
        {pending > 0 && (
          <p role="status" className="muted">
            What was driven or answered since is being worked in: {counted(pending, 'learner', 'learners')} to go.
          </p>
        )}
        <Rows>
          {sorted.map((row) => (
            <Row key={row.learnerId} row={row} />
          ))}
        </Rows>
      </Section>
      <div className={styles.columns}>
        <Section title="Real results against what was said">
          <How calibration={calibration} />
        </Section>
        <Section title="Load">
          <Rows>
            {load.map(({ name, learners, drives }) => (
              <li key={name} className={styles.load}>
                <span>{name}</span>
                <span>{counted(learners, 'learner', 'learners')}</span>
                <span className="muted">{counted(drives, 'drive', 'drives')} in four weeks</span>
              </li>
            ))}
          </Rows>
        </Section>
      </div>
      {markers.length > 1 && <Markers markers={markers} />}
    </>
  );
}

/** How strict each instructor marks, with what that is worth: leads alone get it. */
function Markers({ markers }: { readonly markers: readonly MarkerView[] }) {
  return (
    <Section title="How strictly you mark">
      <p>
        Faults each of you marks, as a share of what your average marker would for the same driving. Learners differ
        too: the range says how sure this is. It is about marking, not about teaching.
      </p>
      <Rows>
        {markers.map(({ name, factor, error, drives }) => (
          <li key={name} className={styles.load}>
            <span>{name}</span>
            <span>
              {percent(factor)} (range {percent(factor * Math.exp(-ninety * error))} to{' '}
              {percent(factor * Math.exp(ninety * error))})
            </span>
            <span className="muted">{counted(drives, 'mock test', 'mock tests')}</span>
          </li>
        ))}
      </Rows>
    </Section>
  );
}

/** So many standard errors to either side hold nine of ten. */
const ninety = 1.645;

function Row({ row }: { readonly row: ReadinessRow }) {
  return (
    <li className={styles.schoolRow}>
      <span>
        <Link to={`/learners/${row.learnerId}/readiness`}>{row.name}</Link>
        <small>{row.testDate ? `test ${shortDate(row.testDate)}, ${fromToday(row.testDate)}` : 'no test booked'}</small>
      </span>
      <JudgementWord word={row.word} />
      <span>
        {row.word === 'cannot-say' ? (
          <span className="muted">{counted(row.drives, 'drive', 'drives')} so far</span>
        ) : (
          <>
            <Perches {...row} small />
            <small>from {counted(row.drives, 'drive', 'drives')}</small>
          </>
        )}
      </span>
      <span>{row.next}</span>
    </li>
  );
}

function How({ calibration }: { readonly calibration: Calibration }) {
  const { results, missing, brier, baseRate, tendency } = calibration;
  if (missing > 0 || brier === undefined || baseRate === undefined)
    return (
      <p>
        {counted(results, 'real result', 'real results')} with an estimate made before. {missing} more and it can be
        said how good the estimates are; until then nothing is claimed.
      </p>
    );
  return (
    <>
      <p>
        Over {results} real tests the estimates are off by {brier.toFixed(2)} (Brier score), always saying the share
        that passed would be off by {baseRate.toFixed(2)}.
        {tendency === 'too-hopeful' && ' They were too hopeful: you tend to book too early.'}
        {tendency === 'too-gloomy' && ' They were too gloomy: you tend to book too late.'}
      </p>
      <Suspense fallback={<Loading what="the chart" />}>
        <ReliabilityChart bins={calibration.bins} />
      </Suspense>
    </>
  );
}
