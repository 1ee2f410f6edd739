import { sourcedWords } from '@jasperwren/words/marking/provenance';
import { t } from '@jasperwren/words/standards';
import { differencesBetween, type Difference } from '@jasperwren/core/marking/compare/difference';
import type { Standard } from '@jasperwren/core/marking/standard';
import { differenceWords } from '@jasperwren/words/marking/differences';
import { Rows } from '../ui/Page';
import styles from './standards.module.css';

/** What differs between two versions, each place with what it was and what it is. */
export function Differences({ before, after }: { readonly before: Standard; readonly after: Standard }) {
  const differences = differencesBetween(before, after);
  if (differences.length === 0) return <p className="muted">{t('noChanges')}</p>;
  return (
    <Rows>
      {differences.map((difference, i) => (
        <li key={i} className={styles.difference}>
          <span>{differenceWords(difference)}</span>
          <Words difference={difference} />
        </li>
      ))}
    </Rows>
  );
}

const told = (value: Difference['before']) => (typeof value === 'object' ? sourcedWords(value) : value);

function Words({ difference }: { readonly difference: Difference }) {
  const { kind } = difference;
  const [before, after] = [told(difference.before), told(difference.after)];
  if (kind === 'moved')
    return (
      <span>
        {t('order')} {after}
      </span>
    );
  return (
    <span>
      {kind === 'added' && !after && <ins>{t('added')}</ins>}
      {kind === 'removed' && !before && <del>{t('removed')}</del>}
      {before && <del>{before}</del>}
      {before && after && ' → '}
      {after && <ins>{after}</ins>}
    </span>
  );
}
