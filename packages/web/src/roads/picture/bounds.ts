/** South-west and north-east of places, with a margin of some hundred metres; undefined where there are none. */
export function boundsOf(
  places: readonly (readonly [lat: number, lon: number, ...more: readonly number[]])[],
): [[number, number], [number, number]] | undefined {
  if (places.length === 0) return undefined;
  const [lats, lons] = [places.map(([lat]) => lat), places.map(([, lon]) => lon)];
  return [
    [Math.min(...lats) - margin, Math.min(...lons) - margin],
    [Math.max(...lats) + margin, Math.max(...lons) + margin],
  ];
}

const margin = 0.001;
