import { t } from '@jasperwren/words/drives';
import { detailWords } from '@jasperwren/words/marking/detail';
import type { DriveSummary } from '@jasperwren/contract/drives';
import type { Outcome } from '@jasperwren/core/marking/verdict';
import { Link } from 'react-router';
import { shortDate } from '../ui/format';
import { OutcomeWord, outcomeWord } from '../ui/OutcomeWord';
import { Section } from '../ui/Page';
import styles from './drive-page.module.css';

const outcomes: readonly Outcome[] = ['pass', 'fail', 'incomplete'];
const mostLookedAt = 20;
const mostShown = 6;

/** The last mock tests of the school by how they ended. */
export function RecentResults({ drives }: { readonly drives: readonly DriveSummary[] }) {
  const ended = drives.filter(({ phase }) => phase === 'ended').slice(0, mostLookedAt);
  if (ended.length === 0) return null;
  return (
    <Section title={t('recentResults')}>
      <div className={styles.results}>
        {outcomes.map((outcome) => {
          const own = ended.filter((drive) => drive.outcome === outcome);
          if (own.length === 0) return null;
          return (
            <section key={outcome} aria-label={outcomeWord(outcome)}>
              <h3>
                <OutcomeWord outcome={outcome} />{' '}
                <span className="muted">{t('nOfLast', { n: own.length, of: ended.length })}</span>
              </h3>
              <ul>
                {own.slice(0, mostShown).map(({ id, learnerName, startedAt, detail }) => (
                  <li key={id}>
                    <Link to={`/drive/${id}`}>{learnerName}</Link>, {shortDate(startedAt)}
                    <br />
                    <span className="muted">{detailWords(detail)}</span>
                  </li>
                ))}
              </ul>
            </section>
          );
        })}
      </div>
    </Section>
  );
}
