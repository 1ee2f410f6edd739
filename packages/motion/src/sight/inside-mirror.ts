import { placed as placedAt } from '../geometry';
import type { Layout } from '../layout/layout';
import type { Placed } from '../moves/roll';
import type { Vehicle } from '../vehicle/vehicle';
import { eyeOf } from './mirror';
import { crossProduct, dot, minus, plus, times, unit, type Point3 } from './space3';
import { bodies, flat, ground, markersSeen, ownShape, type InView, type Sees, type View } from './views';

/** How the inside mirror and the rear window of a car lie; round figures of the class (common practice). */
const usual = {
  /** Ahead of the eye, below the roof, and how wide and tall its flat glass is. */
  aheadM: 0.45,
  belowRoofM: 0.2,
  wideM: 0.23,
  tallM: 0.06,
  /** The rear window: ahead of the rear end, in from the sides, above the sill, below the roof. */
  windowAheadM: 0.35,
  windowInM: 0.28,
  windowAboveSillM: 0.05,
  windowBelowRoofM: 0.12,
} as const;

/** The flat glass, with what it is seen through. */
interface InsideGlass {
  readonly middle: Point3;
  readonly normal: Point3;
  readonly right: Point3;
  readonly up: Point3;
  readonly window: { readonly x: number; readonly half: number; readonly low: number; readonly high: number };
}

/** Only a car has a window behind its driver; a van and a larger vehicle have none. */
const hasRearWindow = ({ kind }: Vehicle): boolean => kind === 'car' || kind === 'car-with-trailer';

/** The mirror as its driver sets it: the rear window across it, the horizon along its middle. Undefined without a rear window. */
export function insideGlassOf(vehicle: Vehicle): InsideGlass | undefined {
  if (!hasRearWindow(vehicle)) return undefined;
  const { eyeAheadM, roofM, sillM, widthM, rearOverhangM } = vehicle;
  const window = {
    x: usual.windowAheadM - rearOverhangM,
    half: widthM / 2 - usual.windowInM,
    low: sillM + usual.windowAboveSillM,
    high: roofM - usual.windowBelowRoofM,
  };
  const middle: Point3 = { x: eyeAheadM + usual.aheadM, y: 0, z: roofM - usual.belowRoofM };
  const straightBack: Point3 = { x: -1, y: 0, z: 0 };
  const normal = unit(plus(unit(minus(eyeOf(vehicle), middle)), straightBack));
  const right = unit(crossProduct(times(normal, -1), { x: 0, y: 0, z: 1 }));
  return { middle, normal, right, up: crossProduct(right, times(normal, -1)), window };
}

/**
 * Where on the glass, or beyond its edge, an eye sees a point: on the straight line to the point's image behind a flat mirror.
 * @returns undefined where the glass cannot show it: the point is behind the glass
 */
export function seenOnFlat({ middle, normal, right, up }: InsideGlass, eye: Point3, point: Point3): InView | undefined {
  const ahead = dot(minus(point, middle), normal);
  const own = dot(minus(eye, middle), normal);
  if (ahead <= 0.02 || own <= 0) return undefined;
  const image = minus(point, times(normal, 2 * ahead));
  const on = minus(plus(eye, times(minus(image, eye), own / (own + ahead))), middle);
  return { right: dot(on, right), up: dot(on, up) };
}

/** Whether what is seen at a place of the glass is seen through the rear window. */
function throughWindow({ middle, right, up, window }: InsideGlass, on: InView, point: Point3): boolean {
  const from = plus(middle, plus(times(right, on.right), times(up, on.up)));
  if (point.x >= window.x) return false;
  const at = plus(from, times(minus(point, from), (window.x - from.x) / (point.x - from.x)));
  return Math.abs(at.y) <= window.half && at.z >= window.low && at.z <= window.high;
}

const isOn = ({ right, up }: InView): boolean => Math.abs(right) <= usual.wideM / 2 && Math.abs(up) <= usual.tallM / 2;

/** What the inside mirror shows its driver through the rear window; undefined where there is none. */
export function insideMirrorView(vehicle: Vehicle, placed: Placed, layout: Layout): View | undefined {
  const glass = insideGlassOf(vehicle);
  if (!glass) return undefined;
  const eye = eyeOf(vehicle);
  const sees: Sees = (point) => seenOnFlat(glass, eye, point);
  const { x, half, low, high } = glass.window;
  const corner = (y: number, z: number) => sees({ x, y, z })!;
  // On the glass the left of the car lies to the left.
  const [lowLeft, highLeft, lowRight, highRight] = [
    corner(half, low),
    corner(half, high),
    corner(-half, low),
    corner(-half, high),
  ];
  const [far, wide, tall] = [1, usual.wideM, usual.tallM];
  const beyond = (right: number, up: number): InView => ({ right, up });
  const inside = [
    ownShape('vehicle', 'left of the window', [lowLeft, highLeft, beyond(-far, far), beyond(-far, -far)]),
    ownShape('vehicle', 'right of the window', [lowRight, highRight, beyond(far, far), beyond(far, -far)]),
    ownShape('vehicle', 'above the window', [highLeft, highRight, beyond(far, far), beyond(-far, far)]),
    ownShape('vehicle', 'below the window', [lowLeft, lowRight, beyond(far, -far), beyond(-far, -far)]),
  ].flat();
  const trailer = bodies(vehicle, placed.hitch)
    .slice(1)
    .flatMap(({ pose, front, back, half: side, tall: high4 }) => {
      const face = (...corners: readonly (readonly [number, number])[]) =>
        ownShape('vehicle', 'trailer', [
          ...corners.map(([ahead, left]) => sees(flat(placedAt(pose, { x: ahead, y: left }), 0.25))),
          ...corners.toReversed().map(([ahead, left]) => sees(flat(placedAt(pose, { x: ahead, y: left }), high4))),
        ]);
      return [
        ...face([back, side], [front, side]),
        ...face([back, -side], [front, -side]),
        ...face([front, side], [front, -side]),
      ];
    });
  const horizon = [-400, -100, 0, 100, 400].map((y) => sees({ x: -1000, y, z: glass.middle.z }));
  return {
    left: -wide / 2,
    bottom: -tall / 2,
    wide,
    tall,
    shown: [
      { id: 'horizon', kind: 'horizon', points: horizon.filter((point) => point !== undefined), filled: false },
      ...ground(placed, layout, sees),
      ...trailer,
      ...inside,
    ],
  };
}

/** The markers that the inside mirror shows any of; undefined where there is no rear window. */
export function seenInside(
  vehicle: Vehicle,
  { pose, hitch }: Placed,
  { markers }: Pick<Layout, 'markers'>,
): readonly string[] | undefined {
  const glass = insideGlassOf(vehicle);
  if (!glass) return undefined;
  const eye = eyeOf(vehicle);
  // The car itself hides nothing of what is seen through its window.
  return markersSeen(pose, markers, glass.middle, bodies(vehicle, hitch).slice(1), (point) => {
    const on = seenOnFlat(glass, eye, point);
    return on !== undefined && isOn(on) && throughWindow(glass, on, point);
  });
}
