import geodesic from 'geographiclib-geodesic';

/** A place in degrees of latitude and longitude, WGS 84. */
export interface Place {
  readonly lat: number;
  readonly lon: number;
}

const { PI, atan2, cos, hypot, max, min, sqrt } = Math;
const radians = PI / 180;
/** WGS 84: the semi-major axis in metres and the square of the first eccentricity. */
const axis = 6_378_137;
const eccentricity2 = 0.006_694_379_990_141_316;
/** Up to this length, in metres, the plane of the middle latitude is exact to the centimetre. */
const planar = 2000;

/** Metres a degree of latitude and of longitude is long at a latitude, on the WGS 84 ellipsoid. */
export function degreeMetres(lat: number): { readonly lat: number; readonly lon: number } {
  const c = cos(lat * radians);
  const w2 = 1 / (1 - eccentricity2 * (1 - c * c));
  const w = sqrt(w2);
  return { lat: radians * axis * w * w2 * (1 - eccentricity2), lon: radians * axis * w * c };
}

/**
 * Length of the geodesic between two places, in metres on the WGS 84 ellipsoid: short ones in the plane of their middle
 * latitude, longer ones by Karney's method (C. F. F. Karney, Algorithms for geodesics, 2013).
 */
export function metresBetween(latA: number, lonA: number, latB: number, lonB: number): number {
  const degree = degreeMetres((latA + latB) / 2);
  const plane = hypot((latB - latA) * degree.lat, (lonB - lonA) * degree.lon);
  if (plane < planar) return plane;
  return geodesic.Geodesic.WGS84.Inverse(latA, lonA, latB, lonB).s12 ?? plane;
}

/** Bearing from one place to another near it, in degrees clockwise from north, from 0 up to 360. */
export function bearing(latA: number, lonA: number, latB: number, lonB: number): number {
  const degree = degreeMetres((latA + latB) / 2);
  return (atan2((lonB - lonA) * degree.lon, (latB - latA) * degree.lat) / radians + 360) % 360;
}

/** The turn from one bearing to another in degrees: right is positive, from -180 up to 180. */
export function turnBetween(before: number, after: number): number {
  return ((after - before + 540) % 360) - 180;
}

/** Where along a straight piece, from 0 to 1, a place lies nearest, and how far off it is in metres. */
export function project(
  at: Place,
  latA: number,
  lonA: number,
  latB: number,
  lonB: number,
): { readonly share: number; readonly metres: number } {
  const degree = degreeMetres(at.lat);
  const x = (lonB - lonA) * degree.lon;
  const y = (latB - latA) * degree.lat;
  const px = (at.lon - lonA) * degree.lon;
  const py = (at.lat - latA) * degree.lat;
  const length2 = x * x + y * y;
  const share = length2 === 0 ? 0 : max(0, min(1, (px * x + py * y) / length2));
  return { share, metres: hypot(px - share * x, py - share * y) };
}
