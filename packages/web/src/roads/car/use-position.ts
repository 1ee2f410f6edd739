import { alongRoute, type Along, type CarRoute } from '@jasperwren/core/routes/car-route';
import { between } from '@jasperwren/core/routes/along-line';
import type { Car } from '@jasperwren/core/routes/way-back';
import { t } from '@jasperwren/words/routes';
import { useEffect, useMemo, useRef, useState } from 'react';

/** Where the position comes from: nowhere (the instructor touches on), this device, or a car that keeps to the pace. */
export type Feed = 'touch' | 'device' | 'simulated';

const hasPosition = 'geolocation' in navigator;

/** A car slower than this, in metres a second, does not know where it is heading. */
const slowest = 2;

/**
 * Where the car is along the route, and on Earth where this device says; undefined where only touches tell.
 * @param seconds driven on this route
 */
export function usePosition(
  { line, pace }: Pick<CarRoute, 'line' | 'pace'>,
  feed: Feed,
  seconds: number,
): { readonly along: Along | undefined; readonly car?: Car | undefined; readonly failed: string | undefined } {
  const [fix, setFix] = useState<{ readonly along: Along; readonly car: Car }>();
  const [failed, setFailed] = useState<string>();
  const last = useRef<number>(undefined);
  useEffect(() => {
    last.current = undefined;
    if (feed !== 'device' || !hasPosition) return undefined;
    const watch = navigator.geolocation.watchPosition(
      ({ coords: { latitude: lat, longitude: lon, heading, speed } }) => {
        const along = alongRoute(line, { lat, lon }, last.current);
        last.current = along.metres;
        setFailed(undefined);
        const moves = heading !== null && !Number.isNaN(heading) && (speed ?? slowest) >= slowest;
        setFix({ along, car: { lat, lon, ...(moves && { heading }) } });
      },
      ({ message }) => setFailed(message),
      { enableHighAccuracy: true, maximumAge: 1000 },
    );
    return () => navigator.geolocation.clearWatch(watch);
  }, [feed, line]);
  const inverse = useMemo(() => pace.map(([metres, second]) => [second, metres] as const), [pace]);
  if (feed === 'touch') return { along: undefined, failed: undefined };
  if (feed === 'simulated') return { along: { metres: between(inverse, seconds), away: 0 }, failed: undefined };
  return hasPosition ? { along: fix?.along, car: fix?.car, failed } : { along: undefined, failed: t('noGeolocation') };
}
