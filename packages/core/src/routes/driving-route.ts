/** How the learner finds the way on a leg: told turn by turn, by signs, or by a navigation device. */
export const legModes = ['directions', 'signs', 'device'] as const;
export type LegMode = (typeof legModes)[number];

/** What is done at a place of a route. */
export const placeKinds = ['pull-up', 'parallel-park', 'right-reverse', 'bay', 'hill-start', 'emergency-stop'] as const;
export type PlaceKind = (typeof placeKinds)[number];

/** A stop the route leads through, in degrees of WGS 84; `mode` is that of the leg from it to the next. */
export interface RouteStop {
  readonly lat: number;
  readonly lon: number;
  readonly mode: LegMode;
}

/** Where something of a mock test is done. */
export interface RoutePlace {
  readonly kind: PlaceKind;
  readonly lat: number;
  readonly lon: number;
}

/** A route as it is drawn: what is driven follows from its stops and the roads. */
export interface RouteBody {
  readonly name: string;
  readonly stops: readonly RouteStop[];
  readonly places: readonly RoutePlace[];
  readonly notes?: string;
}
