import { likelyItems } from '@jasperwren/core/marking/likely';
import { useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { Failed, Loading } from '../../ui/states';
import { Ribbon } from '../../ui/Ribbon';
import type { OpenDrive } from '../log/drive-logs';
import { useJudgedDrive, useOpenDrive } from '../log/use-drive';
import { CategoryBoard } from './CategoryBoard';
import styles from './desk.module.css';
import { deskOpened, panelOpened, settlingChosen } from './desk-slice';
import { DeskHeader } from './DeskHeader';
import { DeskPanelView } from './DeskPanels';
import { Matrix } from './Matrix';
import { SidePanel } from './SidePanel';
import { useCellCounts, useDesk } from './use-desk';
import { useDeskKeys } from './use-desk-keys';
import { useNow } from './use-now';

const likelyRows = 7;

/** The marking desk: nothing but the drive. */
export default function DeskPage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  if (opening.state === 'loading') return <Loading what="the drive" />;
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  return <Desk log={opening.log} />;
}

function Desk({ log }: { readonly log: OpenDrive }) {
  const { meta } = log;
  const dispatch = useAppDispatch();
  const { drive, verdict } = useJudgedDrive(log);
  const actions = useDesk(meta.id, meta.standard, drive);
  const counts = useCellCounts(drive);
  const likely = useMemo(() => likelyItems(meta.standard, meta.past, drive, likelyRows), [meta, drive]);
  const { panel, settling, receipt, category } = useAppSelector((state) => state.desk);
  useDeskKeys(meta.standard, actions);
  useEffect(() => {
    document.title = `${meta.learnerName} · Jasperwren`;
    dispatch(deskOpened());
  }, [dispatch, meta.id, meta.learnerName]);
  return (
    <main className={styles.desk} data-phase={drive.phase} data-beat={panel ? 'panel' : category ? 'second' : 'first'}>
      <DeskHeader log={log} drive={drive} actions={actions} />
      <CategoryBoard standard={meta.standard} drive={drive} />
      {panel ? (
        <DeskPanelView
          panel={panel}
          driveId={meta.id}
          standard={meta.standard}
          drive={drive}
          verdict={verdict}
          actions={actions}
        />
      ) : (
        <Matrix
          standard={meta.standard}
          likely={likely}
          counts={counts}
          settling={drive.pins.find((pin) => pin.id === settling)}
          actions={actions}
        />
      )}
      <SidePanel standard={meta.standard} verdict={verdict} actions={actions} />
      <footer className={styles.footer}>
        <p className={styles.receipt} role="status">
          {drive.phase === 'paused' ? 'Paused. ' : ''}
          {receipt || (drive.ended ? '' : 'Marks appear here.')}
          {drive.ended && <Link to={`/drive/${meta.id}`}>The drive has ended: see the verdict</Link>}
        </p>
        <LiveRibbon log={log} drive={drive} />
      </footer>
    </main>
  );
}

function LiveRibbon({
  log,
  drive,
}: {
  readonly log: OpenDrive;
  readonly drive: ReturnType<typeof useJudgedDrive>['drive'];
}) {
  const dispatch = useAppDispatch();
  const { panel, settling } = useAppSelector((state) => state.desk);
  const nowMs = useNow(log.meta.id, !drive.ended);
  return (
    <Ribbon
      standard={log.meta.standard}
      drive={drive}
      nowMs={nowMs}
      chosen={panel?.kind === 'mark' ? panel.markId : settling}
      onMark={(markId) => dispatch(panelOpened({ kind: 'mark', markId }))}
      onPin={(pinId) => dispatch(settlingChosen(pinId))}
    />
  );
}
