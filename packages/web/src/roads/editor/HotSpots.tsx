import type { RoadPlace } from '@jasperwren/core/places/passes';
import { t } from '@jasperwren/words/routes';
import { placeWords } from '@jasperwren/words/traces';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { api } from '../../base/api';

interface Props {
  readonly value: readonly RoadPlace[];
  readonly onChange: (places: readonly RoadPlace[]) => void;
}

/** Over more than these a loop of an hour hardly leads, with anything else left of it. */
const mostPlaces = 6;
/** So many of the places with most faults are offered. */
const offered = 20;

/** Places with many faults that every loop is to lead over. */
export function HotSpots({ value, onChange }: Props) {
  const { data: view } = api.usePlacesQuery({});
  const places = (view?.places ?? []).slice(0, offered).map(({ place }) => place);
  if (places.length === 0) return null;
  return (
    <Autocomplete
      multiple
      size="small"
      limitTags={2}
      disableCloseOnSelect
      options={places}
      value={[...value]}
      getOptionLabel={placeWords}
      getOptionKey={({ id }) => id}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      getOptionDisabled={(place) => value.length >= mostPlaces && !value.some(({ id }) => id === place.id)}
      onChange={(_, chosen) => onChange(chosen)}
      renderInput={(params) => (
        <TextField {...params} label={t('planOver')} helperText={t('planOverMost', { most: mostPlaces })} />
      )}
    />
  );
}
