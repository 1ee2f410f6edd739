import { t } from '@jasperwren/words/yard';
import { limitOf, secondsAllowed } from '@jasperwren/core/marking/exercise-limits';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Exercise } from '@jasperwren/core/marking/exercise';
import type { ExerciseSheet } from '@jasperwren/core/yard/course-sheet';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { useAppDispatch } from '../../base/hooks';
import { clockTime } from '../../ui/format';
import type { DeskActions } from '../desk/desk-actions';
import { commandKeys } from '../desk/desk-keys';
import { exerciseChosen } from '../desk/desk-slice';
import { Key } from '../desk/Key';
import styles from './yard.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly sheet: ExerciseSheet;
  /** The exercises of which one comes next, where there is a choice. */
  readonly branches: readonly Exercise[];
  readonly actions: DeskActions;
}

/** The exercise that comes next: what to read aloud, and the start of its clock. */
export function BeforeExercise({ standard, sheet, branches, actions }: Props) {
  const dispatch = useAppDispatch();
  const [retest, setRetest] = useState(false);
  const { exercise, attempts } = sheet;
  const { code, name, script, task, clockStarts, endsWhen, side } = exercise;
  const allowedS = secondsAllowed(standard, code, retest);
  const most = limitOf(standard, code, 'attempts')?.allowed.value;
  const facts = [
    side && t(side),
    allowedS !== undefined && t('timeAllowed', { time: clockTime(allowedS * 1000) }),
    most !== undefined && t('attemptOf', { attempt: attempts.length + 1, most }),
  ].filter(Boolean);
  return (
    <>
      <h2>{attempts.length > 0 ? t('again', { name }) : t('next', { name })}</h2>
      {facts.length > 0 && <p className="muted">{facts.join(', ')}</p>}
      {branches.length > 1 && (
        <div className={styles.branches} role="group" aria-label={t('nextOneOf')}>
          {branches.map((one) => (
            <Button
              key={one.code}
              variant={one.code === code ? 'contained' : 'outlined'}
              onClick={() => dispatch(exerciseChosen(one.code))}
            >
              {one.name}
            </Button>
          ))}
        </div>
      )}
      {script ? (
        <figure className={styles.script}>
          <figcaption className="muted">{t('readAloud')}</figcaption>
          <blockquote>{script}</blockquote>
        </figure>
      ) : (
        task && <p>{task}</p>
      )}
      {standard.retestExtraS && (
        <FormControlLabel
          control={<Checkbox checked={retest} onChange={(_, checked) => setRetest(checked)} />}
          label={t('retest')}
        />
      )}
      <button
        type="button"
        className={styles.start}
        disabled={!actions.running}
        onClick={() => actions.startExercise(code, name, retest)}
      >
        {allowedS === undefined ? t('startWithout') : clockStarts ? t('startAt', { when: clockStarts }) : t('start')}{' '}
        <Key>{commandKeys.exercise.word}</Key>
      </button>
      {endsWhen && <p className="muted">{t('endsWhen', { when: endsWhen })}</p>}
    </>
  );
}
