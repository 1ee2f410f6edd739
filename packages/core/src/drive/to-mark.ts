import type { AdviceEvent, DriveEvent, MarkEvent, MissedStepEvent, PlaceEvent, RegradeEvent } from './event';
import { spanAt, type Advised, type Mark, type Span, type Struck } from './drive';

/** What the rest of the log says of a mark. */
export interface Lasting {
  readonly byId: ReadonlyMap<string, DriveEvent>;
  readonly spans: readonly Span[];
  readonly endMs: number;
  readonly grades: ReadonlyMap<string, RegradeEvent>;
  readonly advice: ReadonlyMap<string, AdviceEvent>;
  readonly places: ReadonlyMap<string, PlaceEvent>;
  readonly steps: ReadonlyMap<string, MissedStepEvent>;
}

/** A mark as it holds: with the grade, the reason and the place that were given to it later, at the moment of its pin. */
export function toMark(
  event: MarkEvent,
  { byId, spans, endMs, grades, advice, places, steps }: Lasting,
  struck: Struck | undefined,
): Mark {
  const pin = event.pin === undefined ? undefined : byId.get(event.pin);
  const atMs = Math.min(endMs, pin?.type === 'pin' ? pin.atMs : event.atMs);
  const regrade = grades.get(event.id);
  const grade = regrade?.grade ?? event.grade;
  return {
    id: event.id,
    item: event.item,
    grade,
    firstGrade: grade === event.grade ? undefined : event.grade,
    atMs,
    exercise: spanAt(spans, atMs)?.exercise,
    pin: event.pin,
    note: event.note,
    measured: regrade?.measured ?? event.measured,
    advice: toAdvised(advice.get(event.id)),
    place: toPlace(places.get(event.id)),
    look: event.look,
    step: steps.get(event.id)?.step,
    detected: event.detected,
    by: event.by,
    device: event.device,
    struck,
  };
}

function toAdvised(event: AdviceEvent | undefined): Advised | undefined {
  return event && { answers: event.answers, proposed: event.proposed };
}

function toPlace(event: PlaceEvent | undefined): Mark['place'] {
  return event && { lat: event.lat, lon: event.lon };
}
