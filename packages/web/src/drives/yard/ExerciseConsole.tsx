import { t } from '@jasperwren/words/yard';
import type { Drive } from '@jasperwren/core/drive/drive';
import { exerciseStepKinds } from '@jasperwren/core/drive/event-kinds';
import type { ExerciseStepKind } from '@jasperwren/core/drive/event';
import { limitOf } from '@jasperwren/core/marking/exercise-limits';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { limitsAttempts, type Verdict } from '@jasperwren/core/marking/verdict';
import { nextExercises, type AttemptSheet, type ExerciseSheet } from '@jasperwren/core/yard/course-sheet';
import { itemName } from '@jasperwren/words/marking/names';
import { reasonSentence } from '@jasperwren/words/marking/verdict';
import Button from '@mui/material/Button';
import { clockTime } from '../../ui/format';
import type { DeskActions } from '../desk/desk-actions';
import { commandKeys } from '../desk/desk-keys';
import { Key } from '../desk/Key';
import { ExerciseClock } from './ExerciseClock';
import { Looks } from './Looks';
import styles from './yard.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly verdict: Verdict;
  readonly sheet: ExerciseSheet;
  readonly actions: DeskActions;
}

const stepNames = {
  movement: t('movements'),
  shunt: t('shunts'),
  correction: t('corrections'),
  look: t('walks'),
} as const;

/** The attempt under way: clock, looks, counts, and whether it has failed. */
export function ExerciseConsole({ standard, drive, verdict, sheet, actions }: Props) {
  const { exercise, attempts, room } = sheet;
  const attempt = attempts.at(-1)!;
  const most = limitOf(standard, exercise.code, 'attempts')?.allowed.value;
  const then = nextExercises(standard, drive, verdict)[0];
  const steps = exerciseStepKinds.filter((step) => countsStep(standard, sheet, step));
  return (
    <>
      <div className={styles.head}>
        <h2>{exercise.name}</h2>
        {most !== undefined && <span className="muted">{t('attemptOf', { attempt: attempts.length, most })}</span>}
      </div>
      <ExerciseClock attempt={attempt} running={drive.phase === 'running'} />
      <Failure standard={standard} verdict={verdict} sheet={sheet} attempt={attempt} mostAttempts={most} />
      <div className={styles.parts}>
        <Looks exercise={exercise} drive={drive} sinceMs={attempt.fromMs} actions={actions} />
        <section aria-label={t('counts')} hidden={!room && steps.length === 0}>
          <h3>{t('counts')}</h3>
          <ul>
            {room && (
              <li data-over={room.left < 0}>
                <span>{room.limit.name}</span>
                <b>{t('usedOf', { used: room.used, allowed: room.allowed })}</b>
              </li>
            )}
            {steps.map((step) => {
              const allowed = limitOf(standard, exercise.code, 'steps', step)?.allowed.value;
              const used = attempt.steps[step].length;
              return (
                <li key={step} data-over={allowed !== undefined && used > allowed}>
                  <span>{stepNames[step]}</span>
                  <b>{allowed === undefined ? used : t('usedOf', { used, allowed })}</b>
                  <button
                    type="button"
                    aria-label={t('countOne', { what: stepNames[step] })}
                    disabled={!actions.running}
                    onClick={() => actions.count(step)}
                  >
                    +1
                  </button>
                </li>
              );
            })}
          </ul>
        </section>
      </div>
      <div className={styles.finish}>
        {then && <span className="muted">{t('thenNext', { name: then.name })}</span>}
        {limitsAttempts(standard, exercise.code) && attempt.failedAtMs === undefined && !attempt.failedBy && (
          <Button variant="outlined" disabled={!actions.running} onClick={() => actions.failAttempt(exercise.name)}>
            {t('attemptFailed')}
          </Button>
        )}
        <Button variant="contained" disabled={!actions.running} onClick={() => actions.finishExercise(exercise.name)}>
          {t('finish')} <Key>{commandKeys.exercise.word}</Key>
        </Button>
      </div>
    </>
  );
}

/** What is counted here: what a limit holds, and movements wherever the car goes to and fro. */
function countsStep(
  standard: EffectiveStandard,
  { exercise, attempts }: ExerciseSheet,
  step: ExerciseStepKind,
): boolean {
  if (limitOf(standard, exercise.code, 'steps', step) || attempts.at(-1)!.steps[step].length > 0) return true;
  const { manoeuvre } = exercise;
  return step === 'movement' && manoeuvre !== 'slope' && manoeuvre !== 'quick-stop' && manoeuvre !== 'corner';
}

/** That the attempt, the exercise or the test is failed, by what, and what follows. */
function Failure({
  standard,
  verdict,
  sheet,
  attempt,
  mostAttempts,
}: {
  readonly standard: EffectiveStandard;
  readonly verdict: Verdict;
  readonly sheet: ExerciseSheet;
  readonly attempt: AttemptSheet;
  readonly mostAttempts: number | undefined;
}) {
  const testFails = verdict.outcome === 'fail';
  const failedBy = sheet.failedBy ?? attempt.failedBy;
  const atMs = failedBy?.crossedAtMs ?? attempt.failedAtMs;
  if (atMs === undefined && !testFails) return null;
  const reason = failedBy ?? verdict.reasons[0];
  const left = mostAttempts === undefined || sheet.failedBy ? 0 : mostAttempts - sheet.attempts.length;
  return (
    <p role="alert" className={styles.failed}>
      {atMs !== undefined && <b>{t(sheet.failedBy ? 'failedAt' : 'attemptFailedAt', { at: clockTime(atMs) })} </b>}
      {reason &&
        `${reason.crossedBy ? `${itemName(standard, reason.crossedBy.item)}.` : reasonSentence(standard, reason)} `}
      {testFails ? t('testFailed') : left > 0 ? t('attemptsLeft', { count: left }) : ''}
    </p>
  );
}
