import { t } from '@jasperwren/words/readiness';
import { useId } from 'react';
import styles from './perches.module.css';

const days = 20;

interface Props {
  /** Chance of a pass and its interval, 0 to 1. */
  readonly mean: number;
  readonly from: number;
  readonly to: number;
  readonly size?: 'large' | 'medium' | 'small';
  /** Without the words beside, where a sentence says the same. */
  readonly silent?: boolean;
}

/** Twenty test days as perches in a row: taken ones pass, empty ones do not, hatched ones are uncertain. */
export function Perches({ from, to, size = 'large', silent = false }: Props) {
  const [sure, maybe] = [Math.round(days * from), Math.round(days * to)];
  const words = sure === maybe ? t('sureOfDays', { sure, days }) : t('sureToMaybeOfDays', { sure, maybe, days });
  return (
    <div className={styles.row} data-size={size} role="img" aria-label={t('wouldPassWordsTests', { words })}>
      {Array.from({ length: days }, (_, i) => (
        <Perch key={i} state={i < sure ? 'pass' : i < maybe ? 'maybe' : 'fail'} />
      ))}
      {!silent && <b>{words}</b>}
    </div>
  );
}

/** A bird on its twig, a hatched one, or the bare twig. */
function Perch({ state }: { readonly state: 'pass' | 'maybe' | 'fail' }) {
  const hatch = useId();
  return (
    <svg viewBox="0 0 28 34" aria-hidden="true" focusable="false" className={styles[state]}>
      {state === 'maybe' && (
        <pattern id={hatch} width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V4" stroke="currentColor" strokeWidth="2.2" />
        </pattern>
      )}
      {state !== 'fail' && (
        <path
          className={styles.bird}
          fill={state === 'maybe' ? `url(#${hatch})` : undefined}
          d="M5 22Q3 12 11 9Q13 4 18 5Q21 6 21 9L26 11L21 12.5Q22 20 15 24Q10 26 5 22ZM6 21L1 28L9 24Z"
        />
      )}
      <path className={styles.twig} d="M1 29H27" />
    </svg>
  );
}
