import { lessonTime, shortLessonTime } from '../ui/format';
import { t } from '@jasperwren/words/readiness';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { arrayMove } from '@dnd-kit/sortable';
import { overlaps } from '@jasperwren/core/readiness/booking';
import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';
import { Sortable, SortableRow } from '../ui/Sortable';
import { LessonAim } from './LessonAim';
import styles from './plan.module.css';

/** A lesson of the plan on the screen; `key` stays with its goals while they are dragged. */
export interface DraftLesson {
  readonly key: string;
  readonly id?: string;
  readonly start: string;
  readonly minutes: number;
  readonly goals: readonly LessonGoal[];
}

interface Props {
  readonly lessons: readonly DraftLesson[];
  readonly slots: readonly string[];
  readonly onChange: (lessons: readonly DraftLesson[]) => void;
}

/** The lessons in order of time. Dragging puts what one lesson does at another time; the times stay. */
export function LessonList({ lessons, slots, onChange }: Props) {
  const swap = (from: string, to: string) => {
    const at = (key: string) => lessons.findIndex((lesson) => lesson.key === key);
    const moved = arrayMove([...lessons], at(from), at(to));
    onChange(
      moved.map(({ key, goals }, i) => {
        const { id, start, minutes } = lessons[i]!;
        return { key, goals, start, minutes, ...(id && { id }) };
      }),
    );
  };
  return (
    <Sortable rows={lessons.map(({ key, start }) => ({ key, name: lessonTime(start) }))} onMove={swap}>
      <ol className={styles.lessons}>
        {lessons.map((lesson) => (
          <Lesson
            key={lesson.key}
            lesson={lesson}
            slots={slots.filter(
              (start) =>
                start === lesson.start ||
                !lessons.some((other) => other !== lesson && overlaps(other, { start, minutes: lesson.minutes })),
            )}
            onMove={(start) =>
              onChange(
                lessons
                  .map((one) => (one === lesson ? { ...one, start } : one))
                  .sort((a, b) => (a.start < b.start ? -1 : 1)),
              )
            }
            onRemove={() => onChange(lessons.filter((one) => one !== lesson))}
          />
        ))}
      </ol>
    </Sortable>
  );
}

interface LessonProps {
  readonly lesson: DraftLesson;
  readonly slots: readonly string[];
  readonly onMove: (start: string) => void;
  readonly onRemove: () => void;
}

function Lesson({ lesson, slots, onMove, onRemove }: LessonProps) {
  const { start, minutes, goals } = lesson;
  return (
    <SortableRow
      id={lesson.key}
      className={styles.lesson}
      label={lessonTime(start)}
      grip={t('moveTheAimOfWhen', { when: lessonTime(start) })}
    >
      {(grip) => (
        <>
          {grip}
          <div>
            <TextField
              select
              variant="standard"
              fullWidth
              value={start}
              onChange={(event) => onMove(event.target.value)}
              slotProps={{ select: { 'aria-label': t('timeOfWhen', { when: lessonTime(start) }) } }}
            >
              {(slots.includes(start) ? slots : [start, ...slots]).map((slot) => (
                <MenuItem key={slot} value={slot}>
                  {shortLessonTime(slot)}
                </MenuItem>
              ))}
            </TextField>
            <p className="muted">{t('minutesMin', { minutes })}</p>
          </div>
          <LessonAim goals={goals} />
          <Button variant="text" aria-label={t('cancelWhen', { when: lessonTime(start) })} onClick={onRemove}>
            {t('cancel')}
          </Button>
        </>
      )}
    </SortableRow>
  );
}
