import { t } from '@jasperwren/words/readiness';
import Button from '@mui/material/Button';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { LessonsView } from '@jasperwren/contract/lessons';
import type { ReadinessInput } from '@jasperwren/contract/readiness';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Readiness } from '@jasperwren/core/readiness/estimate';
import { freeSlots, planLessons, spreadLessons } from '@jasperwren/core/readiness/plan';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { addressFor, api } from '../base/api';
import { showLessons } from './lessons';
import { apiError } from '../base/client';
import { useAppDispatch } from '../base/hooks';
import { firstName, fromToday, longDate } from '../ui/format';
import { Page, Section } from '../ui/Page';
import { Empty } from '../ui/states';
import { Unsaved } from '../ui/Unsaved';
import { useUnsaved } from '../ui/use-unsaved';
import { staleOf } from '../ui/Conflict';
import { FreeHoursFields } from './FreeHoursFields';
import { LessonList, type DraftLesson } from './LessonList';
import styles from './plan.module.css';
import { PlanTools } from './PlanTools';
import { questionOf } from './question';
import { usePlanWork } from './use-plan-work';
import { Outlook } from './Outlook';

/** Without a test date, this far ahead. */
const horizonDays = 42;

interface Props {
  readonly learner: LearnerView;
  readonly input: ReadinessInput;
  readonly kept: LessonsView;
  readonly standard: EffectiveStandard;
}

/** Lessons until the test, each with what it is for, and what they are expected to come to. */
export function Plan({ learner, input, kept, standard }: Props) {
  const [now] = useState(() => new Date());
  const today = dayjs(now).format('YYYY-MM-DD');
  const ahead = learner.testDate !== undefined && learner.testDate > today;
  const until = ahead ? learner.testDate : dayjs(now).add(horizonDays, 'day').format('YYYY-MM-DD');
  const question = useMemo(() => questionOf(input, standard), [input, standard]);
  const worked = usePlanWork(question);
  const standing = useMemo(
    () =>
      kept.lessons.filter(({ start }) => start.slice(0, 10) >= today).map((lesson) => ({ ...lesson, key: lesson.id })),
    [kept, today],
  );
  const [draft, setDraft] = useState<readonly DraftLesson[]>();
  const [minutes, setMinutes] = useState(60);
  const [perWeek, setPerWeek] = useState(2);
  const [keep, { isLoading, error }] = api.useKeepLessonsMutation();
  const [booked, setBooked] = useState<number>();
  const dispatch = useAppDispatch();
  const { blocker } = useUnsaved(draft !== undefined);
  const lessons = draft ?? standing;
  const slots = freeSlots(
    kept.freeHours.hours,
    dayjs(now).add(1, 'day').format('YYYY-MM-DD'),
    until,
    minutes,
    kept.taken,
  );
  const name = firstName(learner.name);
  /** Puts what others booked into this plan, and takes out what they cancelled. Returns how many are new in it. */
  const bookedMeanwhile = (theirs: LessonsView): number => {
    const known = new Set(kept.lessons.map(({ id }) => id));
    const standing = new Set(theirs.lessons.map(({ id }) => id));
    const fresh = theirs.lessons.filter(({ id, start }) => !known.has(id) && start.slice(0, 10) >= today);
    setDraft([
      ...lessons.filter(({ id }) => id === undefined || standing.has(id)),
      ...fresh.map((lesson) => ({ ...lesson, key: lesson.id })),
    ]);
    return fresh.length;
  };
  const propose = ({ changes, checks }: Readiness) => {
    const starts = spreadLessons(slots, perWeek);
    const clean = input.evidence.flatMap(({ cleanExercises }) => cleanExercises);
    setDraft(
      planLessons(standard, starts, minutes, changes, checks, clean).map((lesson) => ({
        ...lesson,
        key: lesson.start,
        // A lesson that is booked at that time already is changed, not booked twice.
        ...(standing.find(({ start }) => start === lesson.start) && {
          id: standing.find(({ start }) => start === lesson.start)!.id,
        }),
      })),
    );
  };
  const save = async () => {
    const past = kept.lessons.filter(({ start }) => start.slice(0, 10) < today);
    const { data, error: failed } = await keep({
      learnerId: learner.id,
      body: {
        lessons: [...past, ...lessons].map(({ id, start, minutes: long, goals }) => ({
          ...(id && { id }),
          start,
          minutes: long,
          goals: goals.map((goal) => ({ ...goal })),
        })),
        version: kept.version,
      },
    });
    const theirs = staleOf<LessonsView>(failed);
    if (data) setDraft(undefined);
    if (data || theirs) setBooked(theirs && bookedMeanwhile(theirs));
    if (theirs) void dispatch(showLessons(learner.id, theirs));
  };
  return (
    <Page
      title={t('lessonPlanForName', { name })}
      over={<Link to={`/learners/${learner.id}/readiness`}>{t('nameSReadiness', { name })}</Link>}
      sub={
        ahead
          ? t('drivingTestDateWhen2', { date: longDate(until), when: fromToday(until) })
          : t('noDrivingTestBookedPlanned6')
      }
      actions={
        <>
          {!standard.course && (
            <Button variant="text" component={Link} to={`/routes/new?plan=1&for=${learner.id}`}>
              {t('planALoopFor', { name })}
            </Button>
          )}
          {standing.length > 0 && (
            <Button variant="outlined" component="a" href={addressFor('calendar', { learnerId: learner.id })} download>
              {t('calendarFile')}
            </Button>
          )}
          <Button variant="contained" disabled={isLoading || draft === undefined} onClick={() => void save()}>
            {t('saveLessons')}
          </Button>
        </>
      }
    >
      <Unsaved blocker={blocker} what={t('planned')} />
      <div className={styles.columns}>
        <div>
          <PlanTools
            minutes={minutes}
            perWeek={perWeek}
            onMinutes={setMinutes}
            onPerWeek={setPerWeek}
            {...(worked.parts.readiness && slots.length > 0 && { onSuggest: () => propose(worked.parts.readiness!) })}
          />
          {booked !== undefined && <p role="alert">{t('someoneElseChangedTheseLessons', { count: booked })}</p>}
          {error && booked === undefined && <p role="alert">{apiError(error)?.message}</p>}
          {lessons.length === 0 ? (
            <Empty>
              {kept.freeHours.hours.length === 0 ? t('addYourTeachingHoursToGet') : t('noLessonsYetSuggestSomeThen')}
            </Empty>
          ) : (
            <div inert={isLoading}>
              <LessonList lessons={lessons} slots={slots} onChange={setDraft} />
            </div>
          )}
        </div>
        <div>
          <Section title={t('forecast')}>
            <Outlook worked={worked} today={today} ahead={ahead} name={name} />
          </Section>
          <Section title={t('yourTeachingHours')}>
            <FreeHoursFields key={kept.freeHours.version} kept={kept.freeHours} />
          </Section>
        </div>
      </div>
    </Page>
  );
}
