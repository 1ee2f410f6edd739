import { nextCall } from '@jasperwren/core/routes/rehearsal';
import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { stopsAhead, type Car } from '@jasperwren/core/routes/way-back';
import { useMemo, useState } from 'react';
import { useCallStyles } from '../use-call-styles';
import { useKept } from './use-kept';
import type { NewWay, NewWayQuestion } from '../work/roads.worker';

/** The way that takes the place of the route after it was left, and since when. */
interface Detour extends NewWay {
  /** Seconds driven when it was found. */
  readonly since: number;
}

/** The way to drive now, and how another is asked for. */
export function useNewWayOf(driveId: string, route: CarRoute) {
  const [detour, setDetour] = useKept<Detour | null>(`jasperwren-way ${driveId}`, null);
  const { instructor } = useCallStyles();
  const [question, setQuestion] = useState<NewWayQuestion>();
  const now = useMemo((): CarRoute => {
    if (!detour || !route.around) return route;
    const { line, pace, calls, metres, legs, edges } = detour.reading;
    return { ...route, line, pace, calls, metres, around: { ...route.around, stops: detour.stops, legs, edges } };
  }, [route, detour]);
  /**
   * Asks for a way from where a car is, or from the junction of a call.
   * @param metres driven of the way so far
   */
  const ask = (from: { readonly car: Car } | 'missed' | 'closed', metres: number) => {
    const { around, calls } = now;
    if (!around) return;
    const call = nextCall(calls, metres);
    if (typeof from === 'string' && !call) return;
    const at = typeof from === 'string' ? call!.decision.metres : metres;
    setQuestion({
      roads: around.roads,
      from: typeof from === 'string' ? { call: call!, why: from } : from,
      edges: around.edges,
      stops: stopsAhead(around.stops, around, at),
      closed: detour?.closed ?? [],
      style: instructor,
    });
  };
  const found = (way: NewWay, since: number) => {
    setDetour({ ...way, since });
    setQuestion(undefined);
  };
  /** Stops asking, where there was no way. */
  const forget = () => setQuestion(undefined);
  return { now, since: detour?.since ?? 0, isDetour: detour !== null, question, ask, found, forget };
}
