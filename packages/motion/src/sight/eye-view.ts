import type { Vehicle } from '../vehicle/vehicle';
import type { Placed } from '../moves/roll';
import type { Layout } from '../layout/layout';
import { eyeOf, glassOf } from './mirror';
import { minus, plus, times, type Point3 } from './space3';
import { type View, type InView, type Sees, ownShape, ground } from './views';

export const looks = ['ahead', 'left', 'right'] as const;
export type Look = (typeof looks)[number];

const axes: Readonly<Record<Look, (point: Point3) => Point3>> = {
  // Depth, to the right, up.
  ahead: ({ x, y, z }) => ({ x, y: -y, z }),
  left: ({ x, y, z }) => ({ x: y, y: x, z }),
  right: ({ x, y, z }) => ({ x: -y, y: -x, z }),
};

/** Nearer to the eye than this nothing is drawn, in metres. */
const nearM = 0.08;

/** A figure cut off where it is too near to the eye. */
function cutNear(points: readonly Point3[]): readonly Point3[] {
  return points.flatMap((point, i) => {
    const next = points[(i + 1) % points.length]!;
    const crosses = point.x < nearM !== next.x < nearM;
    const cut = () => plus(point, times(minus(next, point), (nearM - point.x) / (next.x - point.x)));
    return [...(point.x >= nearM ? [point] : []), ...(crosses ? [cut()] : [])];
  });
}

/** What the driver sees ahead, or through a side window: a simple perspective, without a head that turns. */
export function eyeView(vehicle: Vehicle, placed: Placed, layout: Layout, look: Look): View {
  const eye = eyeOf(vehicle);
  const from = (point: Point3) => axes[look](minus(point, eye));
  const flatten = ({ x, y, z }: Point3): InView => ({ right: y / x, up: z / x });
  const sees: Sees = (point) => {
    const at = from(point);
    return at.x < nearM ? undefined : flatten(at);
  };
  const figure = (kind: 'vehicle' | 'mirror', id: string, points: readonly Point3[]) =>
    ownShape(kind, id, cutNear(points.map(from)).map(flatten));
  const { sillM, roofM, pillarFootAheadM, pillarTopAheadM, pillarWideM, doorPillarAheadM, rearOverhangM } = vehicle;
  const half = vehicle.widthM / 2;
  const cowl = [half, -half].map((y): Point3 => ({ x: pillarFootAheadM, y, z: sillM }));
  const bonnet = [-half * 0.86, half * 0.86].map((y): Point3 => ({
    x: vehicle.bonnetAheadM,
    y,
    z: vehicle.bonnetHeightM,
  }));
  const sides = [1, -1].flatMap((sign) => {
    const y = sign * half;
    const glass = glassOf(vehicle, sign > 0 ? 'left' : 'right');
    const corner = (right: number, up: number) =>
      plus(glass.middle, plus(times(glass.right, (right * glass.wideM) / 2), times(glass.up, (up * glass.tallM) / 2)));
    const foot = { x: pillarFootAheadM, y: y * 0.97, z: sillM };
    const top = { x: pillarTopAheadM, y: y * 0.82, z: roofM };
    const wide = { x: -pillarWideM, y: -sign * pillarWideM * 0.3, z: 0 };
    return [
      figure('vehicle', `door ${sign}`, [
        { x: -rearOverhangM, y, z: 0 },
        { x: -rearOverhangM, y, z: sillM },
        { x: pillarFootAheadM, y, z: sillM },
        { x: pillarFootAheadM, y, z: 0 },
      ]),
      figure('mirror', `mirror ${sign}`, [corner(-1.1, -1.1), corner(1.1, -1.1), corner(1.1, 1.1), corner(-1.1, 1.1)]),
      figure('vehicle', `pillar ${sign}`, [foot, top, plus(top, wide), plus(foot, wide)]),
      figure('vehicle', `door pillar ${sign}`, [
        { x: doorPillarAheadM, y, z: sillM },
        { x: doorPillarAheadM, y: y * 0.85, z: roofM },
        { x: doorPillarAheadM - 0.12, y: y * 0.85, z: roofM },
        { x: doorPillarAheadM - 0.12, y, z: sillM },
      ]),
    ].flat();
  });
  return {
    left: -1.5,
    bottom: -0.85,
    wide: 3,
    tall: 1.3,
    shown: [
      {
        id: 'horizon',
        kind: 'horizon',
        points: [
          { right: -3, up: 0 },
          { right: 3, up: 0 },
        ],
        filled: false,
      },
      ...ground(placed, layout, sees),
      ...figure('vehicle', 'bonnet', [...cowl, ...bonnet]),
      ...figure('vehicle', 'dash', [...cowl, ...[...cowl].reverse().map((point) => ({ ...point, z: 0 }))]),
      ...sides,
    ],
  };
}
