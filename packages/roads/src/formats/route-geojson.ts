import type { Place } from '../geometry';

/** A route as GeoJSON (RFC 7946): what is driven as a line, its stops as points. */
export function writeRouteGeoJson(
  name: string,
  stops: readonly Place[],
  line: readonly (readonly [lat: number, lon: number])[],
): string {
  const feature = (geometry: object, properties: object) => ({ type: 'Feature', geometry, properties });
  const fixed = (degrees: number) => Number(degrees.toFixed(7));
  return JSON.stringify(
    {
      type: 'FeatureCollection',
      features: [
        feature({ type: 'LineString', coordinates: line.map(([lat, lon]) => [fixed(lon), fixed(lat)]) }, { name }),
        ...stops.map(({ lat, lon }, i) =>
          feature({ type: 'Point', coordinates: [fixed(lon), fixed(lat)] }, { name, stop: i + 1 }),
        ),
      ],
    },
    null,
    1,
  );
}
