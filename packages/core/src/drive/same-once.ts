import type { DriveEvent } from './event';

/** An event as text in which the order of fields does not matter: equal for equal events and for no others. */
export function eventText(event: DriveEvent): string {
  return JSON.stringify(event, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
}

/** The events by id, each once. Of two that share an id and differ, the one with the smaller text. */
export function sameOnce(events: Iterable<DriveEvent>): ReadonlyMap<string, DriveEvent> {
  const byId = new Map<string, DriveEvent>();
  for (const event of events) {
    const known = byId.get(event.id);
    if (!known || (known !== event && eventText(event) < eventText(known))) byId.set(event.id, event);
  }
  return byId;
}
