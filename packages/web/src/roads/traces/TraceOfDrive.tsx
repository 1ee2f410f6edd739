import type { TraceView } from '@jasperwren/contract/traces';
import type { Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { StoredRoads } from '@jasperwren/roads/source';
import { t } from '@jasperwren/words/traces';
import { skipToken } from '@reduxjs/toolkit/query';
import { useState } from 'react';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { Failed, Loading } from '../../ui/states';
import { unitsOf } from '../format-route';
import { AttachTrace } from './AttachTrace';
import { DrivePicture } from './DrivePicture';
import styles from './drive-road.module.css';
import { PlaceByHand, type OnPlace } from './PlaceByHand';
import { SpeedPart } from './SpeedPart';
import { TraceClock } from './TraceClock';
import { TraceFacts } from './TraceFacts';
import { WaitingTrace } from './WaitingTrace';

/** While a trace is worked out it is asked for again after so many milliseconds. */
const askMs = 1500;

interface Props {
  readonly driveId: string;
  /** First name of the learner. */
  readonly name: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly onPlace: OnPlace;
  /** The roads near the planned route, as this device has them. */
  readonly nearby: StoredRoads | undefined;
  /** When the clock of the drive stood at 0, in milliseconds since 1970. */
  readonly zeroMs: number;
}

/** The trace of a drive, or the way to add one. */
export default function TraceOfDrive(props: Props) {
  const { driveId, drive, standard, onPlace, nearby, zeroMs } = props;
  const working = api.endpoints.trace.useQueryState(
    { driveId },
    { selectFromResult: ({ data }) => ({ is: data?.state === 'working' }) },
  ).is;
  const { data: trace, error, refetch } = api.useTraceQuery({ driveId }, { pollingInterval: working ? askMs : 0 });
  if (error && trace === undefined)
    return (
      <>
        <Failed error={error} onRetry={() => void refetch()} />
        {nearby && <WaitingTrace driveId={driveId} roads={nearby} standard={standard} drive={drive} zeroMs={zeroMs} />}
      </>
    );
  if (trace === undefined) return <Loading what={t('trace')} />;
  if (trace) return <Trace {...props} trace={trace} />;
  return (
    <>
      <p>{t('noTrace')}</p>
      <AttachTrace driveId={driveId} startedAt={drive.startedAt} />
      {drive.route && <PlaceByHand routeId={drive.route.id} standard={standard} drive={drive} onPlace={onPlace} />}
    </>
  );
}

const stateWords = { working: 'working', 'no-roads': 'noRoads', empty: 'empty' } as const;

function Trace({
  driveId,
  name,
  standard,
  drive,
  trace,
}: Omit<Props, 'onPlace' | 'nearby' | 'zeroMs'> & { readonly trace: TraceView }) {
  const [atMs, setAtMs] = useState(0);
  const { data: stored, ...asked } = api.useRoadsOfQuery(trace.roads ? { roadsId: trace.roads.id } : skipToken);
  const failed = failureOf(asked);
  const units = unitsOf(stored);
  const parts = { trace, standard, drive, units };
  return (
    <>
      {trace.state !== 'ready' && <p role="status">{t(stateWords[trace.state])}</p>}
      {failed && <Failed {...failed} />}
      {trace.reading && !stored && !failed && <Loading what={t('trace')} />}
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
            <TraceFacts {...parts} reading={trace.reading} name={name} />
          </div>
        </>
      )}
      <TraceClock key={trace.version} driveId={driveId} trace={trace} />
    </>
  );
}
