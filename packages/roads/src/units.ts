/** Metres in a yard: exact, international agreement of 1959. */
export const metresPerYard = 0.9144;

/** Metres in a mile of 1,760 yards. */
export const metresPerMile = 1609.344;

/** Kilometres an hour in a mile an hour. */
export const kmhPerMph = metresPerMile / 1000;
