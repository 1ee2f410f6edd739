import { reasonWords } from '@jasperwren/words/readiness-items';
import { nextAndDate } from '@jasperwren/words/readiness-outlook';
import { t } from '@jasperwren/words/readiness';
import type { MarkerView, ReadinessRow, SchoolReadiness } from '@jasperwren/contract/readiness';
import type { Calibration } from '@jasperwren/core/readiness/calibration';
import { percent } from '@jasperwren/words/lists';
import { judgements } from '@jasperwren/core/readiness/judgement';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { addressFor } from '../base/api';
import { failureOf } from '../ui/failure';
import { fromToday, shortDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { EstimatedAt } from './EstimatedAt';
import { JudgementWord } from './JudgementWord';
import { Perches } from './Perches';
import { TestsHere } from './TestsHere';
import styles from './readiness.module.css';
import { useSchoolReadiness } from './use-school-readiness';

const ReliabilityChart = lazy(() => import('./ReliabilityChart'));
/** All learners by judgement and date, whose test should move, who has how much to do, and how estimates have done. */
export default function SchoolReadinessPage() {
  const { data, ...asked } = useSchoolReadiness();
  const failed = failureOf(asked);
  return (
    <Page
      title={t('readiness')}
      over={<Link to="/learners">{t('learners')}</Link>}
      sub={t('readinessOfEveryLearnerInOrder')}
    >
      {failed && <Failed {...failed} />}
      {!failed && !data && <Loading what={t('readiness2')} />}
      {data && <School school={data} />}
    </Page>
  );
}

function School({
  school: { rows, pending, load, calibration, markers, centres, testsByMarker },
}: {
  readonly school: SchoolReadiness;
}) {
  if (rows.length === 0 && pending > 0) return <Loading what={t('readiness2')} />;
  if (rows.length === 0) return <Empty>{t('noLearnersYet')}</Empty>;
  const sorted = [...rows].sort(
    (a, b) =>
      judgements.indexOf(a.word) - judgements.indexOf(b.word) || (a.testDate ?? '9').localeCompare(b.testDate ?? '9'),
  );
  const toMove = rows.filter(({ advice }) => advice.kind === 'move');
  return (
    <>
      {toMove.length > 0 && (
        <Section title={t('considerALaterTestDate')}>
          <Rows>
            {toMove.map((row) => (
              <li key={row.learnerId} className={styles.line}>
                <Link to={`/learners/${row.learnerId}/readiness`}>{row.name}</Link>, {fromToday(row.testDate!)}:{' '}
                {row.reason && reasonWords(row.reason)}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      <Section title={t('allLearners')}>
        {pending > 0 && (
          <p role="status" className="muted">
            {t('updatingCountedToGo', { counted: t('learners2', { count: pending }) })}
          </p>
        )}
        <Rows>
          {sorted.map((row) => (
            <Row key={row.learnerId} row={row} />
          ))}
        </Rows>
      </Section>
      <div className={styles.columns}>
        <Section title={t('howAccurateTheEstimatesWere')}>
          <How calibration={calibration} />
        </Section>
        <Section title={t('workload')}>
          <Rows>
            {load.map(({ name, learners, drives }) => (
              <li key={name} className={styles.load}>
                <span>{name}</span>
                <span>{t('learners2', { count: learners })}</span>
                <span className="muted">{t('countedIn4Weeks', { counted: t('mockTests', { count: drives }) })}</span>
              </li>
            ))}
          </Rows>
        </Section>
      </div>
      {centres.length > 0 && <TestsHere title={t('testsByCentre')} groups={centres} here="centre" />}
      {testsByMarker.length > 0 && <TestsHere title={t('testsByMarker')} groups={testsByMarker} here="marker" />}
      {markers.length > 1 && <Markers markers={markers} />}
      <p>
        <a href={addressFor('schoolFigures', {})} download>
          {t('figuresFile')}
        </a>
      </p>
    </>
  );
}

/** How strict each instructor marks, with what that is worth: leads alone get it. */
function Markers({ markers }: { readonly markers: readonly MarkerView[] }) {
  return (
    <Section title={t('howStrictlyYouMark')}>
      <p>{t('faultsEachOfYouRecordsCompared')}</p>
      <Rows>
        {markers.map(({ name, factor, error, drives }) => (
          <li key={name} className={styles.load}>
            <span>{name}</span>
            <span>
              {t('percentRangePercent2ToPercent3', {
                percent: percent(factor),
                percent2: percent(factor * Math.exp(-ninety * error)),
                percent3: percent(factor * Math.exp(ninety * error)),
              })}
            </span>
            <span className="muted">{t('mockTests2', { count: drives })}</span>
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
        <small>
          {row.testDate
            ? t('drivingTestDateWhen', { date: shortDate(row.testDate), when: fromToday(row.testDate) })
            : t('noDrivingTestBooked')}
        </small>
      </span>
      <JudgementWord word={row.word} />
      <span>
        {row.word === 'cannot-say' ? (
          <span className="muted">{t('countedSoFar', { counted: t('mockTests', { count: row.drives }) })}</span>
        ) : (
          <>
            <Perches {...row} size="small" />
            <small>{t('fromCounted', { counted: t('mockTests', { count: row.drives }) })}</small>
          </>
        )}
        <EstimatedAt rows={[row]} />
      </span>
      <span>{nextAndDate(row)}</span>
    </li>
  );
}

function How({ calibration }: { readonly calibration: Calibration }) {
  const { results, missing, brier, baseRate, tendency } = calibration;
  if (missing > 0 || brier === undefined || baseRate === undefined)
    return (
      <p>{t('countedWithAnEarlierEstimateAccuracy', { counted: t('testResults', { count: results }), missing })}</p>
    );
  return (
    <>
      <p>
        {t('brierScoreOverResultsDrivingTests', { results, brier: brier.toFixed(2), baseRate: baseRate.toFixed(2) })}
        {tendency === 'too-hopeful' && ` ${t('theyWereTooHighYouTend')}`}
        {tendency === 'too-gloomy' && ` ${t('theyWereTooLowYouTend')}`}
      </p>
      <Suspense fallback={<Loading what={t('chart')} />}>
        <ReliabilityChart bins={calibration.bins} />
      </Suspense>
    </>
  );
}
