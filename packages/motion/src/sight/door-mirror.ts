import { placed as placedAt } from '../geometry';
import type { Layout } from '../layout/layout';
import type { Placed } from '../moves/roll';
import type { Vehicle } from '../vehicle/vehicle';
import { type MirrorSide, glassOf, eyeOf, seenOnGlass, isOnGlass } from './mirror';
import { type View, type Sees, bodies, flat, ownShape, ground, markersSeen } from './views';

/** What a door mirror shows its driver. */
export function mirrorView(vehicle: Vehicle, placed: Placed, layout: Layout, side: MirrorSide): View {
  const glass = glassOf(vehicle, side);
  const eye = eyeOf(vehicle);
  const sees: Sees = (point) => seenOnGlass(glass, eye, point);
  const sign = side === 'left' ? 1 : -1;
  const horizon = [0, 100, 300, 800, 2000, 5000].map((out) =>
    sees({ x: -1000, y: sign * (out - 200), z: glass.middle.z }),
  );
  const own = bodies(vehicle, placed.hitch).flatMap(({ pose, back, front, half, tall }, i) => {
    const end = i === 0 ? glass.middle.x - 0.15 : front;
    const lengthwise = Array.from({ length: 13 }, (_, n) => back + ((end - back) * n) / 12);
    const face = (y: number) => [
      ...lengthwise.map((x) => sees(flat(placedAt(pose, { x, y }), 0.25))),
      ...[...lengthwise].reverse().map((x) => sees(flat(placedAt(pose, { x, y }), tall))),
    ];
    const front4 = [half, -half].map((y) => placedAt(pose, { x: front, y }));
    // Of a trailer its front shows too, where it is turned.
    const nose =
      i === 0
        ? []
        : ownShape('vehicle', 'nose', [
            ...front4.map((p) => sees(flat(p, 0.25))),
            ...[...front4].reverse().map((p) => sees(flat(p, tall))),
          ]);
    return [...nose, ...ownShape('vehicle', `side ${i}`, face(sign * half))];
  });
  return {
    left: -glass.wideM / 2,
    bottom: -glass.tallM / 2,
    wide: glass.wideM,
    tall: glass.tallM,
    shown: [
      { id: 'horizon', kind: 'horizon', points: horizon.filter((point) => point !== undefined), filled: false },
      ...ground(placed, layout, sees),
      ...own,
    ],
  };
}

/** The markers that a door mirror shows any of, and that the vehicle itself does not hide. */
export function seenInMirror(
  vehicle: Vehicle,
  { pose, hitch }: Placed,
  { markers }: Pick<Layout, 'markers'>,
  side: MirrorSide,
): readonly string[] {
  const glass = glassOf(vehicle, side);
  const eye = eyeOf(vehicle);
  return markersSeen(pose, markers, glass.middle, bodies(vehicle, hitch), (point) => {
    const on = seenOnGlass(glass, eye, point);
    return on !== undefined && isOnGlass(glass, on);
  });
}
