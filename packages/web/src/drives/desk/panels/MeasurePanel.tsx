import { t } from '@jasperwren/words/yard';
import { gradeOfValue } from '@jasperwren/core/marking/measured';
import { bandBrings } from '@jasperwren/words/marking/bands';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { Band, EffectiveStandard, Grade, Item, Measured } from '@jasperwren/core/marking/standard';
import { capital, joinWords } from '@jasperwren/words/lists';
import { useState } from 'react';
import { GradeSign } from '../../../ui/GradeSign';
import { typedNumber } from '../../../ui/typed-number';
import { useAppDispatch } from '../../../base/hooks';
import type { DeskActions } from '../desk-actions';
import { said } from '../desk-slice';
import { useDropped, useKeypadKeys } from './keypad-keys';
import styles from './measure.module.css';
import { Panel } from './Panel';

interface Props {
  readonly itemCode: string;
  readonly standard: EffectiveStandard;
  readonly actions: DeskActions;
}

const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0'] as const;
/** Six digits before the point and two behind it are more than anything in a yard has. */
const typable = /^\d{0,6}(\.\d{0,2})?$/;

/** A measured value by keypad, with the bands of the standard drawn: the value says the grade. */
export function MeasurePanel({ itemCode, standard, actions }: Props) {
  const item = rulesOf(standard).items.get(itemCode)?.item;
  return item?.measured ? <Keypad item={item} measured={item.measured} standard={standard} actions={actions} /> : null;
}

interface KeypadProps extends Omit<Props, 'itemCode'> {
  readonly item: Item;
  readonly measured: Measured;
}

function Keypad({ item, measured, standard, actions }: KeypadProps) {
  const [typed, setTyped] = useState('');
  const { unit, quantity, bands } = measured;
  const value = typedNumber(typed);
  const grade =
    value === undefined ? undefined : standard.grades.find(({ code }) => code === gradeOfValue(measured, value));
  const type = (text: string) => {
    if (typable.test(text)) setTyped(text);
  };
  const dispatch = useAppDispatch();
  const taken = useDropped(typed, (left) => void dispatch(said(t('notRecorded', { value: left, unit }))));
  const record = () => {
    if (!grade || value === undefined) return;
    taken();
    actions.mark(item.code, grade.code, { measured: value });
  };
  useKeypadKeys({ digit: (key) => type(typed + key), back: () => setTyped(typed.slice(0, -1)), enter: record });
  return (
    <Panel title={t('measure', { quantity: capital(quantity), unit })}>
      <form
        className={styles.measure}
        onSubmit={(event) => {
          event.preventDefault();
          record();
        }}
      >
        <input
          className={styles.value}
          aria-label={t('measure', { quantity: capital(quantity), unit })}
          inputMode="decimal"
          value={typed}
          placeholder="0"
          autoFocus
          onChange={(event) => type(event.target.value.replace(',', '.'))}
        />
        <div className={styles.pad}>
          {keys.map((key) => (
            <button key={key} type="button" onClick={() => type(typed + key)}>
              {key}
            </button>
          ))}
          <button type="button" onClick={() => setTyped('')}>
            {t('clear')}
          </button>
        </div>
        <BandScale measured={measured} grades={standard.grades} value={value} />
        <button type="submit" className={styles.record} disabled={!grade}>
          {grade && <GradeSign sign={grade.sign} size={24} plain />}
          {grade
            ? t('record', { value: typed, unit, grade: grade.name })
            : value === undefined
              ? t('typeValue')
              : t('within', { value: typed, unit })}
        </button>
        <p className="muted">
          {t('bands', {
            list: joinWords(bands.map((band) => bandBrings(standard, band, unit))),
          })}
        </p>
      </form>
    </Panel>
  );
}

/** The bands on a scale from nothing to somewhat beyond the highest of their bounds, and where the value lies. */
function BandScale({
  measured: { bands, unit },
  grades,
  value,
}: {
  readonly measured: Measured;
  readonly grades: readonly Grade[];
  readonly value: number | undefined;
}) {
  const bounds = [...new Set(bands.flatMap((band) => [fromOf(band), band.below ?? 0]).filter((bound) => bound > 0))];
  const most = Math.max(...bounds, value ?? 0) * 1.25;
  const at = (bound: number) => `${(100 * bound) / most}%`;
  return (
    <div className={styles.scale} aria-hidden="true">
      {bands.map((band) => {
        const sign = grades.find(({ code }) => code === band.grade)?.sign ?? 'noted';
        const from = fromOf(band);
        return (
          <i
            key={`${from} ${band.grade}`}
            data-sign={sign}
            style={{ left: at(from), width: `${(100 * ((band.below ?? most) - from)) / most}%` }}
          />
        );
      })}
      {bounds.map((bound) => (
        <span key={bound} style={{ left: at(bound) }}>
          {bound} {unit}
        </span>
      ))}
      {value !== undefined && <b style={{ left: at(value) }} />}
    </div>
  );
}

const fromOf = ({ over, atLeast }: Band): number => over ?? atLeast ?? 0;
