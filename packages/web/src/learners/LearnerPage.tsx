import { t } from '@jasperwren/words/learners';
import Button from '@mui/material/Button';
import EmojiFlagsOutlined from '@mui/icons-material/EmojiFlagsOutlined';
import type { DriveSummary } from '@jasperwren/contract/drives';
import type { SheetView } from '@jasperwren/contract/sheets';
import { lazy, Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../base/api';
import { firstName, helpGiven, fromToday, longDate, shortDate, wholeMinutes } from '../ui/format';
import { OutcomeWord } from '../ui/OutcomeWord';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import styles from './learners.module.css';
import { MoreMenu } from './MoreMenu';

const AreaChart = lazy(() => import('../charts/AreaChart'));

export default function LearnerPage() {
  const { learnerId = '' } = useParams();
  const { data: learner, error, refetch } = api.useLearnerQuery({ learnerId });
  const { data: standards } = api.useStandardsQuery();
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!learner) return <Loading what={t('theLearner')} />;
  const standard = standards?.find(({ id }) => id === learner.standardId);
  return (
    <Page
      title={learner.name}
      sub={
        learner.testDate
          ? t('testOnDateWhenPart', {
              date: longDate(learner.testDate),
              when: fromToday(learner.testDate),
              part: learner.testCentre ? t('atTestCentre', { testCentre: learner.testCentre }) : '',
            })
          : t('noTestBooked')
      }
      actions={
        <>
          <MoreMenu learner={learner} />
          <Button variant="outlined" component={Link} to={`/learners/${learner.id}/readiness`}>
            {t('ready')}
          </Button>
          <Button variant="outlined" component={Link} to={`/checks/learners/${learner.id}`}>
            {t('safetyQuestions')}
          </Button>
          <Button variant="outlined" component={Link} to={`/learners/${learner.id}/edit`}>
            {t('edit')}
          </Button>
          {!learner.archivedAt && (
            <Button variant="contained" component={Link} to={`/drive?learner=${learner.id}`}>
              {t('driveWithName', { name: firstName(learner.name) })}
            </Button>
          )}
        </>
      }
    >
      <p className={`${styles.facts} muted`}>
        <span>{learner.transmission === 'manual' ? t('manualGearbox') : t('automaticGearbox')}</span>
        {standard && <span>{t('standardStandard', { standard: standard.name })}</span>}
        {learner.instructorName && (
          <span>{t('taughtByInstructorName', { instructorName: learner.instructorName })}</span>
        )}
        {learner.phone && <span>{learner.phone}</span>}
        {learner.email && <span>{learner.email}</span>}
        {learner.archivedAt && <span>{t('archivedDate', { date: shortDate(learner.archivedAt) })}</span>}
      </p>
      {learner.notes && <p className={styles.notes}>{learner.notes}</p>}
      <History learnerId={learner.id} name={firstName(learner.name)} />
    </Page>
  );
}

/** Drives and real tests in one list, the latest first. */
function History({ learnerId, name }: { readonly learnerId: string; readonly name: string }) {
  const { data: drives, error, refetch } = api.useLearnerDrivesQuery({ learnerId });
  const { data: standards } = api.useStandardsQuery();
  const sheets = api.useSheetsQuery({ learnerId });
  const failure = error ?? sheets.error;
  if (failure) return <Failed error={failure} onRetry={() => void refetch()} />;
  if (!drives || !standards || !sheets.data) return <Loading what={t('theDrives')} />;
  if (drives.length === 0 && sheets.data.length === 0) {
    return (
      <Section title={t('drives2')}>
        <Empty>{t('nameHasNoDrivesYetThe', { name })}</Empty>
      </Section>
    );
  }
  const rows = [
    ...drives.map((drive, i) => ({
      date: drive.startedAt,
      row: <DriveRow key={drive.id} drive={drive} number={i + 1} />,
    })),
    ...sheets.data.map((sheet) => ({ date: sheet.date, row: <SheetRow key={sheet.id} sheet={sheet} /> })),
  ].sort((a, b) => (a.date < b.date ? 1 : -1));
  return (
    <>
      {drives.length > 0 && (
        <Section title={t('marksByArea')}>
          <Suspense fallback={<Loading what={t('theChart')} />}>
            <AreaChart drives={drives} standards={standards} name={name} />
          </Suspense>
        </Section>
      )}
      <Section title={sheets.data.length > 0 ? t('drivesAndRealTests') : t('drives2')}>
        <Rows>{rows.map(({ row }) => row)}</Rows>
      </Section>
    </>
  );
}

function DriveRow({ drive, number }: { readonly drive: DriveSummary; readonly number: number }) {
  const open = drive.phase !== 'ended';
  return (
    <li className={styles.drive}>
      <b>{number}</b>
      <Link to={open ? `/drive/${drive.id}/desk` : `/drive/${drive.id}`}>{longDate(drive.startedAt)}</Link>
      <span>
        {open ? (
          <>
            <strong>{t('underWay')}</strong>
          </>
        ) : (
          <>
            <OutcomeWord outcome={drive.outcome} />: {drive.detail}.
          </>
        )}
        {(drive.prompts > 0 || drive.interventions > 0) && <span className="muted"> {helpGiven(drive)}</span>}
      </span>
      <span className="muted">{wholeMinutes(drive.drivenMs)}</span>
    </li>
  );
}

/** A real test: what the authority said, and what the counts say where that differs. */
function SheetRow({ sheet }: { readonly sheet: SheetView }) {
  return (
    <li className={styles.drive}>
      <EmojiFlagsOutlined fontSize="small" aria-hidden="true" />
      <Link to={`/sheets/${sheet.id}`}>{longDate(sheet.date)}</Link>
      <span>
        {t('realTest')} <OutcomeWord outcome={sheet.official} />
        {sheet.centre && ` ${t('atCentre', { centre: sheet.centre })}`}
        {sheet.agrees ? `, ${sheet.detail}.` : '. '}
        {!sheet.agrees && (
          <strong>{t('theCountsSayOutcomeDetail', { outcome: sheet.outcome, detail: sheet.detail })}</strong>
        )}
      </span>
      <span className="muted">{t('external')}</span>
    </li>
  );
}
