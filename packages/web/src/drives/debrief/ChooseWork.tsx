import { t } from '@jasperwren/words/debrief';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { workOnWords } from '@jasperwren/words/debrief-points';
import type { WorkOn } from '@jasperwren/core/debrief/work-on';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { Rows } from '../../ui/Page';
import styles from './debrief.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly worth: readonly WorkOn[];
  readonly chosen: readonly string[];
  readonly onChosen: (items: readonly string[]) => void;
}

/** The two things to work on: proposed, and the instructor may put others in their place. */
export function ChooseWork({ standard, worth, chosen, onChosen }: Props) {
  return (
    <Rows>
      {chosen.map((item, place) => {
        const one = worth.find((candidate) => candidate.item === item);
        return (
          <li key={item} className={styles.line}>
            <TextField
              select
              variant="standard"
              value={item}
              onChange={(event) => onChosen(put(chosen, place, event.target.value))}
              slotProps={{ select: { 'aria-label': t('workOnPart', { part: place === 0 ? 'first' : 'second' }) } }}
              fullWidth
            >
              {worth.map((candidate) => (
                <MenuItem key={candidate.item} value={candidate.item}>
                  {itemName(standard, candidate.item)}
                </MenuItem>
              ))}
            </TextField>
            {one && <span className="muted">{workOnWords(standard, one)}</span>}
          </li>
        );
      })}
    </Rows>
  );
}

/** Puts an item in a place; where it stood in another place already, the two change places. */
function put(chosen: readonly string[], place: number, item: string): readonly string[] {
  return chosen.map((old, i) => (i === place ? item : old === item ? chosen[place]! : old));
}
