import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { currentSpan, exerciseRuns, type ExerciseRun } from '@jasperwren/core/drive/clock';
import type { Drive } from '@jasperwren/core/drive/drive';
import { exerciseStepKinds } from '@jasperwren/core/drive/event-kinds';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Exercise } from '@jasperwren/core/marking/exercise';
import type { Reason } from '@jasperwren/core/marking/reason';
import { limitsAttempts, type Verdict } from '@jasperwren/core/marking/verdict';
import { capital } from '@jasperwren/words/lists';
import { reasonSentence } from '@jasperwren/words/marking/verdict';
import { secondsWords } from '@jasperwren/words/marking/amounts';
import { useState } from 'react';
import { clockTime, times } from '../../../ui/format';
import styles from './panel.module.css';
import type { DeskActions } from '../desk-actions';
import { limitOf } from '@jasperwren/core/marking/exercise-limits';
import { bringsWords } from './exercise-words';
import { useNow } from '../use-now';

interface Props {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly verdict: Verdict;
  readonly actions: DeskActions;
}

/** The set exercises of the standard: begun and ended here, with their clocks and counts. */
export function ExercisePanel({ driveId, standard, drive, verdict, actions }: Props) {
  const nowMs = useNow(driveId, drive.phase === 'running');
  const [retest, setRetest] = useState(false);
  const runs = exerciseRuns(drive, nowMs);
  const under = currentSpan(drive)?.exercise;
  const running = under === undefined ? undefined : runs.at(-1);
  const exercise = standard.exercises.find(({ code }) => code === under);
  if (standard.exercises.length === 0) return null;
  return (
    <>
      <h3>{t('exercises')}</h3>
      {running && exercise && (
        <Running
          run={running}
          attempt={runs.filter((run) => run.exercise === under).length}
          failedBy={verdict.failedAttempts.find(
            ({ scope, crossedAtMs }) => scope === under && crossedAtMs >= running.fromMs,
          )}
          exercise={exercise}
          standard={standard}
          actions={actions}
        />
      )}
      <div className={styles.tiles}>
        {standard.exercises.map(({ code, name, clockStarts }) => {
          const begun = runs.filter((run) => run.exercise === code).length;
          const time = limitOf(standard, code, 'time');
          const attempts = limitOf(standard, code, 'attempts');
          const facts = [
            time &&
              `${secondsWords(time.allowed.value)}${clockStarts ? t('timedFromClockStarts', { clockStarts }) : ''}`,
            attempts && t('attempts', { count: attempts.allowed.value }),
            begun > 0 && t('startedTimes', { times: times(begun) }),
          ].filter(Boolean);
          return (
            <button
              key={code}
              type="button"
              aria-label={t('startName', { name })}
              disabled={!actions.running}
              onClick={() => actions.startExercise(code, name, retest)}
            >
              {name}
              {facts.length > 0 && <small>{facts.join('; ')}</small>}
            </button>
          );
        })}
      </div>
      {standard.retestExtraS && (
        <FormControlLabel
          control={<Checkbox checked={retest} onChange={(_, checked) => setRetest(checked)} />}
          label={t('repeatOfAFailedAttemptWith', { time: secondsWords(standard.retestExtraS.value) })}
        />
      )}
    </>
  );
}

/** The attempt under way: its time, its counts, and whether it has failed already. */
function Running({
  run,
  attempt,
  failedBy,
  exercise,
  standard,
  actions,
}: {
  readonly run: ExerciseRun;
  /** Which attempt this is, from 1. */
  readonly attempt: number;
  /** The limit that failed it, where one did. */
  readonly failedBy: Reason | undefined;
  readonly exercise: Exercise;
  readonly standard: EffectiveStandard;
  readonly actions: DeskActions;
}) {
  const most = limitOf(standard, exercise.code, 'attempts')?.allowed.value;
  const failed = failedBy
    ? reasonSentence(standard, failedBy)
    : run.failedAtMs !== undefined
      ? t('recordedByYou')
      : undefined;
  return (
    <div className={styles.running}>
      <p>
        <b>
          {exercise.name}: {clockTime(run.timeMs)}
          {most !== undefined && t('attemptAttemptOfMost', { attempt, most })}
        </b>
        {exercise.task && <span className="muted"> {exercise.task}</span>}
        <span className="muted"> {bringsWords(standard, exercise.code)}</span>
      </p>
      {failed !== undefined && (
        <p role="alert">
          <b>{t('thisAttemptFailed')}</b> {failed}
          {most !== undefined &&
            attempt < most &&
            ` ${t('startExerciseAgainForAttemptAttempt', { exercise: exercise.name, attempt: attempt + 1 })}`}
        </p>
      )}
      <div className={styles.steps}>
        {exerciseStepKinds.map((step) => {
          const limit = limitOf(standard, exercise.code, 'steps', step);
          const n = run.steps[step].length;
          return (
            <Button key={step} variant="outlined" onClick={() => actions.count(step)}>
              {capital(step)}: {n}
              {limit && ` ${t('ofAllowed', { allowed: limit.allowed.value })}`}
            </Button>
          );
        })}
        {limitsAttempts(standard, exercise.code) && failed === undefined && (
          <Button variant="outlined" onClick={() => actions.failAttempt(exercise.name)}>
            {t('attemptFailed')}
          </Button>
        )}
        <Button variant="contained" onClick={() => actions.finishExercise(exercise.name)}>
          {t('endExercise')}
        </Button>
      </div>
    </div>
  );
}
