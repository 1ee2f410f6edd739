import { t } from '@jasperwren/words/desk';
import { likelyItems } from '@jasperwren/core/marking/likely';
import type { Drive } from '@jasperwren/core/drive/drive';
import { latestMark } from '@jasperwren/core/drive/latest-mark';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { lazy, memo, Suspense, useCallback, useEffect, useMemo, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { lazyOrNothing } from '../../base/lazy-or-nothing';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import type { RootState } from '../../base/store';
import { useSettledSelector } from '../../base/use-settled-selector';
import { Failed, Loading } from '../../ui/states';
import type { OpenDrive } from '../log/drive-logs';
import { eventsOf, folded } from '../log/folded';
import { useOpening } from '../log/use-drive';
import { Briefing } from '../briefing/Briefing';
import { useOthersMarks } from '../log/use-others-marks';
import { boardSize, CategoryBoard } from './board/CategoryBoard';
import styles from './desk.module.css';
import { deskOpened, shownCategory } from './desk-slice';
import { DeskHeader } from './DeskHeader';
import { Directions, LiveRibbon, Receipt } from './DeskParts';
import { DeskPanelView } from './DeskPanels';
import { fetchAhead } from './fetch-ahead';
import { Matrix } from './board/Matrix';
import { MissedStep } from './MissedStep';
import { RoomOfMark, SoFar } from './Rooms';
import { SidePanel } from './SidePanel';
import { useStorageRoom } from '../log/use-storage-room';
import { VoiceOfPin } from '../voice/VoiceOfPin';
import { useDesk } from './use-desk';
import { useDeskKeys } from './use-desk-keys';
import { useLingering, useSettling } from './use-settling';

const SensorReader = lazyOrNothing(() => import('../yard/SensorReader'));
const VoiceKeeper = lazyOrNothing(() => import('../voice/VoiceKeeper'));
const YardConsole = lazy(() => import('../yard/YardConsole'));

const likelyRows = 7;

/** The marking desk: nothing but the drive. */
export default function DeskPage() {
  const { driveId = '' } = useParams();
  const opening = useOpening(driveId);
  useEffect(fetchAhead, []);
  if (opening.state === 'loading') return <Loading what={t('mockTest')} />;
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  return <Desk key={driveId} meta={opening.meta} />;
}

const Desk = memo(function Desk({ meta }: Pick<OpenDrive, 'meta'>) {
  const dispatch = useAppDispatch();
  // What was touched is painted first; what follows from it comes a frame later.
  const events = useSettledSelector(useCallback((state: RootState) => eventsOf(state, meta.id), [meta.id]));
  const drive = folded(events);
  const phase = useAppSelector((state) => folded(eventsOf(state, meta.id)).phase);
  const verdict = useMemo(() => judgeDrive(meta.standard, drive), [meta, drive]);
  const latest = useMemo(() => latestMark(events, drive), [events, drive]);
  const likely = useMemo(() => likelyItems(meta.standard, meta.past, drive, likelyRows), [meta, drive]);
  const actions = useDesk(meta.id, meta.standard, phase);
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
    <DriveNow
      driveId={meta.id}
      show={(now) => <DeskPanelView panel={panel} meta={meta} drive={now} verdict={verdict} actions={actions} />}
    />
  );
  if (drive.phase === 'briefing')
    return <DriveNow driveId={meta.id} show={(now) => <Briefing meta={meta} drive={now} />} />;
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
      <Suspense fallback={null}>
        <VoiceKeeper driveId={meta.id} drive={drive} />
      </Suspense>
      <DeskHeader meta={meta} drive={drive} actions={actions} />
      {meta.route && (
        <Suspense fallback={<div />}>
          <Directions meta={meta} drive={drive} />
        </Suspense>
      )}
      {onCourse ? (
        <Suspense fallback={<div className={styles.course} />}>
          <YardConsole meta={meta} drive={drive} verdict={verdict} settling={pin} panel={shown} actions={actions} />
        </Suspense>
      ) : (
        <>
          <CategoryBoard standard={meta.standard} drive={drive} />
          {shown ?? (
            <Matrix driveId={meta.id} standard={meta.standard} likely={likely} settling={pin} actions={actions} />
          )}
          <SidePanel driveId={meta.id} standard={meta.standard} verdict={verdict} actions={actions} />
        </>
      )}
      <footer className={styles.footer}>
        <Receipt meta={meta} drive={drive}>
          {latest && <MissedStep standard={meta.standard} mark={latest} actions={actions} />}
          {pin && <VoiceOfPin driveId={meta.id} pinId={pin.id} atMs={pin.atMs} />}
          {latest && <RoomOfMark standard={meta.standard} verdict={verdict} mark={latest} />}
          {meta.standard.course && !drive.ended && <SoFar standard={meta.standard} verdict={verdict} glance />}
        </Receipt>
        <LiveRibbon meta={meta} drive={drive} actions={actions} />
      </footer>
    </main>
  );
});

interface DriveNowProps {
  readonly driveId: string;
  readonly show: (drive: Drive) => ReactNode;
}

/** What answers what is done in it follows the log at once. */
function DriveNow({ driveId, show }: DriveNowProps) {
  return show(useAppSelector((state) => folded(eventsOf(state, driveId))));
}
