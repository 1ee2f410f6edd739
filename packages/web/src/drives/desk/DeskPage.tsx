import { t } from '@jasperwren/words/desk';
import type { Drive, Pin } from '@jasperwren/core/drive/drive';
import { likelyItems } from '@jasperwren/core/marking/likely';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { drivenMs } from '@jasperwren/core/drive/clock';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { lazy, memo, Suspense, useCallback, useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { firstName } from '../../ui/format';
import { driveNowMs } from '../log/drive-clock';
import { lazyOrNothing } from '../../base/lazy-or-nothing';
import { useSettled } from '../../base/use-settled';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { DirectionBar, TraceRecorder } from '../../roads/public';
import { Failed, Loading } from '../../ui/states';
import { Ribbon } from '../../ui/Ribbon';
import type { DriveMeta } from '../../base/device/device-db';
import type { OpenDrive } from '../log/drive-logs';
import { useOpenDrive } from '../log/use-drive';
import { Briefing } from '../briefing/Briefing';
import { useOthersMarks } from '../log/use-others-marks';
import { boardSize, CategoryBoard } from './CategoryBoard';
import styles from './desk.module.css';
import { deskOpened, lingeredEnough, panelOpened, shownCategory } from './desk-slice';
import { Counting, IndependentWarning } from './Hints';
import { DeskHeader } from './DeskHeader';
import { DeskPanelView } from './DeskPanels';
import { Matrix } from './Matrix';
import { SidePanel } from './SidePanel';
import { useStorageRoom } from '../log/use-storage-room';
import type { DeskActions } from './desk-actions';
import { useCellCounts, useDesk } from './use-desk';
import { useDeskKeys } from './use-desk-keys';
import { useNow } from './use-now';

const SensorReader = lazyOrNothing(() => import('../yard/SensorReader'));
const YardConsole = lazy(() => import('../yard/YardConsole'));

const likelyRows = 7;
const lingerMs = 700;

/** The marking desk: nothing but the drive. */
export default function DeskPage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  if (opening.state === 'loading') return <Loading what={t('mockTest')} />;
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  return <Desk meta={opening.log.meta} events={opening.log.events} />;
}

const Desk = memo(function Desk({ meta, events }: Pick<OpenDrive, 'meta' | 'events'>) {
  const dispatch = useAppDispatch();
  const drive = useMemo(() => foldDrive(events), [events]);
  // What was touched is painted first; what follows from it comes a frame later.
  const settled = useSettled(drive);
  const verdict = useMemo(() => judgeDrive(meta.standard, settled), [meta, settled]);
  const likely = useMemo(() => likelyItems(meta.standard, meta.past, settled, likelyRows), [meta, settled]);
  const actions = useDesk(meta.id, meta.standard, drive.phase);
  const counts = useCellCounts(drive);
  const pin = useSettling(drive);
  const keys = useAppSelector((state) => state.settings.deskKeys);
  useStorageRoom();
  useOthersMarks(meta.id, drive.ended === undefined);
  const panel = useAppSelector((state) => state.desk.panel);
  const atCategory = useAppSelector((state) => shownCategory(state.desk) !== undefined);
  useDeskKeys(meta.standard, actions);
  useLingering();
  useEffect(() => {
    document.title = t('learnerNameJasperwren', { learnerName: meta.learnerName });
    dispatch(deskOpened());
  }, [dispatch, meta.id, meta.learnerName]);
  const onCourse = useAppSelector((state) => meta.standard.course !== undefined && !state.desk.allFaults);
  const shown = panel && (
    <DeskPanelView
      panel={panel}
      driveId={meta.id}
      name={firstName(meta.learnerName)}
      route={meta.route}
      standard={meta.standard}
      drive={drive}
      verdict={verdict}
      actions={actions}
    />
  );
  if (drive.phase === 'briefing') return <Briefing meta={meta} drive={drive} />;
  return (
    <main
      className={styles.desk}
      data-phase={drive.phase}
      data-keys={keys}
      data-route={meta.route !== undefined}
      data-course={onCourse}
      data-board={boardSize(meta.standard)}
      data-beat={panel ? 'panel' : atCategory ? 'second' : 'first'}
    >
      {drive.sensors && !drive.ended && (
        <Suspense fallback={null}>
          <SensorReader driveId={meta.id} standard={meta.standard} sensors={drive.sensors} />
        </Suspense>
      )}
      <DeskHeader meta={meta} drive={settled} actions={actions} />
      {meta.route && (
        <Suspense fallback={<div />}>
          <Directions meta={meta} drive={settled} />
        </Suspense>
      )}
      {onCourse ? (
        <Suspense fallback={<div className={styles.course} />}>
          <YardConsole meta={meta} drive={settled} verdict={verdict} settling={pin} panel={shown} actions={actions} />
        </Suspense>
      ) : (
        <>
          <CategoryBoard standard={meta.standard} drive={settled} />
          {shown ?? (
            <Matrix standard={meta.standard} likely={likely} counts={counts} settling={pin} actions={actions} />
          )}
          <SidePanel standard={meta.standard} verdict={verdict} actions={actions} />
        </>
      )}
      <footer className={styles.footer}>
        <Receipt meta={meta} drive={settled} />
        <LiveRibbon meta={meta} drive={settled} actions={actions} />
      </footer>
    </main>
  );
});

/** The next direction, by the drive's own clock where the position is simulated. */
function Directions({ meta, drive }: PartProps) {
  const nowMs = useNow(meta.id, drive.phase === 'running');
  return <DirectionBar driveId={meta.id} route={meta.route!} seconds={drivenMs(drive, nowMs) / 1000} />;
}

/** The pin that the next mark settles; the same object for as long as nothing about it changes. */
function useSettling(drive: Drive): Pin | undefined {
  const id = useAppSelector((state) => state.desk.settling);
  const found = drive.pins.find((one) => one.id === id);
  const atMs = found?.atMs;
  const state = found?.state;
  return useMemo(
    () => (id === undefined || atMs === undefined || state === undefined ? undefined : { id, atMs, state }),
    [id, atMs, state],
  );
}

/** Lets a mark be seen to land in its cell, then goes back to what is likely now. */
function useLingering(): void {
  const dispatch = useAppDispatch();
  // The receipt is new with each mark, so that a second mark in the same category lingers anew.
  const receipt = useAppSelector((state) => (state.desk.lingering ? state.desk.receipt : undefined));
  useEffect(() => {
    if (receipt === undefined) return;
    const timer = setTimeout(() => dispatch(lingeredEnough()), lingerMs);
    return () => clearTimeout(timer);
  }, [receipt, dispatch]);
}

interface PartProps {
  readonly meta: DriveMeta;
  readonly drive: Drive;
}

const Receipt = memo(function Receipt({ meta, drive }: PartProps) {
  const receipt = useAppSelector((state) => state.desk.receipt);
  return (
    <p className={styles.receipt} role="status">
      {drive.phase === 'paused' ? `${t('paused')} ` : ''}
      {receipt || (drive.ended || drive.marks.length > 0 ? '' : t('faultsShowHere'))}
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

const LiveRibbon = memo(function LiveRibbon({ meta, drive, actions }: PartProps & { readonly actions: DeskActions }) {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector(({ desk }) => (desk.panel?.kind === 'mark' ? desk.panel.markId : desk.settling));
  const nowMs = useNow(meta.id, !drive.ended);
  const onMark = useCallback((markId: string) => dispatch(panelOpened({ kind: 'mark', markId })), [dispatch]);
  return (
    <Ribbon
      standard={meta.standard}
      drive={drive}
      nowMs={nowMs}
      chosen={chosen}
      onMark={onMark}
      onPin={actions.settlePin}
    />
  );
});
