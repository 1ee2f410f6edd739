import Button from '@mui/material/Button';
import type { DriveSummary } from '@jasperwren/contract/drives';
import { useSnackbar } from 'notistack';
import { lazy, Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { useStandardsQuery } from '../drives/drives-api';
import { firstName, helpGiven, fromToday, longDate, shortDate, wholeMinutes } from '../ui/format';
import { OutcomeWord } from '../ui/OutcomeWord';
import { Page, Rows, Section } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/states';
import { useArchiveLearnerMutation, useLearnerDrivesQuery, useLearnerQuery } from './learners-api';
import styles from './learners.module.css';

const AreaChart = lazy(() => import('../charts/AreaChart'));

export default function LearnerPage() {
  const { learnerId = '' } = useParams();
  const { data: learner, error, refetch } = useLearnerQuery(learnerId);
  const { data: standards } = useStandardsQuery();
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!learner) return <Loading what="the learner" />;
  const standard = standards?.find(({ id }) => id === learner.standardId);
  return (
    <Page
      title={learner.name}
      sub={
        learner.testDate
          ? `Test on ${longDate(learner.testDate)}, ${fromToday(learner.testDate)}${learner.testCentre ? `, at ${learner.testCentre}` : ''}`
          : 'No test booked'
      }
      actions={
        <>
          <Archive id={learner.id} name={learner.name} archived={learner.archivedAt !== undefined} />
          <Button variant="outlined" component={Link} to={`/learners/${learner.id}/edit`}>
            Edit
          </Button>
          {!learner.archivedAt && (
            <Button variant="contained" component={Link} to={`/drive?learner=${learner.id}`}>
              Drive with {firstName(learner.name)}
            </Button>
          )}
        </>
      }
    >
      <p className={`${styles.facts} muted`}>
        <span>{learner.transmission === 'manual' ? 'Manual gearbox' : 'Automatic gearbox'}</span>
        {standard && <span>{standard.name} standard</span>}
        {learner.phone && <span>{learner.phone}</span>}
        {learner.email && <span>{learner.email}</span>}
        {learner.archivedAt && <span>Archived {shortDate(learner.archivedAt)}</span>}
      </p>
      {learner.notes && <p className={styles.notes}>{learner.notes}</p>}
      <History learnerId={learner.id} name={firstName(learner.name)} />
    </Page>
  );
}

function History({ learnerId, name }: { readonly learnerId: string; readonly name: string }) {
  const { data: drives, error, refetch } = useLearnerDrivesQuery(learnerId);
  const { data: standards } = useStandardsQuery();
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!drives || !standards) return <Loading what="the drives" />;
  if (drives.length === 0) {
    return (
      <Section title="Drives">
        <Empty>{name} has no drives yet. The first one shows here as soon as it has started.</Empty>
      </Section>
    );
  }
  return (
    <>
      <Section title="Marks by area">
        <Suspense fallback={<Loading what="the chart" />}>
          <AreaChart drives={drives} standards={standards} name={name} />
        </Suspense>
      </Section>
      <Section title="Drives">
        <Rows>{drives.map((drive, i) => <DriveRow key={drive.id} drive={drive} number={i + 1} />).reverse()}</Rows>
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
            <strong>Under way</strong>
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

function Archive({ id, name, archived }: { readonly id: string; readonly name: string; readonly archived: boolean }) {
  const [archive, { isLoading }] = useArchiveLearnerMutation();
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const set = async (to: boolean) => {
    const { error } = await archive({ id, archived: to });
    if (error) {
      enqueueSnackbar('It could not be changed. Try again when the server can be reached.');
      return;
    }
    enqueueSnackbar(to ? `${name} is archived; every drive is kept.` : `${name} is back on the list.`, {
      action: (key) => (
        <Button
          color="inherit"
          onClick={() => {
            closeSnackbar(key);
            void archive({ id, archived: !to });
          }}
        >
          Undo
        </Button>
      ),
    });
  };
  return (
    <Button variant="text" disabled={isLoading} onClick={() => void set(!archived)}>
      {archived ? 'Put back on the list' : 'Archive'}
    </Button>
  );
}
