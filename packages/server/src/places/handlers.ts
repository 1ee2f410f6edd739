import { findBehaviour } from '@jasperwren/core/catalogue/catalogue';
import { toCsv } from '../csv';
import { file, type HandlersOf } from '../http/call';
import { allFaults, faultsAtPlace, passTable, placesOf } from './store';

type Names = 'places' | 'faultsAtPlace' | 'placesFile' | 'passesTable';

export const placeHandlers: HandlersOf<Names> = {
  places: (call, filter) => placesOf(call, filter),
  faultsAtPlace: (call, { placeId, ...filter }) => faultsAtPlace(call, placeId, filter),
  async placesFile(call, filter) {
    const { places } = await placesOf(call, filter);
    const faults = await allFaults(call, filter);
    const feature = (lat: number, lon: number, properties: object) => ({
      type: 'Feature',
      geometry: { type: 'Point', coordinates: [lon, lat] },
      properties,
    });
    return file(
      'places.geojson',
      'application/geo+json',
      JSON.stringify({
        type: 'FeatureCollection',
        features: [
          ...places.map(({ place: { lat, lon, ...place }, ...rate }) =>
            feature(lat, lon, { kind: 'place', ...place, ...rate }),
          ),
          ...faults.map(({ lat, lon, at, behaviour, severity, place }) =>
            feature(lat, lon, {
              kind: 'fault',
              at,
              behaviour,
              name: findBehaviour(behaviour)?.name ?? behaviour,
              severity,
              place,
            }),
          ),
        ],
      }),
    );
  },
  async passesTable(call, filter) {
    const columns = ['date', 'learner', 'sort', 'turn', 'from', 'onto', 'lat', 'lon', 'passes', 'faults'];
    return file('passes.csv', 'text/csv', toCsv(columns, await passTable(call, filter)));
  },
};
