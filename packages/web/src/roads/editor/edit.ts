import type { PlaceKind, RouteBody, RoutePlace, RouteStop } from '@jasperwren/core/routes/driving-route';
import { metresBetween, type Place } from '@jasperwren/roads/geometry';

/** A route as it is being drawn, with what was before and what was undone. */
export interface Drawing {
  readonly now: RouteBody;
  readonly before: readonly RouteBody[];
  readonly undone: readonly RouteBody[];
}

export type Edit =
  | { readonly type: 'name'; readonly name: string }
  | { readonly type: 'append'; readonly at: Place }
  | { readonly type: 'insert'; readonly after: number; readonly at: Place }
  | { readonly type: 'move'; readonly stop: number; readonly at: Place }
  | { readonly type: 'remove'; readonly stop: number }
  | { readonly type: 'mode'; readonly stop: number; readonly mode: RouteStop['mode'] }
  | { readonly type: 'place'; readonly kind: PlaceKind; readonly at: Place }
  | { readonly type: 'remove-place'; readonly place: number }
  | { readonly type: 'reverse' }
  | { readonly type: 'close' }
  | { readonly type: 'stops'; readonly stops: readonly RouteStop[] }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' };

/** So many steps can be undone. */
const remembered = 100;

export const drawingOf = (now: RouteBody): Drawing => ({ now, before: [], undone: [] });

/** The drawing after an edit. */
export function edited(drawing: Drawing, edit: Edit): Drawing {
  const { now, before, undone } = drawing;
  if (edit.type === 'undo') {
    const last = before.at(-1);
    return last ? { now: last, before: before.slice(0, -1), undone: [...undone, now] } : drawing;
  }
  if (edit.type === 'redo') {
    const next = undone.at(-1);
    return next ? { now: next, before: [...before, now], undone: undone.slice(0, -1) } : drawing;
  }
  const next = changed(now, edit);
  return next === now ? drawing : { now: next, before: [...before, now].slice(-remembered), undone: [] };
}

function changed(route: RouteBody, edit: Exclude<Edit, { readonly type: 'undo' | 'redo' }>): RouteBody {
  const { stops, places } = route;
  switch (edit.type) {
    case 'name':
      return { ...route, name: edit.name };
    case 'append':
      return { ...route, stops: [...stops, stopAt(edit.at, stops.at(-1)?.mode)] };
    case 'insert':
      return { ...route, stops: stops.toSpliced(edit.after + 1, 0, stopAt(edit.at, stops[edit.after]?.mode)) };
    case 'move':
      return { ...route, stops: stops.with(edit.stop, { ...stops[edit.stop]!, lat: edit.at.lat, lon: edit.at.lon }) };
    case 'remove':
      return { ...route, stops: stops.toSpliced(edit.stop, 1) };
    case 'mode':
      return { ...route, stops: stops.with(edit.stop, { ...stops[edit.stop]!, mode: edit.mode }) };
    case 'place':
      return { ...route, places: [...places, placeAt(edit.kind, edit.at)] };
    case 'remove-place':
      return { ...route, places: places.toSpliced(edit.place, 1) };
    case 'reverse':
      return { ...route, stops: reversed(stops) };
    case 'close':
      return stops[0] && stops.length > 1
        ? { ...route, stops: [...stops, stopAt(stops[0], stops.at(-1)?.mode)] }
        : route;
    case 'stops':
      return { ...route, stops: edit.stops };
  }
}

const stopAt = ({ lat, lon }: Place, mode: RouteStop['mode'] = 'directions'): RouteStop => ({ lat, lon, mode });
const placeAt = (kind: PlaceKind, { lat, lon }: Place): RoutePlace => ({ kind, lat, lon });

/** The other way round: each leg keeps how it is driven. */
function reversed(stops: readonly RouteStop[]): readonly RouteStop[] {
  const turned = stops.toReversed();
  return turned.map((stop, i) => ({ ...stop, mode: turned[i + 1]?.mode ?? stop.mode }));
}

/** Whether a route ends where it begins, to a few metres. */
export function isClosed(stops: readonly RouteStop[]): boolean {
  const [first] = stops;
  const last = stops.at(-1);
  return stops.length > 2 && metresBetween(first!.lat, first!.lon, last!.lat, last!.lon) < 30;
}
