import { nextAndDate } from '@jasperwren/words/readiness-outlook';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { ReadinessRow } from '@jasperwren/contract/readiness';
import { Link } from 'react-router';
import { JudgementWord } from '../readiness/public';
import { fromToday, shortDate } from '../ui/format';
import styles from './today.module.css';

/** A driving test to come, with the readiness of the learner in one line. */
export function TestRow({
  learner,
  ready,
}: {
  readonly learner: LearnerView;
  readonly ready: ReadinessRow | undefined;
}) {
  return (
    <li className={styles.test}>
      <span className={styles.testHead}>
        <Link to={`/learners/${learner.id}`}>{learner.name}</Link>
        <span>
          {shortDate(learner.testDate!)}, <span className="muted">{fromToday(learner.testDate!)}</span>
        </span>
      </span>
      {ready && (
        <span>
          <Link to={`/learners/${learner.id}/readiness`} className={styles.word}>
            <JudgementWord word={ready.word} />
          </Link>{' '}
          <span className="muted">{nextAndDate(ready)}</span>
        </span>
      )}
    </li>
  );
}
