import { type Place, metresBetween, project } from '@jasperwren/roads/geometry';

/** A value between pairs that rise, in proportion. */
export function between(pairs: readonly (readonly [x: number, y: number])[], x: number): number {
  const after = pairs.findIndex(([from]) => from >= x);
  if (after < 0) return pairs.at(-1)?.[1] ?? 0;
  const [x2, y2] = pairs[after]!;
  const [x1, y1] = pairs[after - 1] ?? [x2, y2];
  return x2 === x1 ? y2 : y1 + ((x - x1) / (x2 - x1)) * (y2 - y1);
}

/** How many metres along a line the point of it lies that is nearest to a place, and how far off that is. */
export function nearestAlong(
  line: readonly (readonly [lat: number, lon: number])[],
  place: Place,
): { readonly metres: number; readonly off: number } {
  let [best, along] = [{ metres: 0, off: Infinity }, 0];
  for (let i = 1; i < line.length; i++) {
    const [[aLat, aLon], [bLat, bLon]] = [line[i - 1]!, line[i]!];
    const length = metresBetween(aLat, aLon, bLat, bLon);
    const { share, metres: off } = project(place, aLat, aLon, bLat, bLon);
    if (off < best.off) best = { metres: along + share * length, off };
    along += length;
  }
  return best;
}

/** Gives the place so many metres along a line. */
export function placesAlong(line: readonly (readonly [lat: number, lon: number])[]): (metres: number) => Place {
  const sums = [0];
  for (let i = 1; i < line.length; i++)
    sums.push(sums[i - 1]! + metresBetween(line[i - 1]![0], line[i - 1]![1], line[i]![0], line[i]![1]));
  return (metres) => {
    let low = 0;
    let high = sums.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (sums[middle]! < metres) low = middle + 1;
      else high = middle;
    }
    const [lat, lon] = line[low]!;
    const before = line[low - 1];
    if (!before) return { lat, lon };
    const share = Math.max(0, Math.min(1, (metres - sums[low - 1]!) / Math.max(sums[low]! - sums[low - 1]!, 1e-9)));
    return { lat: before[0] + share * (lat - before[0]), lon: before[1] + share * (lon - before[1]) };
  };
}
