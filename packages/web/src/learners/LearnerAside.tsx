import { lessonTime, shortDate } from '../ui/format';
import { percent } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/learners';
import Button from '@mui/material/Button';
import type { LearnerView } from '@jasperwren/contract/learners';
import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { api } from '../base/api';
import { toFinishOf, ToFinishRow, useUnfinishedHere } from '../drives/public';
import { LessonAim } from '../readiness/public';
import { Rows, Section } from '../ui/Page';
import styles from './learner.module.css';

/** What comes next with a learner, and what is left to do. */
export function LearnerAside({ learner }: { readonly learner: LearnerView }) {
  return (
    <aside className={styles.aside} aria-label={t('nextSteps')}>
      <NextLesson learnerId={learner.id} />
      <Questions learnerId={learner.id} />
      <LeftToDo learnerId={learner.id} />
      <Notes learner={learner} />
    </aside>
  );
}

function NextLesson({ learnerId }: { readonly learnerId: string }) {
  const { data } = api.useLessonsQuery({ learnerId });
  if (!data) return null;
  const now = dayjs();
  const next = data.lessons.find(({ start, minutes }) => dayjs(start).add(minutes, 'minute').isAfter(now));
  const last = data.lessons.findLast(({ start, minutes }) => !dayjs(start).add(minutes, 'minute').isAfter(now));
  return (
    <Section title={t('nextLesson')}>
      {next ? (
        <>
          <p>
            <b>{lessonTime(next.start)}</b>, {t('minutesMin', { minutes: next.minutes })}
          </p>
          <LessonAim goals={next.goals} />
        </>
      ) : (
        <p className="muted">{t('noLessonPlanned')}</p>
      )}
      {last && (
        <div className={styles.last}>
          {t('lastTime', { date: shortDate(last.start) })}
          <LessonAim goals={last.goals} />
        </div>
      )}
      <Button variant="outlined" component={Link} to={`/learners/${learnerId}/plan`}>
        {t('lessonPlan')}
      </Button>
    </Section>
  );
}

function Questions({ learnerId }: { readonly learnerId: string }) {
  const { data } = api.useBoardQuery();
  const row = data?.learners.find((one) => one.learnerId === learnerId);
  if (!row || row.questions === 0) return null;
  return (
    <Section title={t('safetyQuestions')}>
      <Rows>
        {row.allRight !== undefined && <Figure name={t('bothRightOnTestDay')}>{percent(row.allRight)}</Figure>}
        <Figure name={t('dueNow')}>{row.due}</Figure>
        <Figure name={t('notSeen')}>{t('nOfAll', { n: row.unseen, all: row.questions })}</Figure>
      </Rows>
      <Button variant="outlined" component={Link} to={`/checks/learners/${learnerId}`}>
        {t('askOrPractise')}
      </Button>
    </Section>
  );
}

const Figure = ({ name, children }: { readonly name: string; readonly children: ReactNode }) => (
  <li className={styles.figure}>
    <span>{name}</span> <b>{children}</b>
  </li>
);

function LeftToDo({ learnerId }: { readonly learnerId: string }) {
  const { data: drives } = api.useLearnerDrivesQuery({ learnerId });
  const here = useUnfinishedHere();
  const ids = new Set(drives?.map(({ id }) => id));
  const left = toFinishOf(
    drives ?? [],
    here.filter(({ id }) => ids.has(id)),
  );
  if (left.length === 0) return null;
  return (
    <Section title={t('toFinish')}>
      <Rows>
        {left.map((item) => (
          <ToFinishRow key={item.id} item={item} named={false} />
        ))}
      </Rows>
    </Section>
  );
}

function Notes({ learner }: { readonly learner: LearnerView }) {
  const contact = [
    ...(learner.instructorName ? [t('taughtByInstructorName', { instructorName: learner.instructorName })] : []),
    ...(learner.phone ? [learner.phone] : []),
    ...(learner.email ? [learner.email] : []),
  ];
  if (contact.length === 0 && !learner.notes) return null;
  return (
    <Section title={t('notes')}>
      {learner.notes && <p className={styles.notes}>{learner.notes}</p>}
      {contact.map((line) => (
        <p key={line} className="muted">
          {line}
        </p>
      ))}
    </Section>
  );
}
