import { t } from '@jasperwren/words/drives';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { api } from '../base/api';
import { vehiclesOf } from '../safety-questions/public';
import { firstName, fromToday, shortDate, lessonTime } from '../ui/format';
import styles from './drive-page.module.css';
import type { NextUp } from './next-up';
import { useStartDrive } from './use-start-drive';

/** Who is next, in what car and under which standard, with one touch to begin. */
export function NextRow({
  next,
  standards,
}: {
  readonly next: NextUp;
  readonly standards: readonly EffectiveStandard[];
}) {
  const { learner, lesson } = next;
  const { data: checks } = api.useChecksQuery();
  const { start, starting } = useStartDrive();
  const standard = standards.find(({ id }) => id === learner.standardId);
  const car = checks && vehiclesOf(checks).find(({ id }) => id === learner.vehicleId)?.name;
  const facts = [...(standard ? [standard.name] : []), ...(car ? [car] : [])];
  return (
    <li className={styles.next}>
      <span>
        <Link to={`/learners/${learner.id}`}>{learner.name}</Link>
        <br />
        <span className="muted">{facts.join(', ')}</span>
      </span>
      <span>
        {lesson
          ? t('lessonAt', { when: lessonTime(lesson.start) })
          : learner.testDate &&
            t('drivingTestOn', { date: shortDate(learner.testDate), when: fromToday(learner.testDate) })}
      </span>
      {standard && (
        <Button
          variant="outlined"
          disabled={starting}
          onClick={() => void start({ learner, standard, briefing: (standard.briefing?.length ?? 0) > 0 })}
          aria-label={t('startMockTestWithName', { name: firstName(learner.name) })}
        >
          {t('startMockTest')}
        </Button>
      )}
    </li>
  );
}
