import type { Compared } from '@jasperwren/core/marking/translate';
import { crossingWords, missingWords, reasonSentence, verdictSentence } from '@jasperwren/core/marking/wording';
import { counted } from '../../ui/format';
import styles from './compare.module.css';

export function Side({ compared: { standard, verdict, grades, translations } }: { readonly compared: Compared }) {
  const without = translations.filter((entry) => 'why' in entry).length;
  const read = grades.filter(({ from, to }) => to === 'none' || from.name !== to.name);
  return (
    <section aria-label={standard.name} className={styles.side}>
      <p className="muted">
        {standard.name} v{standard.version}
      </p>
      <h2>{verdictSentence(standard, verdict)}</h2>
      <ul>
        {verdict.reasons.map((reason) => (
          <li key={`${reason.limit.code} ${reason.scope}`}>
            {reasonSentence(standard, reason)}{' '}
            <span className="muted">Decided by {crossingWords(standard, reason)}.</span>
          </li>
        ))}
        {verdict.outcome === 'fail' &&
          missingWords(verdict.missing).map((missing) => <li key={missing}>Missing besides: {missing}.</li>)}
        {read.map(({ from, to, marks }) => (
          <li key={from.code}>
            {counted(marks, 'mark', 'marks')} of “{from.name}”{' '}
            {to === 'none' ? 'count for nothing here' : `read as “${to.name}”`}.
          </li>
        ))}
        {without > 0 && (
          <li>
            <strong>
              {without} of {translations.length} marks have no place here.
            </strong>
          </li>
        )}
      </ul>
    </section>
  );
}
