import { t as offline } from '@jasperwren/words/offline';
import { t } from '@jasperwren/words/today';
import type { UpcomingLesson } from '@jasperwren/contract/lessons';
import Button from '@mui/material/Button';
import dayjs from 'dayjs';
import { Link } from 'react-router';
import { api } from '../base/api';
import { LessonAim } from '../readiness/public';
import { firstName, shortLessonTime, timeOfDay } from '../ui/format';
import { Rows, Section } from '../ui/Page';
import styles from './today.module.css';

/** The lessons of the day in order; on a day without any, the next one. Nothing where none are planned. */
export default function Lessons() {
  const { data: lessons, error } = api.useUpcomingLessonsQuery();
  const [next] = lessons ?? [];
  if (error && !lessons) {
    return (
      <Section title={t('nextLesson')}>
        <p className="muted">{offline('lessonsNotHere')}</p>
      </Section>
    );
  }
  if (!lessons || !next) return null;
  const today = lessons.filter(({ start }) => dayjs(start).isSame(dayjs(), 'day'));
  return (
    <Section title={today.length > 0 ? t('lessonsToday') : t('nextLesson')}>
      <Rows>
        {(today.length > 0 ? today : [next]).map((lesson) => (
          <LessonRow key={lesson.id} lesson={lesson} />
        ))}
      </Rows>
    </Section>
  );
}

function LessonRow({ lesson }: { readonly lesson: UpcomingLesson }) {
  const { learnerId, learnerName, start, minutes, goals } = lesson;
  return (
    <li className={styles.lesson}>
      <span>
        <b>{dayjs(start).isSame(dayjs(), 'day') ? timeOfDay(start) : shortLessonTime(start)}</b>
        <br />
        <span className="muted">{t('minutesMin', { minutes })}</span>
      </span>
      <span>
        <Link to={`/learners/${learnerId}`}>{learnerName}</Link>
        <LessonAim goals={goals} />
      </span>
      {goals.some(({ kind }) => kind === 'mock') && (
        <Button
          variant="text"
          component={Link}
          to={`/drive?learner=${learnerId}`}
          aria-label={t('startMockTestWithName', { name: firstName(learnerName) })}
        >
          {t('startMockTest')}
        </Button>
      )}
    </li>
  );
}
