import { t, unsaidWords } from '@jasperwren/words/compare';
import type { Compared } from '@jasperwren/core/marking/compare/translate';
import { crossingWords, reasonSentence, verdictSentence } from '@jasperwren/words/marking/verdict';
import { missingWords } from '@jasperwren/words/marking/missing';
import styles from './compare.module.css';

export function Side({
  compared: { standard, verdict, grades, translations, unsaid },
}: {
  readonly compared: Compared;
}) {
  const without = translations.filter((entry) => 'why' in entry).length;
  const read = grades.filter(({ from, to }) => to === 'none' || from.name !== to.name);
  return (
    <section aria-label={standard.name} className={styles.side}>
      <p className="muted">{t('standardVVersion', { standard: standard.name, version: standard.version })}</p>
      {unsaid && (
        <p role="note" className={styles.unsaid}>
          {unsaidWords(unsaid).join(' ')}
        </p>
      )}
      <h2>{verdictSentence(standard, verdict)}</h2>
      <ul>
        {verdict.reasons.map((reason) => (
          <li key={`${reason.limit.code} ${reason.scope}`}>
            {reasonSentence(standard, reason)}{' '}
            <span className="muted">
              {t('failedOnCrossingWords', { crossingWords: crossingWords(standard, reason) })}
            </span>
          </li>
        ))}
        {verdict.outcome === 'fail' &&
          missingWords(verdict.missing).map((missing) => <li key={missing}>{t('alsoMissingMissing', { missing })}</li>)}
        {read.map(({ from, to, marks }) => (
          <li key={from.code}>
            {t('countedOfFromPart', {
              counted: t('faults', { count: marks }),
              from: from.name,
              part: to === 'none' ? t('doNotCountHere') : t('readAsTo', { to: to.name }),
            })}
          </li>
        ))}
        {without > 0 && (
          <li>
            <strong>{t('withoutOfCountFaultsDoNot', { without, count: translations.length })}</strong>
          </li>
        )}
      </ul>
    </section>
  );
}
