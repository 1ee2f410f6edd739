import { alongRoute, type Along, type CarRoute } from '@jasperwren/core/routes/car-route';
import { between } from '@jasperwren/core/routes/read-route';
import { t } from '@jasperwren/words/routes';
import { useEffect, useMemo, useRef, useState } from 'react';

/** Where the position comes from: nowhere (the instructor touches on), this device, or a car that keeps to the pace. */
export type Feed = 'touch' | 'device' | 'simulated';

const hasPosition = 'geolocation' in navigator;

/** Where the car is along the route; undefined where only touches tell. */
export function usePosition(
  { line, pace }: CarRoute,
  feed: Feed,
  seconds: number,
): { readonly along: Along | undefined; readonly failed: string | undefined } {
  const [fix, setFix] = useState<Along>();
  const [failed, setFailed] = useState<string>();
  const last = useRef<number>(undefined);
  useEffect(() => {
    if (feed !== 'device' || !hasPosition) return undefined;
    const watch = navigator.geolocation.watchPosition(
      ({ coords: { latitude: lat, longitude: lon } }) => {
        const along = alongRoute(line, { lat, lon }, last.current);
        last.current = along.metres;
        setFailed(undefined);
        setFix(along);
      },
      ({ message }) => setFailed(message),
      { enableHighAccuracy: true, maximumAge: 1000 },
    );
    return () => navigator.geolocation.clearWatch(watch);
  }, [feed, line]);
  const inverse = useMemo(() => pace.map(([metres, second]) => [second, metres] as const), [pace]);
  if (feed === 'touch') return { along: undefined, failed: undefined };
  if (feed === 'simulated') return { along: { metres: between(inverse, seconds), away: 0 }, failed: undefined };
  return hasPosition ? { along: fix, failed } : { along: undefined, failed: t('noGeolocation') };
}
