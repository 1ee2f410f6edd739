import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { FreeHours } from '@jasperwren/core/readiness/plan';
import { useState } from 'react';
import { apiError } from '../app/api';
import styles from './plan.module.css';
import { useSetFreeHoursMutation } from './readiness-api';

const weekdays = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const usual: FreeHours = { weekday: 1, from: '09:00', to: '12:00' };

/** When whoever is signed in gives lessons, week by week. */
export function FreeHoursFields({ hours: kept }: { readonly hours: readonly FreeHours[] }) {
  const [hours, setHours] = useState(kept);
  const [save, { isLoading, error }] = useSetFreeHoursMutation();
  const set = (at: number, change: Partial<FreeHours>) =>
    setHours(hours.map((one, i) => (i === at ? { ...one, ...change } : one)));
  return (
    <div className={styles.hours}>
      {hours.map((one, i) => (
        <div key={i} className={styles.hour}>
          <TextField
            select
            size="small"
            label="Day"
            value={one.weekday}
            onChange={(event) => set(i, { weekday: Number(event.target.value) })}
          >
            {weekdays.map((name, weekday) => (
              <MenuItem key={name} value={weekday}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          {(['from', 'to'] as const).map((end) => (
            <TextField
              key={end}
              size="small"
              label={end === 'from' ? 'From' : 'To'}
              value={one[end]}
              onChange={(event) => set(i, { [end]: event.target.value })}
              slotProps={{ htmlInput: { maxLength: 5, placeholder: '09:30' } }}
            />
          ))}
          <Button
            variant="text"
            aria-label={`Remove ${weekdays[one.weekday]} ${one.from}`}
            onClick={() => setHours(hours.filter((_, j) => j !== i))}
          >
            Remove
          </Button>
        </div>
      ))}
      <div className={styles.actions}>
        <Button variant="text" onClick={() => setHours([...hours, usual])}>
          Add hours
        </Button>
        <Button
          variant="outlined"
          disabled={isLoading || hours === kept}
          onClick={() => void save({ hours: hours.map((one) => ({ ...one })) })}
        >
          Keep my hours
        </Button>
      </div>
      {error && <p role="alert">{apiError(error)?.problems?.[0]?.message ?? apiError(error)?.message}</p>}
    </div>
  );
}
