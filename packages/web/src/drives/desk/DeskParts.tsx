import { t } from '@jasperwren/words/desk';
import type { Drive } from '@jasperwren/core/drive/drive';
import { drivenMs } from '@jasperwren/core/drive/clock';
import { memo, Suspense, useCallback, type ReactNode } from 'react';
import { Link } from 'react-router';
import { driveNowMs } from '../log/drive-clock';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { DirectionBar, TraceRecorder } from '../../roads/public';
import { Ribbon } from '../../ui/Ribbon';
import type { DriveMeta } from '../../base/device/device-db';
import styles from './desk.module.css';
import { chosenOnRibbon, panelOpened } from './desk-slice';
import { Counting, IndependentWarning } from './Hints';
import type { DeskActions } from './desk-actions';
import { useNow } from './use-now';

interface PartProps {
  readonly meta: DriveMeta;
  readonly drive: Drive;
}

/** The next direction, by the drive's own clock where the position is simulated. */
export function Directions({ meta, drive }: PartProps) {
  const nowMs = useNow(meta.id, drive.phase === 'running');
  return <DirectionBar driveId={meta.id} route={meta.route!} seconds={drivenMs(drive, nowMs) / 1000} />;
}

/** Drawn anew with everything that is done, and alone. */
function LastDone({ none }: { readonly none: string }) {
  return useAppSelector((state) => state.desk.receipt) || none;
}

/** What was recorded last, what it did, and what is on beside it. */
export const Receipt = memo(function Receipt({ meta, drive, children }: PartProps & { readonly children: ReactNode }) {
  return (
    <p className={styles.receipt} role="status">
      {drive.phase === 'paused' ? `${t('paused')} ` : ''}
      <LastDone none={drive.ended || drive.marks.length > 0 ? '' : t('faultsShowHere')} />
      {children}
      <Counting meta={meta} />
      {!drive.ended && <IndependentWarning meta={meta} drive={drive} />}
      <Suspense fallback={null}>
        <TraceRecorder
          driveId={meta.id}
          ended={drive.ended !== undefined}
          route={meta.route}
          secondsNow={() => drivenMs(drive, driveNowMs(meta.id)) / 1000}
        />
      </Suspense>
      {drive.ended && <Link to={`/drive/${meta.id}`}>{t('theMockTestHasEndedSee')}</Link>}
    </p>
  );
});

/** The drive so far, to its second. */
export const LiveRibbon = memo(function LiveRibbon({
  meta,
  drive,
  actions,
}: PartProps & { readonly actions: DeskActions }) {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector(({ desk }) => chosenOnRibbon(desk));
  const nowMs = useNow(meta.id, !drive.ended);
  const onMark = useCallback((markId: string) => dispatch(panelOpened({ kind: 'mark', markId })), [dispatch]);
  const onHelp = useCallback((helpId: string) => dispatch(panelOpened({ kind: 'help', helpId })), [dispatch]);
  return (
    <Ribbon
      standard={meta.standard}
      drive={drive}
      nowMs={nowMs}
      chosen={chosen}
      onMark={onMark}
      onPin={actions.settlePin}
      onHelp={onHelp}
    />
  );
});
