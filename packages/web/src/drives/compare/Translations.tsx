import { t } from '@jasperwren/words/compare';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Compared, Translation } from '@jasperwren/core/marking/compare/translate';
import { itemName } from '@jasperwren/words/marking/names';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import { Empty } from '../../ui/states';
import styles from './compare.module.css';

const hows: Readonly<Record<Extract<Translation, { readonly how: unknown }>['how'], string>> = {
  itself: '',
  'same-severity': '',
  'nearest-severity': t('nearestGradeHere'),
  measured: t('gradedByTheMeasurement'),
};

interface Props {
  readonly from: EffectiveStandard;
  readonly compared: readonly Compared[];
}

/** Each fault in a row, what it is under each standard in a column. */
export function Translations({ from, compared }: Props) {
  const { grades } = rulesOf(from);
  const [first] = compared;
  if (!first || first.translations.length === 0) return <Empty>{t('noFaultsRecorded')}</Empty>;
  return (
    <div className={styles.scroll} role="region" aria-label={t('eachFaultInTheOtherStandard')} tabIndex={0}>
      <table className={styles.faults}>
        <thead>
          <tr>
            <th scope="col">{t('time')}</th>
            <th scope="col">{from.name}</th>
            {compared.map(({ standard }) => (
              <th key={standard.id} scope="col">
                {standard.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {first.translations.map(({ mark }, i) => {
            const grade = grades.get(mark.grade);
            return (
              <tr key={mark.id}>
                <th scope="row">{clockTime(mark.atMs)}</th>
                <td>
                  <span className={styles.sign}>
                    <GradeSign sign={grade?.sign ?? 'noted'} size={20} />
                    <span>
                      {itemName(from, mark.item)}, {grade?.name ?? mark.grade}
                    </span>
                  </span>
                </td>
                {compared.map((one) => (
                  <td key={one.standard.id}>
                    <Translated standard={one.standard} entry={one.translations[i]!} />
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

function Translated({ standard, entry }: { readonly standard: EffectiveStandard; readonly entry: Translation }) {
  if (!('grade' in entry)) return <em>{t(entry.why, { standard: standard.name })}</em>;
  return (
    <span className={styles.sign}>
      <GradeSign sign={entry.grade.sign} size={20} />
      <span>
        {entry.category.name}: {entry.item.name.toLowerCase()}, {entry.grade.name}
        {hows[entry.how] && <span className="muted"> ({hows[entry.how]})</span>}
        {entry.fits > 1 && <span className="muted"> {t('oneOfFitsFaultTypesIt', { fits: entry.fits })}</span>}
      </span>
    </span>
  );
}
