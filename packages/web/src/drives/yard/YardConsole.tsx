import { t } from '@jasperwren/words/yard';
import type { Drive, Pin } from '@jasperwren/core/drive/drive';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import { courseSheet, nextExercises } from '@jasperwren/core/yard/course-sheet';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { DriveMeta } from '../../base/device/device-db';
import { useAppSelector } from '../../base/hooks';
import type { DeskActions } from '../desk/desk-actions';
import { useNow } from '../desk/use-now';
import { BeforeExercise } from './BeforeExercise';
import { CourseList } from './CourseList';
import { ExerciseConsole } from './ExerciseConsole';
import { FaultTiles } from './FaultTiles';
import { LeaveCar } from './LeaveCar';
import { SensorStrip } from './SensorStrip';
import styles from './yard.module.css';

interface Props {
  readonly meta: DriveMeta;
  readonly drive: Drive;
  readonly verdict: Verdict;
  readonly settling: Pin | undefined;
  /** What stands in place of the exercise. */
  readonly panel: ReactNode;
  readonly actions: DeskActions;
}

/** Whether there are faults that belong to no exercise. */
const hasOthers = ({ categories }: DriveMeta['standard']): boolean =>
  categories.some(({ items }) => items.some(({ exercise }) => exercise === undefined));

/** What came of it, and the way there. */
function Ended({ meta, verdict }: Pick<Props, 'meta' | 'verdict'>) {
  return (
    <>
      <h2>{t('ended')}</h2>
      <p>{verdictSentence(meta.standard, verdict)}</p>
      <p>
        <Link to={`/drive/${meta.id}`}>{t('seeResult')}</Link>
      </p>
    </>
  );
}

/** The desk for a course: the exercise under way is its subject, with its clock, its looks and its counts. */
export default function YardConsole({ meta, drive, verdict: settled, settling, panel, actions }: Props) {
  const { standard } = meta;
  const running = drive.phase === 'running';
  const nowMs = useNow(meta.id, running);
  const chosen = useAppSelector((state) => state.desk.exercise);
  // Clocks run out without anything being touched.
  const verdict = running ? judgeDrive(standard, drive, nowMs) : settled;
  const sheets = courseSheet(standard, drive, verdict, nowMs);
  const under = sheets.find(({ state }) => state === 'now');
  const next = nextExercises(standard, drive, verdict);
  const ahead = sheets.find(({ exercise: { code } }) => code === (chosen ?? next[0]?.code));
  const shown = under ?? ahead;
  // Where there is no room for both: the faults of the exercise, or those of the whole yard.
  const [elsewhere, setElsewhere] = useState(false);
  return (
    <div
      className={styles.console}
      data-panel={panel !== undefined}
      data-faults={shown === undefined || elsewhere ? 'elsewhere' : 'here'}
    >
      <CourseList sheets={sheets} shown={shown?.exercise.code} choosable={!under && actions.running}>
        <SensorStrip sensors={drive.sensors} running={actions.running} />
        {shown && hasOthers(standard) && (
          <button
            type="button"
            className={styles.elsewhere}
            aria-pressed={elsewhere}
            onClick={() => setElsewhere(!elsewhere)}
          >
            {t('wholeYard')}
          </button>
        )}
      </CourseList>
      <section className={styles.middle} aria-label={t('exerciseNow')}>
        {panel ??
          (drive.ended ? (
            <Ended meta={meta} verdict={verdict} />
          ) : under ? (
            <ExerciseConsole
              key={under.attempts.at(-1)!.fromMs}
              standard={standard}
              drive={drive}
              verdict={verdict}
              sheet={under}
              actions={actions}
            />
          ) : ahead ? (
            <BeforeExercise
              key={ahead.exercise.code}
              standard={standard}
              sheet={ahead}
              branches={chosen === undefined || next.some(({ code }) => code === chosen) ? next : []}
              actions={actions}
            />
          ) : (
            <LeaveCar standard={standard} drive={drive} actions={actions} />
          ))}
      </section>
      <FaultTiles
        driveId={meta.id}
        standard={standard}
        drive={drive}
        exercise={shown?.exercise}
        settling={settling}
        actions={actions}
      />
    </div>
  );
}
