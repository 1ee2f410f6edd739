import { t } from '@jasperwren/words/result';
import type { AreaCount } from '@jasperwren/core/marking/areas';
import type { Grade } from '@jasperwren/core/marking/standard';
import { GradeSign } from '../../ui/GradeSign';
import styles from './verdict.module.css';

/** How many marks each area has, in each grade. */
export function AreaTable({
  areas,
  grades,
}: {
  readonly areas: readonly AreaCount[];
  readonly grades: readonly Grade[];
}) {
  const used = grades.filter(({ code }) => areas.some(({ byGrade }) => byGrade[code]));
  return (
    <table className={styles.areas}>
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">{t('area')}</span>
          </th>
          {used.map(({ code, short, sign }) => (
            <th key={code} scope="col">
              <span>
                <GradeSign sign={sign} size={18} /> {short}
              </span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {areas.map(({ category, name, byGrade }) => (
          <tr key={category}>
            <th scope="row">{name}</th>
            {used.map(({ code }) => (
              <td key={code}>{byGrade[code] ?? ''}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
