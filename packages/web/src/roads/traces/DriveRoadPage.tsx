import type { TraceView } from '@jasperwren/contract/traces';
import { t } from '@jasperwren/words/traces';
import { skipToken } from '@reduxjs/toolkit/query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../../base/api';
import { useJudgedDrive, useOpenDrive, type OpenDrive } from '../../drives/public';
import { firstName, longDate } from '../../ui/format';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/states';
import { unitsOf } from '../format-route';
import { AttachTrace } from './AttachTrace';
import { DrivePicture } from './DrivePicture';
import styles from './drive-road.module.css';
import { SpeedPart } from './SpeedPart';
import { TraceClock } from './TraceClock';
import { TraceFacts } from './TraceFacts';

/** While a trace is worked out it is asked for again after so many milliseconds. */
const askMs = 1500;

/** Where a mock test went, with its faults at their places. */
export default function DriveRoadPage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  if (opening.state === 'loading') return <Loading what={t('trace')} />;
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  return <DriveRoad log={opening.log} />;
}

function DriveRoad({ log }: { readonly log: OpenDrive }) {
  const { meta } = log;
  const { drive } = useJudgedDrive(log);
  const working = api.endpoints.trace.useQueryState(
    { driveId: meta.id },
    { selectFromResult: ({ data }) => ({ is: data?.state === 'working' }) },
  ).is;
  const {
    data: trace,
    error,
    refetch,
  } = api.useTraceQuery({ driveId: meta.id }, { pollingInterval: working ? askMs : 0 });
  return (
    <Page
      title={t('whereItWent')}
      over={
        <>
          <Link to={`/learners/${meta.learnerId}`}>{meta.learnerName}</Link>,{' '}
          <Link to={`/drive/${meta.id}`}>{drive.startedAt && longDate(drive.startedAt)}</Link>
        </>
      }
    >
      {error && trace === undefined && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && trace === undefined && <Loading what={t('trace')} />}
      {trace === null && (
        <>
          <p>{t('noTrace')}</p>
          <AttachTrace driveId={meta.id} startedAt={drive.startedAt} />
        </>
      )}
      {trace && <Trace log={log} trace={trace} />}
    </Page>
  );
}

const stateWords = { working: 'working', 'no-roads': 'noRoads', empty: 'empty' } as const;

function Trace({ log, trace }: { readonly log: OpenDrive; readonly trace: TraceView }) {
  const { meta } = log;
  const { drive } = useJudgedDrive(log);
  const [atMs, setAtMs] = useState(0);
  const { data: stored, error, refetch } = api.useRoadsOfQuery(trace.roads ? { roadsId: trace.roads.id } : skipToken);
  const units = unitsOf(stored);
  const parts = { trace, standard: meta.standard, drive, units };
  return (
    <>
      {trace.state !== 'ready' && <p role="status">{t(stateWords[trace.state])}</p>}
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {trace.reading && !stored && !error && <Loading what={t('trace')} />}
      {trace.reading && stored && (
        <>
          <DrivePicture {...parts} reading={trace.reading} stored={stored} atMs={atMs} onMoment={setAtMs} />
          <div className={styles.columns}>
            <SpeedPart
              reading={trace.reading}
              zeroMs={trace.zeroMs}
              marks={trace.marks}
              units={units}
              onMoment={setAtMs}
            />
            <TraceFacts {...parts} reading={trace.reading} name={firstName(meta.learnerName)} />
          </div>
        </>
      )}
      <TraceClock key={trace.version} driveId={meta.id} trace={trace} />
    </>
  );
}
