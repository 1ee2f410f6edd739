import { t } from '@jasperwren/words/compare';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { whyNot, type Compared, type Translation } from '@jasperwren/core/marking/translate';
import { itemName } from '@jasperwren/words/marking/names';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import { Rows } from '../../ui/Page';
import { Empty } from '../../ui/states';
import styles from './compare.module.css';

const hows: Readonly<Record<Extract<Translation, { readonly how: unknown }>['how'], string>> = {
  itself: '',
  'same-severity': '',
  'nearest-severity': t('nearestGradeHere'),
  measured: t('gradedByTheMeasurement'),
};

export function Translations({ from, compared }: { readonly from: EffectiveStandard; readonly compared: Compared }) {
  const { grades } = rulesOf(from);
  if (compared.translations.length === 0) return <Empty>{t('noFaultsRecorded')}</Empty>;
  return (
    <Rows>
      {compared.translations.map((entry) => {
        const { mark } = entry;
        const grade = grades.get(mark.grade);
        return (
          <li key={mark.id} className={styles.pair}>
            <b>{clockTime(mark.atMs)}</b>
            <span className={styles.sign}>
              <GradeSign sign={grade?.sign ?? 'noted'} size={20} />
              <span>
                {itemName(from, mark.item)}, {grade?.name ?? mark.grade}
              </span>
            </span>
            {'grade' in entry ? (
              <span className={styles.sign}>
                <GradeSign sign={entry.grade.sign} size={20} />
                <span>
                  {entry.category.name}: {entry.item.name.toLowerCase()}, {entry.grade.name}
                  {hows[entry.how] && <span className="muted"> ({hows[entry.how]})</span>}
                  {entry.fits > 1 && <span className="muted"> {t('oneOfFitsFaultTypesIt', { fits: entry.fits })}</span>}
                </span>
              </span>
            ) : (
              <em>{t('doesNotExistHereWhyNot', { whyNot: whyNot(compared.standard, entry.why) })}</em>
            )}
          </li>
        );
      })}
    </Rows>
  );
}
