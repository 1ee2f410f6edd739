import { t } from '@jasperwren/words/learners';
import { chanceLine } from '@jasperwren/words/readiness-estimate';
import { nextAndDate } from '@jasperwren/words/readiness-outlook';
import { Link } from 'react-router';
import { EstimatedAt, JudgementWord, Perches, ReadinessUnavailable, useSchoolReadiness } from '../readiness/public';
import styles from './learner.module.css';

/** How ready the learner is, what that rests on, and the next step. */
export function LearnerReadiness({ learnerId }: { readonly learnerId: string }) {
  const { data, error, refetch } = useSchoolReadiness();
  const row = data?.rows.find((one) => one.learnerId === learnerId);
  if (error) return <ReadinessUnavailable onRetry={refetch} />;
  // Nothing to say yet: of somebody archived, or before the first estimate.
  if (!row) return null;
  return (
    <section className={styles.readiness} aria-label={t('readiness')}>
      <div>
        <Link to={`/learners/${learnerId}/readiness`} className={styles.word}>
          <JudgementWord word={row.word} />
        </Link>
        <p className="muted">{t('fromMockTests', { count: row.drives })}</p>
        <EstimatedAt rows={[row]} />
      </div>
      <div>
        {row.word !== 'cannot-say' && (
          <>
            <Perches {...row} size="medium" silent />
            <p>{chanceLine(row)}</p>
          </>
        )}
        <p>{t('next', { next: nextAndDate(row) })}</p>
      </div>
    </section>
  );
}
