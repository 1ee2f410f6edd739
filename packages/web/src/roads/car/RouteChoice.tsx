import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { t } from '@jasperwren/words/routes';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useMemo, useState } from 'react';
import { api } from '../../base/api';
import { unitsOf } from '../format-route';
import { useReading, useRoute } from '../use-route';
import { isRead } from '../work/use-roads-work';

/** Chooses a route and hands on what of it is needed in the car. */
export default function RouteChoice({ onChoose }: { readonly onChoose: (route: CarRoute | undefined) => void }) {
  const { data: routes } = api.useRoutesQuery();
  const [chosen, setChosen] = useState('');
  const { route, stored } = useRoute(chosen);
  const { reading, working } = useReading(stored, route?.stops);
  const inCar = useMemo((): CarRoute | undefined => {
    if (!route || working || !isRead(reading) || reading.broken) return undefined;
    const { line, pace, calls, metres } = reading;
    return { id: route.id, name: route.name, units: unitsOf(stored), line, pace, calls, metres };
  }, [route, stored, reading, working]);
  useEffect(() => onChoose(inCar), [inCar, onChoose]);
  if (!routes || routes.length === 0) return null;
  return (
    <TextField
      select
      label={t('routeOptional')}
      value={chosen}
      onChange={(event) => setChosen(event.target.value)}
      helperText={chosen !== '' && !inCar ? t('workingItOut') : t('routeHelp')}
    >
      <MenuItem value="">–</MenuItem>
      {routes.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
