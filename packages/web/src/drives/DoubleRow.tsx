import { t } from '@jasperwren/words/drives';
import Button from '@mui/material/Button';
import type { Double, Mark } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { clockTime } from '../ui/format';
import styles from './double-row.module.css';
import { usePeople } from './log/use-people';

interface Props {
  readonly double: Double;
  readonly standard: EffectiveStandard;
  readonly onStrike: (markId: string) => void;
  readonly onKeepBoth: () => void;
}

/** One fault that two devices may have marked: until it is settled, the graver of the two counts. */
export function DoubleRow({ double: { first, second }, standard, onStrike, onKeepBoth }: Props) {
  const nameOf = usePeople();
  const words = ({ grade, atMs, by }: Mark) =>
    t('getAtTimeByNameOf', {
      get: rulesOf(standard).grades.get(grade)?.name ?? grade,
      time: clockTime(atMs),
      nameOf: nameOf(by),
    });
  return (
    <li className={styles.double}>
      <span>
        <b>{t('faultSameFaultRecordedTwice', { fault: itemName(standard, first.item) })}</b>
        <small>{t('wordsWords2TheMoreSeriousOne', { words: words(first), words2: words(second) })}</small>
      </span>
      <span className={styles.actions}>
        <Button variant="outlined" onClick={() => onStrike(second.id)}>
          {t('keepThe')} {rulesOf(standard).grades.get(first.grade)?.short}{' '}
          {t('ofTime', { time: clockTime(first.atMs) })}
        </Button>
        <Button variant="outlined" onClick={() => onStrike(first.id)}>
          {t('keepThe')} {rulesOf(standard).grades.get(second.grade)?.short}{' '}
          {t('ofTime', { time: clockTime(second.atMs) })}
        </Button>
        <Button variant="outlined" onClick={onKeepBoth}>
          {t('keepBoth')}
        </Button>
      </span>
    </li>
  );
}
