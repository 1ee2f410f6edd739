import { t } from '@jasperwren/words/desk';
import { standingMarks, type Drive } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { Category, GradeSign as Sign, EffectiveStandard } from '@jasperwren/core/marking/standard';
import { memo, useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../../../base/hooks';
import { GradeSign } from '../../../ui/GradeSign';
import styles from './board.module.css';
import { categoryTouched, shownCategory } from '../desk-slice';
import { Key } from '../Key';

/** More than these are counted, sign by sign: they would not fit beside the key. */
const mostSigns = 4;

/** Few categories stand in one column and some in two, so that no tile is larger than a finger needs. */
export const boardSize = ({ categories: { length } }: EffectiveStandard): 'few' | 'some' | 'many' =>
  length <= 6 ? 'few' : length <= 10 ? 'some' : 'many';

/** The first beat: the categories in the order of a drive, each with what it holds already. */
export const CategoryBoard = memo(function CategoryBoard({
  standard,
  drive,
}: {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
}) {
  // In sight as long as its rows are: a mark that has just been made changes nothing here.
  const chosen = useAppSelector((state) => shownCategory(state.desk));
  const held = useMemo(() => {
    const { items, grades } = rulesOf(standard);
    const signs = new Map<string, Sign[]>();
    const standing = standingMarks(drive);
    // The lightest first, as the columns beside the board.
    const marks = standard.grades.flatMap(({ code }) => standing.filter(({ grade }) => grade === code));
    for (const mark of marks) {
      const code = items.get(mark.item)?.category.code;
      if (code) signs.set(code, [...(signs.get(code) ?? []), grades.get(mark.grade)?.sign ?? 'noted']);
    }
    return signs;
  }, [standard, drive]);
  return (
    <nav className={styles.board} aria-label={t('categories')} data-size={boardSize(standard)}>
      {standard.categories.map((category) => (
        <CategoryButton
          key={category.code}
          category={category}
          held={(held.get(category.code) ?? []).join()}
          chosen={category.code === chosen}
        />
      ))}
    </nav>
  );
});

interface ButtonProps {
  readonly category: Category;
  /** Signs of the marks so far, as a list with commas: a button is drawn anew only when its text changes. */
  readonly held: string;
  readonly chosen: boolean;
}

const CategoryButton = memo(function CategoryButton({ category, held, chosen }: ButtonProps) {
  const dispatch = useAppDispatch();
  const { code, name, letter } = category;
  const signs = held === '' ? [] : (held.split(',') as Sign[]);
  return (
    <button
      type="button"
      className={styles.category}
      aria-pressed={chosen}
      aria-keyshortcuts={letter}
      onClick={() => dispatch(categoryTouched(code))}
    >
      <span>{name}</span>
      <span className={styles.foot}>
        <Key>{letter}</Key>
        <span className={styles.held}>
          {signs.length > 0 && <span className="visually-hidden">{t('countSoFar', { count: signs.length })}</span>}
          {signs.length <= mostSigns
            ? signs.map((sign, i) => <GradeSign key={i} sign={sign} size={14} plain={chosen} />)
            : [...new Set(signs)].map((sign) => (
                <small key={sign} aria-hidden="true">
                  <GradeSign sign={sign} size={14} plain={chosen} />
                  {signs.filter((one) => one === sign).length}
                </small>
              ))}
        </span>
      </span>
    </button>
  );
});
