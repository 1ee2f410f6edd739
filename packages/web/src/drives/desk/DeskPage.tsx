import { t } from '@jasperwren/words/desk';
import { likelyItems } from '@jasperwren/core/marking/likely';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { latestMark } from '@jasperwren/core/drive/latest-mark';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { lazy, memo, Suspense, useEffect, useMemo } from 'react';
import { useParams } from 'react-router';
import { lazyOrNothing } from '../../base/lazy-or-nothing';
import { useSettled } from '../../base/use-settled';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { Failed, Loading } from '../../ui/states';
import type { OpenDrive } from '../log/drive-logs';
import { useOpenDrive } from '../log/use-drive';
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
import { useCellCounts, useDesk } from './use-desk';
import { useDeskKeys } from './use-desk-keys';
import { useLingering, useSettling } from './use-settling';

const SensorReader = lazyOrNothing(() => import('../yard/SensorReader'));
const VoiceKeeper = lazyOrNothing(() => import('../voice/VoiceKeeper'));
const YardConsole = lazy(() => import('../yard/YardConsole'));

const likelyRows = 7;

/** The marking desk: nothing but the drive. */
export default function DeskPage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  useEffect(fetchAhead, []);
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
  const latest = useMemo(() => latestMark(events, settled), [events, settled]);
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
  const shown = panel && <DeskPanelView panel={panel} meta={meta} drive={drive} verdict={verdict} actions={actions} />;
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
      <Suspense fallback={null}>
        <VoiceKeeper driveId={meta.id} drive={settled} />
      </Suspense>
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
          <SidePanel driveId={meta.id} standard={meta.standard} verdict={verdict} actions={actions} />
        </>
      )}
      <footer className={styles.footer}>
        <Receipt meta={meta} drive={settled}>
          {latest && <MissedStep standard={meta.standard} mark={latest} actions={actions} />}
          {pin && <VoiceOfPin driveId={meta.id} pinId={pin.id} atMs={pin.atMs} />}
          {latest && <RoomOfMark standard={meta.standard} verdict={verdict} mark={latest} />}
          {meta.standard.course && !drive.ended && <SoFar standard={meta.standard} verdict={verdict} glance />}
        </Receipt>
        <LiveRibbon meta={meta} drive={settled} actions={actions} />
      </footer>
    </main>
  );
});
