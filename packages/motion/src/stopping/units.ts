/** Metres per second of a mile and a kilometre an hour. */
export const mpsPerMph = 0.44704;
export const mpsPerKmh = 1 / 3.6;
/** Metres of a foot and of a yard. */
export const metresPerFoot = 0.3048;
export const metresPerYard = 3 * metresPerFoot;
