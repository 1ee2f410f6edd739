import { standingMarks, type Drive } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { Standard } from '@jasperwren/core/marking/standard';
import { memo, useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { GradeSign } from '../../ui/GradeSign';
import styles from './desk.module.css';
import { categoryChosen, stepBack } from './desk-slice';
import { Key } from './Key';

const mostSigns = 4;

/** The first beat: the categories in the order of a drive, each with what it holds already. */
export const CategoryBoard = memo(function CategoryBoard({
  standard,
  drive,
}: {
  readonly standard: Standard;
  readonly drive: Drive;
}) {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((state) => state.desk.category);
  const marks = useMemo(() => {
    const { items, grades } = rulesOf(standard);
    const byCategory = new Map<string, { id: string; sign: 'noted' | 'counted' | 'outright' | 'highest' }[]>();
    for (const mark of standingMarks(drive)) {
      const code = items.get(mark.item)?.category.code;
      if (!code) continue;
      const list = byCategory.get(code) ?? [];
      list.push({ id: mark.id, sign: grades.get(mark.grade)?.sign ?? 'noted' });
      byCategory.set(code, list);
    }
    return byCategory;
  }, [standard, drive]);
  return (
    <nav className={styles.board} aria-label="Categories">
      {standard.categories.map(({ code, name, letter }) => {
        const held = marks.get(code) ?? [];
        return (
          <button
            key={code}
            type="button"
            className={styles.category}
            aria-pressed={code === chosen}
            aria-keyshortcuts={letter}
            onClick={() => dispatch(code === chosen ? stepBack() : categoryChosen(code))}
          >
            <span>{name}</span>
            <span className={styles.foot}>
              <Key>{letter}</Key>
              <span className={styles.held}>
                {held.length > 0 && <span className="visually-hidden">{held.length} so far</span>}
                {held.slice(0, mostSigns).map(({ id, sign }) => (
                  <GradeSign key={id} sign={sign} size={14} plain={code === chosen} />
                ))}
                {held.length > mostSigns && <small>+{held.length - mostSigns}</small>}
              </span>
            </span>
          </button>
        );
      })}
    </nav>
  );
});
