import { t } from '@jasperwren/words/charts';
import styles from './chart-table.module.css';

/** The figures of a chart in rows: what it says to those who read or hear rather than see. */
export interface Figures {
  readonly head: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

/** A table below a chart, folded away until it is asked for. */
export function ChartTable({ head, rows }: Figures) {
  return (
    <details className={styles.figures}>
      <summary>{t('asATable')}</summary>
      {/* Wider than the page it is moved by the arrow keys. */}
      <div className={styles.scroll} role="region" aria-label={t('asATable')} tabIndex={0}>
        <table>
          <thead>
            <tr>
              {head.map((name) => (
                <th key={name} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              // Rows stand in their order and never move.
              <tr key={i}>
                {row.map((value, k) =>
                  k === 0 ? (
                    <th key={k} scope="row">
                      {value}
                    </th>
                  ) : (
                    <td key={k}>{value}</td>
                  ),
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
