import { t } from '@jasperwren/words/yard';
import { t as deskWord } from '@jasperwren/words/desk';
import { standingMarks, type Drive, type Pin } from '@jasperwren/core/drive/drive';
import { gradesOf, rulesOf } from '@jasperwren/core/marking/rules';
import { itemsOfExercise } from '@jasperwren/core/marking/likely';
import type { EffectiveStandard, Item } from '@jasperwren/core/marking/standard';
import type { Exercise } from '@jasperwren/core/marking/exercise';
import { memo } from 'react';
import { useAppDispatch } from '../../base/hooks';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import type { DeskActions } from '../desk/desk-actions';
import { panelOpened } from '../desk/desk-slice';
import { PinButton } from '../voice/PinButton';
import { Key } from '../desk/Key';
import { tileKeys } from './tile-keys';
import styles from './tiles.module.css';

interface Props {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly exercise: Exercise | undefined;
  readonly settling: Pin | undefined;
  readonly actions: DeskActions;
}

/** The faults of the exercise and of the whole yard, one touch each, and what needs no thought. */
export const FaultTiles = memo(function FaultTiles({ driveId, standard, drive, exercise, settling, actions }: Props) {
  const { items } = rulesOf(standard);
  const own = exercise ? itemsOfExercise(standard, exercise.code).flatMap((code) => items.get(code)?.item ?? []) : [];
  // The order of leaving the car is asked for at the end.
  const shown = new Set([...own.map(({ code }) => code), ...(exercise ? [standard.course?.leaving?.item] : [])]);
  const whole = standard.categories.flatMap((category) =>
    category.items.filter(({ code, exercise: of }) => of === undefined && !shown.has(code)),
  );
  const keys = tileKeys(own);
  const counts = new Map<string, number>();
  for (const { item, grade } of standingMarks(drive)) {
    const key = `${item} ${grade}`;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  const tile = (item: Item) => (
    <FaultTile
      key={item.code}
      standard={standard}
      item={item}
      letter={keys.get(item.code)}
      held={gradesOf(standard, item)
        .map(({ code }) => counts.get(`${item.code} ${code}`) ?? 0)
        .join()}
      canMark={actions.canMark}
      onMark={actions.mark}
    />
  );
  return (
    <aside className={styles.side} aria-label={t('faults')}>
      {settling && <strong className={styles.settling}>{t('pinAt', { at: clockTime(settling.atMs) })}</strong>}
      {exercise && (
        <section className={`${styles.tiles} ${styles.here}`} aria-label={t('faultsHere', { exercise: exercise.name })}>
          {own.map(tile)}
        </section>
      )}
      {whole.length > 0 && (
        <section className={styles.whole} aria-label={t('wholeYard')}>
          <h3>{t('wholeYard')}</h3>
          <div className={styles.tiles}>{whole.map(tile)}</div>
        </section>
      )}
      <div className={styles.quick}>
        <PinButton driveId={driveId} className={styles.pin!} actions={actions}>
          <span>
            {t('pin')} <Key>{deskWord('space')}</Key>
          </span>
        </PinButton>
        <button type="button" onClick={actions.spoke} disabled={!actions.running}>
          {deskWord('prompt2')} <Key>,</Key>
        </button>
        <button type="button" onClick={actions.tookControl} disabled={!actions.running}>
          {deskWord('tookControl2')} <Key>.</Key>
        </button>
        <button type="button" onClick={actions.undo}>
          {deskWord('undo')} <Key>⌫</Key>
        </button>
      </div>
    </aside>
  );
});

interface TileProps {
  readonly standard: EffectiveStandard;
  readonly item: Item;
  readonly letter: string | undefined;
  /** Marks of each of its grades so far, as a list with commas. */
  readonly held: string;
  readonly canMark: boolean;
  readonly onMark: DeskActions['mark'];
}

/** A fault: one touch where it has one grade, a touch on the grade where it has more, a keypad where it is measured. */
const FaultTile = memo(function FaultTile({ standard, item, letter, held, canMark, onMark }: TileProps) {
  const dispatch = useAppDispatch();
  const grades = gradesOf(standard, item);
  const counts = held.split(',').map(Number);
  const signs = grades.flatMap((grade, i) => Array.from({ length: Math.min(3, counts[i] ?? 0) }, () => grade.sign));
  const only = grades.length === 1 ? grades[0]!.sign : undefined;
  const face = (
    <>
      <span>{item.name}</span>
      <span className={styles.under}>
        {letter && <Key>{letter}</Key>}
        <span className={styles.signs}>
          {signs.map((sign, i) => (
            <GradeSign key={i} sign={sign} size={18} />
          ))}
          {counts.some((n) => n > 3) && <b>{Math.max(...counts)}</b>}
        </span>
      </span>
    </>
  );
  if (item.measured)
    return (
      <button
        type="button"
        className={styles.tile}
        data-sign={only}
        disabled={!canMark}
        onClick={() => dispatch(panelOpened({ kind: 'measure', item: item.code }))}
      >
        {face}
      </button>
    );
  if (grades.length === 1)
    return (
      <button
        type="button"
        className={styles.tile}
        data-sign={only}
        disabled={!canMark}
        onClick={() => onMark(item.code, grades[0]!.code)}
      >
        {face}
      </button>
    );
  return (
    <div className={styles.tile} role="group" aria-label={item.name}>
      {face}
      <span className={styles.grades}>
        {grades.map((grade) => (
          <button
            key={grade.code}
            type="button"
            disabled={!canMark}
            aria-label={`${item.name}: ${grade.name}`}
            title={grade.name}
            onClick={() => onMark(item.code, grade.code)}
          >
            <GradeSign sign={grade.sign} size={20} />
            <small>{grade.short}</small>
          </button>
        ))}
      </span>
    </div>
  );
});
