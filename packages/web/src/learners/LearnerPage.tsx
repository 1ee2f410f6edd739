import { t } from '@jasperwren/words/learners';
import Button from '@mui/material/Button';
import type { DriveSummary } from '@jasperwren/contract/drives';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { lazy, Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../base/api';
import { fromToday, longDate, shortDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { failureOf } from '../ui/failure';
import { ExerciseTable } from '../yard/public';
import { LearnerAside } from './LearnerAside';
import { LearnerReadiness } from './LearnerReadiness';
import { DriveRow, SheetRow } from './history-rows';
import styles from './learner.module.css';
import { MoreMenu } from './MoreMenu';

const AreaChart = lazy(() => import('../charts/AreaChart'));

/** The home of a learner: how ready, where the faults are, what comes next and what is left to do. */
export default function LearnerPage() {
  const { learnerId = '' } = useParams();
  const asked = api.useLearnerQuery({ learnerId });
  const failed = failureOf(asked);
  if (failed) return <Failed {...failed} />;
  const { currentData: learner } = asked;
  if (!learner) return <Loading what={t('learner2')} />;
  return (
    <Page
      title={learner.name}
      sub={<Facts learner={learner} />}
      actions={
        <>
          <MoreMenu learner={learner} />
          {!learner.archivedAt && (
            <Button variant="contained" component={Link} to={`/drive?learner=${learner.id}`}>
              {t('startMockTest')}
            </Button>
          )}
        </>
      }
    >
      <div className={styles.columns}>
        <div>
          <LearnerReadiness learnerId={learner.id} />
          <History learner={learner} />
        </div>
        <LearnerAside learner={learner} />
      </div>
    </Page>
  );
}

/** The driving test, the gearbox and the standard, in a line. */
function Facts({ learner }: { readonly learner: LearnerView }) {
  const { data: standards } = api.useStandardsQuery();
  const standard = standards?.find(({ id }) => id === learner.standardId);
  const facts = [
    learner.testDate
      ? t('drivingTestDateWhenPart', {
          date: longDate(learner.testDate),
          when: fromToday(learner.testDate),
          part: learner.testCentre ? t('atTestCentre', { testCentre: learner.testCentre }) : '',
        })
      : t('noDrivingTestBooked'),
    learner.transmission === 'manual' ? t('manualGearbox') : t('automaticGearbox'),
    ...(standard ? [t('standardStandard', { standard: standard.name })] : []),
    ...(learner.archivedAt ? [t('archivedDate', { date: shortDate(learner.archivedAt) })] : []),
  ];
  return (
    <span className={styles.facts}>
      {facts.map((fact) => (
        <span key={fact}>{fact}</span>
      ))}
    </span>
  );
}

/** Faults by area over the mock tests; below, mock tests and test results in one list, the latest first. */
function History({ learner }: { readonly learner: LearnerView }) {
  const driven = api.useLearnerDrivesQuery({ learnerId: learner.id });
  const library = api.useStandardsQuery();
  const sheets = api.useSheetsQuery({ learnerId: learner.id });
  const failed = failureOf(driven, library, sheets);
  if (failed) return <Failed {...failed} />;
  const [drives, standards] = [driven.currentData, library.data];
  if (!drives || !standards || !sheets.currentData) return <Loading what={t('mockTests2')} />;
  if (drives.length === 0 && sheets.currentData.length === 0) {
    return (
      <Section title={t('mockTests3')}>
        <Empty>{t('noMockTestsYetStartOne')}</Empty>
      </Section>
    );
  }
  const rows = [
    ...drives.map((drive, i) => ({
      date: drive.startedAt,
      row: <DriveRow key={drive.id} drive={drive} number={i + 1} />,
    })),
    ...sheets.currentData.map((sheet) => ({ date: sheet.date, row: <SheetRow key={sheet.id} sheet={sheet} /> })),
  ].sort((a, b) => (a.date < b.date ? 1 : -1));
  return (
    <>
      <YardExercises drives={drives} standard={standards.find(({ id }) => id === learner.standardId)} />
      {drives.length > 0 && (
        <Section title={t('faultsByArea')}>
          <Suspense fallback={<Loading what={t('chart')} />}>
            <AreaChart drives={drives} standards={standards} name={learner.name} />
          </Suspense>
        </Section>
      )}
      <Section title={sheets.currentData.length > 0 ? t('mockTestsAndTestResults') : t('mockTests3')}>
        <Rows>{rows.map(({ row }) => row)}</Rows>
      </Section>
    </>
  );
}

/** The exercises of the learner's course over the mock tests under it; nothing on the road. */
function YardExercises({
  drives,
  standard,
}: {
  readonly drives: readonly DriveSummary[];
  readonly standard: EffectiveStandard | undefined;
}) {
  const driven = drives.flatMap((drive) =>
    drive.standard.id === standard?.id && drive.exercises ? [drive.exercises] : [],
  );
  if (!standard || driven.length === 0) return null;
  return (
    <Section title={t('exercises')}>
      <Suspense fallback={<Loading what={t('exercises')} />}>
        <ExerciseTable drives={driven} exercises={standard.exercises} />
      </Suspense>
    </Section>
  );
}
