import type { PlacesView } from '@jasperwren/contract/places';
import { kindWords, t } from '@jasperwren/words/traces';
import dayjs from 'dayjs';
import styles from './places.module.css';

type Row = readonly [name: string, passes: number, faults: number];

/** Faults a pass by kind of place. */
export function Kinds({ view }: { readonly view: PlacesView }) {
  const rows = view.kinds
    .map((kind): Row => [kindWords(kind), kind.passes, kind.faults])
    .sort((a, b) => b[2] / b[1] - a[2] / a[1]);
  return <RateTable head={t('kind')} rows={rows} />;
}

/** Faults a pass by month. */
export function Months({ view }: { readonly view: PlacesView }) {
  const rows = view.months.map(({ month, passes, faults }): Row => [
    dayjs(`${month}-01`).format('MMMM YYYY'),
    passes,
    faults,
  ]);
  return <RateTable head={t('month')} rows={rows} />;
}

/** Fewer passes say nothing as a rate. */
const leastPasses = 20;

function RateTable({ head, rows }: { readonly head: string; readonly rows: readonly Row[] }) {
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col">{head}</th>
          <th scope="col">{t('passesHead')}</th>
          <th scope="col">{t('faultsHead')}</th>
          <th scope="col">{t('perPass')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, passes, faults]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>{passes}</td>
            <td>{faults}</td>
            <td>{passes >= leastPasses ? (faults / passes).toFixed(2) : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
