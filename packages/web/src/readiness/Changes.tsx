import type { Readiness } from '@jasperwren/core/readiness/estimate';
import styles from './readiness.module.css';

const shown = 6;
/** Less than this is within what the simulation itself wavers. */
const least = 0.004;

/** What halving the faults of one area would bring, the most first. */
export function Changes({ readiness: { changes, chance } }: { readonly readiness: Readiness }) {
  const telling = changes.filter((one) => one.chance - chance.mean > least).slice(0, shown);
  const most = Math.max(0.02, ...telling.map((one) => one.chance - chance.mean));
  if (telling.length === 0)
    return <p className="muted">No single area would change much: the faults are few, or spread over many.</p>;
  return (
    <>
      <p className="muted">Test days of 20 gained if the faults of one area were halved.</p>
      <ul className={styles.changes}>
        {telling.map(({ category, name, counted, outright, chance: then }) => {
          const gain = then - chance.mean;
          return (
            <li key={category}>
              <span>
                {name}
                <small>
                  {counted.toFixed(1)} that add up and {outright.toFixed(2)} that fail at once, a test
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
