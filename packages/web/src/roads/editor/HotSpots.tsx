import type { RoadPlace } from '@jasperwren/core/places/passes';
import { t } from '@jasperwren/words/routes';
import { placeWords } from '@jasperwren/words/traces';
import { api } from '../../base/api';
import { Several } from './Several';

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
    <Several
      label={t('planOver')}
      help={t('planOverMost', { most: mostPlaces })}
      options={places}
      value={value}
      nameOf={placeWords}
      keyOf={({ id }) => id}
      most={mostPlaces}
      onChange={onChange}
    />
  );
}
