import type { Fix } from '@jasperwren/roads/traces/fix';

/**
 * A fix as it travels: milliseconds since 1970 in UTC, degrees of latitude and longitude, metres of accuracy and metres a
 * second; the last two are -1 where the device does not say.
 */
export type SentFix = readonly [at: number, lat: number, lon: number, accuracy: number, speed: number];

/** A fix as it is worked with. */
export const fixOf = ([at, lat, lon, accuracy, speed]: SentFix): Fix => ({
  at,
  lat,
  lon,
  ...(accuracy >= 0 && { accuracy }),
  ...(speed >= 0 && { speed }),
});
