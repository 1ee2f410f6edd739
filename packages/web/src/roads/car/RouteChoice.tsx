import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { t } from '@jasperwren/words/routes';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useMemo, useState } from 'react';
import { api } from '../../base/api';
import { unitsOf } from '../format-route';
import { useCallStyles } from '../use-call-styles';
import { useRoute } from '../use-route';
import { usePacked } from '../work/use-roads-work';

/** Chooses a route and hands on what of it is needed in the car. */
export default function RouteChoice({ onChoose }: { readonly onChoose: (route: CarRoute | undefined) => void }) {
  const { data: routes } = api.useRoutesQuery();
  const [chosen, setChosen] = useState('');
  const { route, stored } = useRoute(chosen);
  const { instructor } = useCallStyles();
  const question = useMemo(
    () => ({ stored, routes: route ? [route.stops] : [], style: instructor }),
    [stored, route, instructor],
  );
  const { parts, working, failed } = usePacked(question);
  const inCar = useMemo((): CarRoute | undefined => {
    if (!route || !stored || working || !parts.packed) return undefined;
    const { roads, reading } = parts.packed;
    const { line, pace, calls, metres, legs, edges } = reading;
    const around = { roads, stops: route.stops, legs, edges };
    return { id: route.id, name: route.name, units: unitsOf(stored), line, pace, calls, metres, around };
  }, [route, stored, working, parts.packed]);
  useEffect(() => onChoose(inCar), [inCar, onChoose]);
  if (!routes || routes.length === 0) return null;
  const cannot = failed !== undefined || (route && stored && !working && !parts.packed);
  return (
    <TextField
      select
      label={t('routeOptional')}
      value={chosen}
      onChange={(event) => setChosen(event.target.value)}
      helperText={chosen === '' || inCar ? t('routeHelp') : cannot ? t('routeCannotBeDriven') : t('workingItOut')}
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
