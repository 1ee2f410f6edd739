import { metresBetween, type Place } from '@jasperwren/roads/geometry';
import { alongRoute } from './car-route';
import type { PlacedCall, RouteReading } from './read-route';

interface Note extends Place {
  readonly text: string;
}

/** A note of the school on a route. */
export interface NoteOnRoute {
  readonly text: string;
  /** Metres from the start. */
  readonly metres: number;
}

/** A note lies on a route within this many metres of it, and belongs to a junction within so many of it. */
const onRoute = 40;
const atJunction = 70;

/** The notes that lie on a route, in the order it passes them. */
export const notesOn = ({ line }: Pick<RouteReading, 'line'>, notes: readonly Note[]): readonly NoteOnRoute[] =>
  notes
    .map((note) => ({ text: note.text, ...alongRoute(line, note) }))
    .filter(({ away }) => away <= onRoute)
    .sort((a, b) => a.metres - b.metres)
    .map(({ text, metres }) => ({ text, metres }));

/**
 * The notes that go with each call, by its place in the list: those at its junction, and those on the road that is driven
 * from there to the next call. What comes before the first call goes with it.
 */
export function notesByCall(
  { line, calls }: Pick<RouteReading, 'line' | 'calls'>,
  notes: readonly Note[],
): ReadonlyMap<PlacedCall, readonly string[]> {
  const first = calls.filter(({ again }) => again === undefined);
  const found = new Map<PlacedCall, string[]>();
  const add = (call: PlacedCall | undefined, text: string) => {
    if (call) found.set(call, [...(found.get(call) ?? []), text]);
  };
  for (const note of notes) {
    const near = first.filter(
      ({ junction }) => metresBetween(note.lat, note.lon, junction.lat, junction.lon) < atJunction,
    );
    for (const call of near) add(call, note.text);
    if (near.length > 0) continue;
    const [place] = notesOn({ line }, [note]);
    if (place) add(first.findLast(({ decision }) => decision.metres <= place.metres) ?? first[0], note.text);
  }
  return found;
}
