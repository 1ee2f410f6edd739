import { possibleDiffering, shrunkRate, standOut, type Counted } from './rates';

/** A place with how many faults it brings. */
export interface PlaceRate {
  readonly place: string;
  readonly passes: number;
  readonly faults: number;
  /** Faults a pass as estimated, and the range it lies in with a probability of 0.9. */
  readonly rate: number;
  readonly low: number;
  readonly high: number;
  /** Faults a pass that the same drivers made elsewhere. */
  readonly usual: number;
  /** Whether there are more than chance explains. */
  readonly hot: boolean;
}

export interface PlaceRates {
  /** Those with enough passes, the highest rate first. */
  readonly rates: readonly PlaceRate[];
  /** How many places have too few passes to say anything. */
  readonly tooFew: number;
}

/** A place with fewer passes is in no list. */
export const leastPasses = 5;
/** In no more than this share of schools without any difference between places one is called a hot spot. */
const level = 0.05;

/**
 * What is known of a place over many drives. A drive with many faults has them wherever it goes: the faults of each drive are
 * expected at its places in proportion to its passes, and a place is compared with the sum of that.
 */
export interface PlaceSum extends Counted {
  readonly place: string;
  readonly passes: number;
}

/** Faults a pass at each place, by what was summed up over drives. */
export function ratesOf(sums: readonly PlaceSum[]): PlaceRates {
  const enough = sums.filter(({ passes }) => passes >= leastPasses);
  const tooFew = sums.length - enough.length;
  const counted = enough.filter(({ expected }) => expected > 0);
  const possible = possibleDiffering(counted);
  const hot = standOut(counted, level);
  const rates = counted.map((sum, i): PlaceRate => {
    const { place, passes, observed: faults, expected } = sum;
    const usual = expected / passes;
    const { mean, low, high } = possible.length > 0 ? shrunkRate(possible, sum) : { mean: 0, low: 0, high: 0 };
    return {
      place,
      passes,
      faults,
      rate: mean * usual,
      low: low * usual,
      high: high * usual,
      usual,
      hot: hot.has(i),
    };
  });
  return {
    rates: rates.sort((a, b) => Number(b.hot) - Number(a.hot) || b.rate - a.rate || a.place.localeCompare(b.place)),
    tooFew,
  };
}
