import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { t } from '@jasperwren/words/routes';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { api } from '../../base/api';
import { unitsOf } from '../format-route';
import { useCallStyles } from '../use-call-styles';
import { useRoute } from '../use-route';
import { usePacked } from '../work/use-roads-work';

/** A route as it is chosen: what of it is needed in the car, once that is worked out. */
export type ChosenRoute = CarRoute | 'working' | 'failed' | undefined;

/** Chooses a route and hands on what of it is needed in the car. */
export default function RouteChoice({
  asked,
  onChoose,
}: {
  /** Whether somebody wanted to begin: then a route that cannot be driven is in the way. */
  readonly asked: boolean;
  readonly onChoose: (route: ChosenRoute) => void;
}) {
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
  const cannot = failed !== undefined || (route && stored && !working && !parts.packed);
  const state: ChosenRoute = chosen === '' ? undefined : (inCar ?? (cannot ? 'failed' : 'working'));
  const tell = useEffectEvent(onChoose);
  useEffect(() => tell(state), [state]);
  if (!routes || routes.length === 0) return null;
  return (
    <TextField
      select
      label={t('routeOptional')}
      value={chosen}
      onChange={(event) => setChosen(event.target.value)}
      error={asked && state === 'failed'}
      helperText={
        state === 'failed' ? t('routeCannotBeDriven') : state === 'working' ? t('workingItOut') : t('routeHelp')
      }
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
