import type { LearnerView } from '@jasperwren/contract/learners';
import { Link } from 'react-router';
import type { ReadinessRow } from '@jasperwren/contract/readiness';
import { fromToday, shortDate } from '../ui/format';
import { JudgementWord } from '../readiness/public';
import styles from './today.module.css';

export function TestRow({
  learner,
  ready,
}: {
  readonly learner: LearnerView;
  readonly ready: ReadinessRow | undefined;
}) {
  return (
    <li className={styles.test}>
      <span>{shortDate(learner.testDate!)}</span>
      <span>
        <Link to={`/learners/${learner.id}`}>{learner.name}</Link>
        <br />
        <span className="muted">{learner.testCentre}</span>
        {ready && (
          <>
            <br />
            <Link to={`/learners/${learner.id}/readiness`}>
              <JudgementWord word={ready.word} />
            </Link>
            : {ready.next}
          </>
        )}
      </span>
      <span className="muted">{fromToday(learner.testDate!)}</span>
    </li>
  );
}
