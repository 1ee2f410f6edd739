import Button from '@mui/material/Button';
import type { Double, Mark } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/core/marking/wording';
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
    `${rulesOf(standard).grades.get(grade)?.name ?? grade} at ${clockTime(atMs)} by ${nameOf(by)}`;
  return (
    <li className={styles.double}>
      <span>
        <b>{itemName(standard, first.item)}: marked twice?</b>
        <small>
          {words(first)}; {words(second)}. The graver counts until you say.
        </small>
      </span>
      <span className={styles.actions}>
        <Button variant="outlined" onClick={() => onStrike(second.id)}>
          Keep the {rulesOf(standard).grades.get(first.grade)?.short} of {clockTime(first.atMs)}
        </Button>
        <Button variant="outlined" onClick={() => onStrike(first.id)}>
          Keep the {rulesOf(standard).grades.get(second.grade)?.short} of {clockTime(second.atMs)}
        </Button>
        <Button variant="outlined" onClick={onKeepBoth}>
          Two faults
        </Button>
      </span>
    </li>
  );
}
