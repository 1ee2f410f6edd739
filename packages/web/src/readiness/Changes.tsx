import { t } from '@jasperwren/words/readiness';
import type { Readiness } from '@jasperwren/core/readiness/estimate';
import styles from './readiness.module.css';

const shown = 6;
/** Less than this is within what the simulation itself wavers. */
const least = 0.004;

/** What halving the faults of one area would bring, the most first. */
export function Changes({ readiness: { changes, chance } }: { readonly readiness: Readiness }) {
  const telling = changes.filter((one) => one.chance - chance.mean > least).slice(0, shown);
  const most = Math.max(0.02, ...telling.map((one) => one.chance - chance.mean));
  if (telling.length === 0) return <p className="muted">{t('noSingleAreaWouldChangeMuch')}</p>;
  return (
    <>
      <p className="muted">{t('extraPassesIn20TestsIf')}</p>
      <ul className={styles.changes}>
        {telling.map(({ category, name, counted, outright, chance: then }) => {
          const gain = then - chance.mean;
          return (
            <li key={category}>
              <span>
                {name}
                <small>
                  {t('perTestCountedMinorFaultsOutright', {
                    counted: counted.toFixed(1),
                    outright: outright.toFixed(2),
                  })}
                </small>
              </span>
              <span className={styles.bar}>
                <i style={{ width: `${(100 * gain) / most}%` }} />
                <b>+{(20 * gain).toFixed(1)}</b>
              </span>
            </li>
          );
        })}
      </ul>
    </>
  );
}
