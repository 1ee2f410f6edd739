import { t } from '@jasperwren/words/yard';
import type { ExerciseSheet } from '@jasperwren/core/yard/course-sheet';
import { useEffect, useRef, type ReactNode } from 'react';
import { useAppDispatch } from '../../base/hooks';
import { clockTime } from '../../ui/format';
import { exerciseChosen } from '../desk/desk-slice';
import styles from './yard.module.css';

interface Props {
  readonly sheets: readonly ExerciseSheet[];
  /** The exercise in the middle, by its code. */
  readonly shown: string | undefined;
  readonly choosable: boolean;
  /** What stands below. */
  readonly children: ReactNode;
}

/** The exercises in their order, with what became of each. */
export function CourseList({ sheets, shown, choosable, children }: Props) {
  const dispatch = useAppDispatch();
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [shown]);
  return (
    <nav className={styles.course} aria-label={t('course')}>
      <ol ref={list}>
        {sheets.map((sheet) => {
          const { code } = sheet.exercise;
          return (
            <li key={code} data-state={sheet.state} data-shown={code === shown}>
              <button
                type="button"
                disabled={!choosable}
                aria-current={code === shown ? 'step' : undefined}
                onClick={() => dispatch(exerciseChosen(code))}
              >
                <b>{sheet.exercise.name}</b>
                <small>{stateWords(sheet)}</small>
              </button>
            </li>
          );
        })}
      </ol>
      {children}
    </nav>
  );
}

function stateWords({ state, attempts, allowedS }: ExerciseSheet): string {
  const last = attempts.at(-1);
  if (!last) return allowedS === undefined ? t('toCome') : t('toComeTime', { time: clockTime(allowedS * 1000) });
  const taken = clockTime(last.timeMs);
  const time =
    last.allowedS === undefined ? taken : t('ofAllowed', { time: taken, allowed: clockTime(last.allowedS * 1000) });
  if (state === 'now') return t('nowTime', { time });
  if (state === 'again') return t('againTime', { time });
  return state === 'failed' ? t('failedTime', { time }) : t('doneTime', { time });
}
