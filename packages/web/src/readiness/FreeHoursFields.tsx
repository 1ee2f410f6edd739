import { t } from '@jasperwren/words/readiness';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { FreeHours } from '@jasperwren/core/readiness/plan';
import { useState } from 'react';
import type { FreeHoursView } from '@jasperwren/contract/lessons';
import { enqueueSnackbar } from 'notistack';
import { v7 as newId } from 'uuid';
import { api } from '../base/api';
import { apiError } from '../base/client';
import { putLatest } from '../base/outbox/entries';
import { laneOfHours } from '../base/device/lanes';
import { useSignedIn } from '../base/signed-in';
import { clashesOf, Conflict, staleOf } from '../ui/Conflict';
import styles from './plan.module.css';

const ends = ['from', 'to'] as const;

const weekdays = [t('sunday'), t('monday'), t('tuesday'), t('wednesday'), t('thursday'), t('friday'), t('saturday')];
const usual: FreeHours = { weekday: 1, from: '09:00', to: '12:00' };

const hourWords = ({ weekday, from, to }: FreeHours) =>
  t('weekdaysFromToTo', { weekdays: String(weekdays[weekday]), from, to });

/** When whoever is signed in gives lessons, week by week. */
export function FreeHoursFields({ kept }: { readonly kept: FreeHoursView }) {
  const { account } = useSignedIn();
  const [hours, setHours] = useState(kept.hours);
  const [send, { isLoading, error }] = api.useSetFreeHoursMutation();
  const [theirs, setTheirs] = useState<FreeHoursView>();
  const save = async (chosen: readonly FreeHours[], version: number) => {
    const body = { hours: chosen.map((one) => ({ ...one })), version };
    const { data, error: failed } = await send({ body });
    setTheirs(staleOf<FreeHoursView>(failed));
    if (data || apiError(failed)?.status !== 0) return;
    await putLatest({ id: newId(), owner: account.id, lane: laneOfHours(account.id), body });
    enqueueSnackbar(t('yourHoursAreSavedOnThis'));
  };
  const set = (at: number, change: Partial<FreeHours>) =>
    setHours(hours.map((one, i) => (i === at ? { ...one, ...change } : one)));
  return (
    <div className={styles.hours}>
      {hours.map((one, i) => (
        <div key={i} className={styles.hour}>
          <TextField
            select
            size="small"
            label={t('day')}
            value={one.weekday}
            onChange={(event) => set(i, { weekday: Number(event.target.value) })}
          >
            {weekdays.map((name, weekday) => (
              <MenuItem key={name} value={weekday}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          {ends.map((end) => (
            <TextField
              key={end}
              size="small"
              label={end === 'from' ? t('from') : t('to')}
              value={one[end]}
              onChange={(event) => set(i, { [end]: event.target.value })}
              slotProps={{ htmlInput: { maxLength: 5, placeholder: '09:30' } }}
            />
          ))}
          <Button
            variant="text"
            aria-label={t('removeWeekdaysFrom', { weekdays: String(weekdays[one.weekday]), from: one.from })}
            onClick={() => setHours(hours.filter((_, j) => j !== i))}
          >
            {t('remove')}
          </Button>
        </div>
      ))}
      <div className={styles.actions}>
        <Button variant="text" onClick={() => setHours([...hours, usual])}>
          {t('addHours')}
        </Button>
        <Button
          variant="outlined"
          disabled={isLoading || hours === kept.hours}
          onClick={() => void save(hours, kept.version)}
        >
          {t('saveHours')}
        </Button>
      </div>
      {error !== undefined && !theirs && (
        <p role="alert">{apiError(error)?.problems?.[0]?.message ?? apiError(error)?.message}</p>
      )}
      {theirs && (
        <Conflict
          what={t('teachingHours')}
          clashes={clashesOf(
            { hours: t('hours') },
            { hours: kept.hours },
            { hours },
            { hours: theirs.hours },
            (_, value) => (value as readonly FreeHours[]).map(hourWords).join('\n'),
          )}
          onMerge={(chosen) => void save(chosen.has('hours') ? theirs.hours : hours, theirs.version)}
          onClose={() => setTheirs(undefined)}
        />
      )}
    </div>
  );
}
