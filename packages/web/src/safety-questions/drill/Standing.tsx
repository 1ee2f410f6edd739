import { t } from '@jasperwren/words/questions';
import { outlook, testMoment } from '@jasperwren/core/safety-questions/aim';
import { chanceOnTest } from '@jasperwren/core/safety-questions/chance';
import { percent } from '@jasperwren/words/lists';
import { shortDate } from '../../ui/format';
import styles from './standing.module.css';
import type { DrillSource } from './source';

/** Where the drill stands: what waits, what is new, and what it will come to on the day. */
export function Standing({ source }: { readonly source: DrillSource }) {
  const { questions, memory, testDate, standard, bank } = source;
  const now = new Date();
  const test = testDate === undefined ? undefined : testMoment(testDate);
  const ahead = test !== undefined && test > now;
  const ids = questions.map(({ id }) => id);
  const { due, unseen, seen, recall } = outlook(ids, memory, now, test);
  if (recall === undefined) return <p className="muted">{t('standardAsksNoQuestions', { standard: standard.name })}</p>;
  const chance = chanceOnTest(standard, bank, memory, ahead ? test : now);
  const day = ahead ? t('onDate', { date: shortDate(testDate!) }) : t('today');
  return (
    <dl className={styles.standing}>
      <div>
        <dt>{t('dueNow')}</dt>
        <dd>{due}</dd>
      </div>
      <div>
        <dt>{t('notSeen')}</dt>
        <dd>
          {unseen} <small>{t('ofSeen', { seen: seen + unseen })}</small>
        </dd>
      </div>
      <div>
        <dt>{t('averageScoreDay', { day })}</dt>
        <dd>{percent(recall)}</dd>
      </div>
      {chance !== undefined && (
        <div>
          <dt>{t('chanceOfBothRightDay', { day })}</dt>
          <dd>{percent(chance)}</dd>
        </div>
      )}
    </dl>
  );
}
