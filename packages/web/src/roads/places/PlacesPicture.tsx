import type { PlacesView } from '@jasperwren/contract/places';
import type { StoredRoads } from '@jasperwren/roads/source';
import { placeWords, t } from '@jasperwren/words/traces';
import { useMemo } from 'react';
import { CircleMarker, Tooltip } from '../picture/on-map';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { RoadPicture } from '../picture/RoadPicture';

interface Props {
  readonly stored: StoredRoads;
  readonly view: PlacesView;
  readonly chosen: string | undefined;
  readonly onChoose: (place: string) => void;
}

/** So many places are drawn, as many as the list tells of at most. */
const most = 40;

/** The places on the picture of the roads: larger with a higher rate, ringed where chance does not explain it. */
export function PlacesPicture({ stored, view, chosen, onChoose }: Props) {
  const colours = tokens[useThemeName()];
  const drawn = useMemo(
    () => view.places.filter(({ faults, place }) => faults > 0 && place.sort !== 'road').slice(0, most),
    [view],
  );
  const show = useMemo((): [[number, number], [number, number]] | undefined => {
    if (drawn.length === 0) return undefined;
    const [lats, lons] = [drawn.map(({ place }) => place.lat), drawn.map(({ place }) => place.lon)];
    return [
      [Math.min(...lats) - 0.002, Math.min(...lons) - 0.002],
      [Math.max(...lats) + 0.002, Math.max(...lons) + 0.002],
    ];
  }, [drawn]);
  const highest = Math.max(0.01, ...drawn.map(({ rate }) => rate));
  return (
    <RoadPicture stored={stored} show={show}>
      {drawn.map(({ place, rate, hot, faults, passes }) => (
        <CircleMarker
          key={`${place.id} ${place.id === chosen} ${hot}`}
          center={[place.lat, place.lon]}
          radius={6 + 14 * (rate / highest)}
          pathOptions={{
            color: place.id === chosen ? colours.ink : hot ? colours.jasper : colours.ochre,
            weight: place.id === chosen || hot ? 3 : 1.5,
            ...(hot && { dashArray: '3 6' }),
            fillColor: hot ? colours.jasper : colours.ochre,
            fillOpacity: 0.35,
          }}
          eventHandlers={{ click: () => onChoose(place.id) }}
        >
          <Tooltip>
            {placeWords(place)}
            <br />
            {t('ofPasses', { faults: t('faultCount', { count: faults }), passes: t('passes', { count: passes }) })}
          </Tooltip>
        </CircleMarker>
      ))}
    </RoadPicture>
  );
}
