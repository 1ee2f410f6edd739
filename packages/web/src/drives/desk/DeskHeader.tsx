import { sectionName } from '@jasperwren/words/names';
import { t } from '@jasperwren/words/desk';
import { currentSpan, drivenMs, exerciseRuns, sectionMs } from '@jasperwren/core/drive/clock';
import { unsettledPins, type Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { secondsWords } from '@jasperwren/words/marking/amounts';
import { memo, useCallback } from 'react';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import type { RootState } from '../../base/store';
import { useSettledSelector } from '../../base/use-settled-selector';
import { clockTime } from '../../ui/format';
import type { DriveMeta } from '../../base/device/device-db';
import styles from './header.module.css';
import { secondsAllowed } from '@jasperwren/core/marking/exercise-limits';
import { commandKeys } from './desk-keys';
import { boardSwitched } from './desk-slice';
import { Key } from './Key';
import type { DeskActions } from './desk-actions';
import { useNow } from './use-now';

interface Props {
  readonly meta: DriveMeta;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

/** Always in sight: who, how long, which section, what is saved, what is unsettled. */
export const DeskHeader = memo(function DeskHeader({ meta, drive, actions }: Props) {
  const nowMs = useNow(meta.id, drive.phase === 'running');
  const { totalMin, independentMin } = meta.standard.length;
  const pins = unsettledPins(drive).length;
  const waiting = pins + drive.doubles.length;
  const span = currentSpan(drive);
  const section = span?.section ?? 'guided';
  return (
    <header className={styles.header}>
      <div className={styles.who}>
        <h1>{meta.learnerName}</h1>
        <span className="muted">
          {meta.number > 0 && `${t('mockTestNumber', { number: meta.number })} `}
          {standardLabel(meta.standard)}
        </span>
      </div>
      <div className={styles.clock} role="timer" aria-label={t('timeDriven')}>
        <b>{clockTime(drivenMs(drive, nowMs))}</b>{' '}
        <span className="muted">{t('ofTotalMinMin', { totalMin: totalMin.value })}</span>
      </div>
      {meta.standard.course ? (
        <BoardSwitch />
      ) : span?.exercise !== undefined ? (
        <ExerciseClock standard={meta.standard} drive={drive} nowMs={nowMs} onEnd={actions.finishExercise} />
      ) : (
        <button
          type="button"
          className={styles.section}
          onClick={actions.switchSection}
          disabled={!actions.running}
          aria-label={t('switchSectionNowSection', { section: sectionName(section) })}
        >
          <span>
            <span className="muted">{sectionName(section)}</span> <Key>/</Key>
          </span>
          <b>
            {clockTime(sectionMs(drive, section, nowMs))}
            {section === 'independent' &&
              independentMin &&
              ` ${t('ofIndependentMinMin', { independentMin: independentMin.value })}`}
          </b>
        </button>
      )}
      <div className={styles.saving}>
        <Saving driveId={meta.id} />
        <button type="button" className={styles.pins} onClick={actions.openTray} disabled={waiting === 0}>
          {waiting === 0 ? t('noPins') : trayWords(pins, drive.doubles.length)} <Key>;</Key>
        </button>
      </div>
      <div className={styles.headerActions}>
        <button type="button" className={styles.headerButton} onClick={actions.openMore} disabled={!actions.running}>
          {t('more')} <Key>=</Key>
        </button>
        <button
          type="button"
          className={styles.headerButton}
          onClick={() => void actions.switchPause()}
          disabled={!actions.running}
        >
          {drive.phase === 'paused' ? t('continue') : t('pause2')} <Key>0</Key>
        </button>
        <button type="button" className={styles.headerButton} onClick={actions.askToEnd} disabled={!actions.running}>
          {t('end')} <Key>{t('end')}</Key>
        </button>
      </div>
    </header>
  );
});

/** On a course: the exercises or all faults. */
function BoardSwitch() {
  const dispatch = useAppDispatch();
  const allFaults = useAppSelector((state) => state.desk.allFaults ?? false);
  return (
    <button type="button" className={styles.section} onClick={() => dispatch(boardSwitched())}>
      <b>{allFaults ? t('viewExercises') : t('viewAllFaults')}</b>
    </button>
  );
}

function trayWords(pins: number, doubles: number): string {
  return doubles === 0 ? t('namePins', { count: pins }) : t('toSortOut', { n: pins + doubles });
}

/** The exercise under way, with the time it has taken and may take; a touch ends it. */
function ExerciseClock({
  standard,
  drive,
  nowMs,
  onEnd,
}: {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly nowMs: number;
  readonly onEnd: (name: string) => void;
}) {
  const run = exerciseRuns(drive, nowMs).at(-1);
  if (!run) return null;
  const exercise = standard.exercises.find(({ code }) => code === run.exercise);
  const name = exercise?.name ?? run.exercise;
  const allowedS = secondsAllowed(standard, run.exercise, run.retest);
  return (
    <button type="button" className={styles.section} onClick={() => onEnd(name)} aria-label={t('endName', { name })}>
      <span>
        <span className="muted">{t('endName', { name })}</span> <Key>{commandKeys.exercise.word}</Key>
      </span>
      <b>
        {clockTime(run.timeMs)}
        {allowedS !== undefined && ` ${t('ofTime', { time: secondsWords(allowedS) })}`}
        {allowedS === undefined && exercise?.usual && (
          <span className="muted">
            {' '}
            {t('usually', { from: exercise.usual.fromS / 60, to: exercise.usual.toS / 60 })}
          </span>
        )}
      </b>
    </button>
  );
}

function standardLabel(standard: EffectiveStandard): string {
  return `${standard.name} v${standard.version}`;
}

/** Where the marks are: on this device, and at the server or not yet. */
function Saving({ driveId }: { readonly driveId: string }) {
  const waiting = useSettledSelector(
    useCallback((state: RootState) => state.driveLogs.open[driveId]?.unsent.length ?? 0, [driveId]),
  );
  const { unreachable, reason } = useAppSelector((state) => state.outbox);
  const leftMB = useAppSelector((state) => state.driveLogs.storageLeftMB);
  const storageFailed = useAppSelector((state) => state.driveLogs.storageFailed);
  if (storageFailed) {
    return (
      <strong role="alert">
        {t('notSavedOnThisDevicePart', {
          part: waiting > 0 ? t('keepThisPageOpenWaitingTo', { waiting }) : t('everythingIsSent'),
        })}
      </strong>
    );
  }
  if (leftMB !== undefined) return <strong role="alert">{t('storageNearlyFullLeftMBMBLeft', { leftMB })}</strong>;
  if (reason !== undefined) return <strong role="alert">{reason}</strong>;
  if (waiting > 0) return <span>{unreachable ? t('savedHereWaitingNotSent', { waiting }) : t('saving')}</span>;
  return <span>{t('allSaved')}</span>;
}
