import { t } from '@jasperwren/words/readiness';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import styles from './plan.module.css';

const lengths = [45, 60, 90, 120];

const perWeekChoices = [1, 2, 3, 4, 5];

interface Props {
  readonly minutes: number;
  readonly perWeek: number;
  readonly onMinutes: (minutes: number) => void;
  readonly onPerWeek: (perWeek: number) => void;
  /** Undefined where there is nothing to suggest yet. */
  readonly onSuggest?: () => void;
}

/** How long lessons are, how many a week, and what fills them. */
export function PlanTools({ minutes, perWeek, onMinutes, onPerWeek, onSuggest }: Props) {
  return (
    <div className={styles.tools}>
      <TextField
        select
        size="small"
        label={t('lessonLength')}
        value={minutes}
        onChange={(event) => onMinutes(Number(event.target.value))}
      >
        {lengths.map((n) => (
          <MenuItem key={n} value={n}>
            {t('nMin', { n })}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        size="small"
        label={t('perWeek')}
        value={perWeek}
        onChange={(event) => onPerWeek(Number(event.target.value))}
      >
        {perWeekChoices.map((n) => (
          <MenuItem key={n} value={n}>
            {t('lessons', { count: n })}
          </MenuItem>
        ))}
      </TextField>
      <Button variant="outlined" disabled={!onSuggest} onClick={onSuggest}>
        {t('suggestLessons')}
      </Button>
    </div>
  );
}
