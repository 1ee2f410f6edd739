/** The controls that safety questions are about. */
export const controlNames = {
  headlights: 'dipped headlights',
  'main-beam': 'main beam',
  'rear-fog': 'rear fog lamps',
  indicators: 'direction indicators',
  hazard: 'hazard lamps',
  'front-wash': 'front screen wash and wipe',
  'rear-wash': 'rear screen wash and wipe',
  'front-demist': 'front demister',
  'rear-demist': 'rear demister',
  horn: 'horn',
  window: 'side window',
  bonnet: 'bonnet release',
} as const;
export type ControlCode = keyof typeof controlNames;
export const controlCodes = Object.keys(controlNames) as readonly ControlCode[];

export const controlKinds = ['stalk', 'button', 'dial', 'rocker', 'lever', 'pad'] as const;
export type ControlKind = (typeof controlKinds)[number];

/** Places in reach of the driver, by words a person would use; `outer` is the door's side. */
export const placeNames = {
  'stalk-left': 'stalk left of the wheel',
  'stalk-right': 'stalk right of the wheel',
  hub: 'middle of the wheel',
  'spoke-left': 'left spoke of the wheel',
  'spoke-right': 'right spoke of the wheel',
  'dash-outer': 'dashboard between wheel and door',
  'dash-inner': 'dashboard between wheel and middle',
  'centre-top': 'top of the middle panel',
  'centre-middle': 'middle of the middle panel',
  'centre-bottom': 'foot of the middle panel',
  console: 'console between the seats',
  door: 'driver’s door',
  'under-dash': 'under the dashboard, by the door',
} as const;
export type ControlPlace = keyof typeof placeNames;
export const controlPlaces = Object.keys(placeNames) as readonly ControlPlace[];

/** How one control works in one car. */
export interface Control {
  readonly kind: ControlKind;
  readonly place: ControlPlace;
  /** What to do with it, such as "push it away from you". */
  readonly how: string;
  /** How it is put back; missing where there is nothing to put back. */
  readonly back?: string;
}

/** A car as the questions need it: where each control is and how it works. Versions are kept. */
export interface VehicleProfile {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly wheelSide: 'left' | 'right';
  readonly transmission: 'manual' | 'automatic';
  readonly controls: Readonly<Record<ControlCode, Control>>;
}

/** Standard symbols: the same in every car. A curved window is the front screen, a square one the rear. */
export const symbolOf: Readonly<Partial<Record<ControlCode, string>>> = {
  'front-wash': 'a curved window with drops',
  'rear-wash': 'a square window with drops',
  'front-demist': 'a curved window with wavy arrows',
  'rear-demist': 'a square window with wavy arrows',
  'rear-fog': 'a lamp with level rays to the right, crossed by a wavy line',
  headlights: 'a lamp with rays that slope down',
  'main-beam': 'a lamp with level rays, lit in blue',
  hazard: 'a red triangle',
};

/** Where a control is and how it works, such as "stalk right of the wheel: push it away from you; off: pull it back". */
export function describeControl(vehicle: VehicleProfile, code: ControlCode): string {
  const { kind, place, how, back } = vehicle.controls[code];
  const where = place.startsWith('stalk') ? placeNames[place] : `${kind}, ${placeNames[place]}`;
  return `${where}: ${how}${back ? `; off: ${back}` : ''}`;
}

/** A key point in the words of a car; without one, the name of the control stands in. */
export function inCar(text: string, vehicle: VehicleProfile | undefined): string {
  return text.replace(/\{control:([a-z-]+)\}/g, (_, code: ControlCode) =>
    vehicle ? describeControl(vehicle, code) : controlNames[code],
  );
}

/** A point of the schematic, 1000 wide and 520 high, seen from the driver's seat. */
export interface SchematicPoint {
  readonly x: number;
  readonly y: number;
}

/** For a wheel on the right; a car with its wheel on the left is its mirror image. */
const points: Readonly<Record<ControlPlace, SchematicPoint>> = {
  'stalk-left': { x: 492, y: 236 },
  'stalk-right': { x: 828, y: 236 },
  hub: { x: 660, y: 292 },
  'spoke-left': { x: 590, y: 330 },
  'spoke-right': { x: 730, y: 330 },
  'dash-outer': { x: 905, y: 300 },
  'dash-inner': { x: 440, y: 330 },
  'centre-top': { x: 300, y: 190 },
  'centre-middle': { x: 300, y: 270 },
  'centre-bottom': { x: 300, y: 350 },
  console: { x: 300, y: 470 },
  door: { x: 962, y: 410 },
  'under-dash': { x: 850, y: 450 },
};

const mirrored: Readonly<Partial<Record<ControlPlace, ControlPlace>>> = {
  'stalk-left': 'stalk-right',
  'stalk-right': 'stalk-left',
  'spoke-left': 'spoke-right',
  'spoke-right': 'spoke-left',
};

/** Where a place is drawn, for a wheel on this side. */
export function schematicPoint(place: ControlPlace, wheelSide: VehicleProfile['wheelSide']): SchematicPoint {
  if (wheelSide === 'right') return points[place];
  const { x, y } = points[mirrored[place] ?? place];
  return { x: 1000 - x, y };
}

/** What is wrong with a profile that somebody wrote: it has no name, or does not say how a control works. */
export type ProfileProblem = { readonly kind: 'no-name' } | { readonly kind: 'no-how'; readonly control: ControlCode };

export function problemsOfVehicle({ name, controls }: VehicleProfile): readonly ProfileProblem[] {
  return [
    ...(name.trim() === '' ? [{ kind: 'no-name' } as const] : []),
    ...controlCodes
      .filter((code) => (controls[code]?.how ?? '').trim() === '')
      .map((control) => ({ kind: 'no-how', control }) as const),
  ];
}
