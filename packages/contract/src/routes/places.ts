import { placeFilters, type FaultAtPlace, type PlacesView } from '../places';
import { get } from '../route';

/** Where faults happen. */
export const placesRoutes = {
  places: get('/api/places', 'staff', {
    query: placeFilters,
    reads: ['traces', 'drives', 'learners'],
  }).answers<PlacesView>(),
  faultsAtPlace: get('/api/places/:placeId/faults', 'staff', {
    query: placeFilters,
    reads: ['traces', 'drives', 'learners'],
  }).answers<readonly FaultAtPlace[]>(),
  placesFile: get('/api/places.geojson', 'staff', { query: placeFilters }).file(),
  passesTable: get('/api/passes.csv', 'staff', { query: placeFilters }).file(),
} as const;
