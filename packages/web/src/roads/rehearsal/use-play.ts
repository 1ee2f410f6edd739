import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { between } from '@jasperwren/core/routes/along-line';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';

/** Times of real speed that can be chosen. */
export const paces = [0.5, 1, 2, 4] as const;

/** Plays a route: metres from the start go on with the clock, at the pace of the roads. */
export function usePlay(reading: RouteReading) {
  const { pace, metres: whole } = reading;
  const [metres, setMetres] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [times, setTimes] = useState<(typeof paces)[number]>(1);
  const seconds = useRef(0);
  const inverse = useMemo(() => pace.map(([x, y]) => [y, x] as const), [pace]);
  // Another way begins where the car is.
  useEffect(() => {
    seconds.current = 0;
    setMetres(0);
  }, [reading]);
  useEffect(() => {
    if (!playing) return undefined;
    let last = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      // A tab that slept does not leap ahead.
      seconds.current += Math.min(0.25, (now - last) / 1000) * times;
      last = now;
      const at = between(inverse, seconds.current);
      setMetres(at);
      if (at >= whole) setPlaying(false);
      else frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, times, inverse, whole]);
  const goTo = useCallback(
    (at: number) => {
      seconds.current = between(pace, at);
      setMetres(at);
    },
    [pace],
  );
  return { metres, playing, setPlaying, times, setTimes, goTo };
}
