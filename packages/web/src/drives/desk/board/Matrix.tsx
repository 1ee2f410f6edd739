import { t } from '@jasperwren/words/desk';
import type { Pin } from '@jasperwren/core/drive/drive';
import type { LikelyItem } from '@jasperwren/core/marking/likely';
import { gradesOf, pointsOf, rulesOf } from '@jasperwren/core/marking/rules';
import type { Item, EffectiveStandard } from '@jasperwren/core/marking/standard';
import { pointsWords } from '@jasperwren/words/marking/amounts';
import { memo } from 'react';
import { useAppDispatch, useAppSelector } from '../../../base/hooks';
import { clockTime, times } from '../../../ui/format';
import { GradeSign } from '../../../ui/GradeSign';
import { cellCounts, eventsOf, folded } from '../../log/folded';
import styles from './matrix.module.css';
import { panelOpened, shownCategory, stepBack } from '../desk-slice';
import { Key } from '../Key';
import type { DeskActions } from '../desk-actions';

interface Props {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly likely: readonly LikelyItem[];
  readonly settling: Pin | undefined;
  readonly actions: DeskActions;
}

const mostSigns = 3;

/** The second beat: rows are items and columns are grades, so that one touch says what and how bad. */
export const Matrix = memo(function Matrix({ driveId, standard, likely, settling, actions }: Props) {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((state) => shownCategory(state.desk));
  const chosenItem = useAppSelector((state) => state.desk.item);
  const { items } = rulesOf(standard);
  const category = standard.categories.find(({ code }) => code === chosen);
  const rows = category
    ? category.items.map((item) => ({ item, under: undefined, keys: item.letter }))
    : likely.flatMap(({ item: code, inLastDrive }) => {
        const found = items.get(code);
        if (!found) return [];
        const under = `${found.category.name}${inLastDrive > 0 ? t('timesInTheLastMockTest', { times: times(inLastDrive) }) : ''}`;
        return [{ item: found.item, under, keys: found.category.letter + found.item.letter }];
      });
  return (
    <section
      className={styles.matrix}
      aria-label={category ? category.name : t('likelyFaults')}
      style={{ ['--columns' as string]: standard.grades.length }}
    >
      <div className={styles.matrixHead}>
        <div>
          {category && (
            <button type="button" className={styles.back} onClick={() => dispatch(stepBack())}>
              {t('back')} <Key>{t('esc')}</Key>
            </button>
          )}
          {settling ? (
            <strong>
              {t('pinAtTimeWhichFault', { time: clockTime(settling.atMs) })}{' '}
              <button
                type="button"
                className={styles.inlineAction}
                onClick={() => dispatch(panelOpened({ kind: 'drop-pin', pinId: settling.id }))}
              >
                {t('discardPin')}
              </button>
            </strong>
          ) : (
            <h2>{category ? category.name : t('likelyFaults')}</h2>
          )}
        </div>
        {standard.grades.map((grade, i) => (
          <span key={grade.code} className={styles.columnHead}>
            {grade.short} <Key>{i + 1}</Key>
          </span>
        ))}
      </div>
      {rows.map(({ item, under, keys }, i) => (
        <MatrixRow
          // By place, not by item: a row takes on another item faster than it is made anew.
          key={i}
          driveId={driveId}
          standard={standard}
          item={item}
          under={under}
          keys={keys}
          chosen={item.code === chosenItem}
          canMark={actions.canMark}
          onMark={actions.mark}
        />
      ))}
    </section>
  );
});

interface RowProps {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly item: Item;
  readonly under: string | undefined;
  readonly keys: string;
  readonly chosen: boolean;
  readonly canMark: boolean;
  readonly onMark: DeskActions['mark'];
}

const MatrixRow = memo(function MatrixRow({ driveId, standard, item, under, keys, chosen, canMark, onMark }: RowProps) {
  // Marks of each grade so far, at once, as a list with commas: a row is drawn anew only when its text changes.
  const held = useAppSelector((state) => {
    const counts = cellCounts(folded(eventsOf(state, driveId)));
    return standard.grades.map((grade) => counts.get(`${item.code} ${grade.code}`) ?? 0).join();
  });
  const counts = held.split(',').map(Number);
  // Where a score is counted down, each fault says what it takes.
  const pointed = standard.startScore !== undefined;
  return (
    <div className={`${styles.row} ${chosen ? styles.chosenRow : ''}`} role="group" aria-label={item.name}>
      <div className={styles.label}>
        <span>
          {item.name}
          {under && <small>{under}</small>}
        </span>
        <Key>{keys}</Key>
      </div>
      {standard.grades.map((grade, column) => {
        if (!gradesOf(standard, item).includes(grade)) return <span key={grade.code} className={styles.noCell} />;
        const n = counts[column] ?? 0;
        return (
          <button
            key={grade.code}
            type="button"
            className={`${styles.cell} ${n > 0 ? styles[grade.sign] : ''}`}
            disabled={!canMark}
            aria-label={`${item.name}: ${grade.name}${pointed ? pointsWords(item, grade) : ''}${n > 0 ? t('nSoFar', { n }) : ''}`}
            onClick={() => onMark(item.code, grade.code)}
          >
            {pointed && pointsOf(item, grade) > 0 && <small className={styles.points}>{pointsOf(item, grade)}</small>}
            {n === 0 && <GradeSign sign={grade.sign} size={26} ghost />}
            {n > 0 &&
              n <= mostSigns &&
              Array.from({ length: n }, (_, i) => <GradeSign key={i} sign={grade.sign} size={26} />)}
            {n > mostSigns && (
              <>
                <GradeSign sign={grade.sign} size={26} /> <b>{n}</b>
              </>
            )}
          </button>
        );
      })}
    </div>
  );
});
