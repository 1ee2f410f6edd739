import { toRadians } from '../geometry';
import type { Vehicle } from '../vehicle/vehicle';
import { crossProduct, dot, minus, plus, reflected, times, unit, type Point3 } from './space3';

export const mirrorSides = ['left', 'right'] as const;
export type MirrorSide = (typeof mirrorSides)[number];

/** The glass of a mirror: a piece of a sphere that bulges towards the driver. */
export interface Glass {
  readonly middle: Point3;
  /** Of length 1, out of the glass. */
  readonly normal: Point3;
  /** To the right and up as the driver sees the glass, of length 1. */
  readonly right: Point3;
  readonly up: Point3;
  readonly wideM: number;
  readonly tallM: number;
  readonly radiusM: number;
}

/** A place on the glass: metres to the right of its middle and above it, as the driver sees it. */
export interface OnGlass {
  readonly right: number;
  readonly up: number;
}

export const eyeOf = ({ eyeAheadM, eyeLeftM, eyeHeightM }: Vehicle): Point3 => ({
  x: eyeAheadM,
  y: eyeLeftM,
  z: eyeHeightM,
});

/** How much of the glass, from its inner edge, shows the side of the vehicle itself. Common practice: a little. */
const ownShare = 0.15;

/** The glass as its driver sets it: the side of the vehicle at its inner edge, the horizon across its middle. */
export function glassOf(vehicle: Vehicle, side: MirrorSide): Glass {
  const sign = side === 'left' ? 1 : -1;
  const { widthM, mirrorWidthM, mirrorAheadM, rearOverhangM } = vehicle;
  const { mirrorGlassWideM: wideM, mirrorGlassTallM: tallM, mirrorRadiusM: radiusM } = vehicle;
  const eye = eyeOf(vehicle);
  const middle: Point3 = {
    x: mirrorAheadM - 0.08,
    // At the outer edge of the mirror, which is not all glass.
    y: sign * Math.max(widthM / 2 + wideM / 2 + 0.02, mirrorWidthM / 2 - wideM / 2 - 0.02),
    z: vehicle.mirrorGlassHeightM,
  };
  // In plan first: the normal that shows the rear corner of the vehicle a little out from the inner edge of the glass.
  const inner = { ...middle, y: middle.y - sign * wideM * (0.5 - ownShare) };
  const flat = (from: Point3, to: Point3) => unit({ x: to.x - from.x, y: to.y - from.y, z: 0 });
  const corner = { x: -rearOverhangM, y: (sign * widthM) / 2, z: 0 };
  const there = unit(minus(flat(inner, corner), flat(eye, inner)));
  // The normal turns along the bulge; in the middle it points further out than at the inner edge.
  const bulge = (sign * wideM * (0.5 - ownShare)) / radiusM;
  const turned = Math.atan2(there.y, there.x) - bulge;
  const level = { x: Math.cos(turned), y: Math.sin(turned), z: 0 };
  const look = reflected(flat(eye, middle), level);
  // Then tilted so that the middle shows the horizon, and from there as far down as it is set.
  const horizon = unit(minus(look, unit(minus(middle, eye))));
  const across = unit(crossProduct(times(horizon, -1), { x: 0, y: 0, z: 1 }));
  const down = toRadians(vehicle.mirrorDownDeg);
  const normal = plus(times(horizon, Math.cos(down)), times(crossProduct(across, times(horizon, -1)), -Math.sin(down)));
  const right = unit(crossProduct(times(normal, -1), { x: 0, y: 0, z: 1 }));
  return { middle, normal, right, up: crossProduct(right, times(normal, -1)), wideM, tallM, radiusM };
}

/** Where a place on the glass is in space, and the normal there. */
export function onSphere({ middle, normal, right, up, radiusM }: Glass, at: OnGlass) {
  const out = unit(plus(times(normal, radiusM), plus(times(right, at.right), times(up, at.up))));
  // From the middle of the glass rather than of the sphere, which is far off where the glass is nearly flat.
  return { point: plus(middle, times(minus(out, normal), radiusM)), normal: out };
}

/**
 * Where on the glass, or beyond its edge, an eye sees a point: where the ways to both leave the glass at the same angle
 * (law of reflection), found by Newton's method.
 * @returns undefined where the glass cannot show it: the point is behind the glass
 */
export function seenOnGlass(glass: Glass, eye: Point3, point: Point3): OnGlass | undefined {
  if (dot(minus(point, glass.middle), glass.normal) <= 0.02) return undefined;
  const off = ({ right, up }: OnGlass) => {
    const here = onSphere(glass, { right, up }).point;
    const { normal } = onSphere(glass, { right, up });
    const sum = plus(unit(minus(eye, here)), unit(minus(point, here)));
    const across = minus(sum, times(normal, dot(sum, normal)));
    return [dot(across, glass.right), dot(across, glass.up)] as const;
  };
  const [fineM, enough] = [1e-5, 1e-9];
  let at: OnGlass = { right: 0, up: 0 };
  for (let i = 0; i < 30; i++) {
    const [a, b] = off(at);
    if (Math.abs(a) < enough && Math.abs(b) < enough) return at;
    const [ar, br] = off({ ...at, right: at.right + fineM });
    const [au, bu] = off({ ...at, up: at.up + fineM });
    const [aRight, bRight, aUp, bUp] = [(ar - a) / fineM, (br - b) / fineM, (au - a) / fineM, (bu - b) / fineM];
    const determinant = aRight * bUp - aUp * bRight;
    if (Math.abs(determinant) < 1e-12) return undefined;
    const [right, up] = [(bUp * a - aUp * b) / determinant, (aRight * b - bRight * a) / determinant];
    // Not further at once than half of the sphere bears.
    const most = glass.radiusM / 4 + 0.2;
    const size = Math.max(1, Math.hypot(right, up) / most);
    at = { right: at.right - right / size, up: at.up - up / size };
    if (Math.hypot(at.right, at.up) > glass.radiusM * 3 + 2) return undefined;
  }
  return undefined;
}

export const isOnGlass = ({ wideM, tallM }: Glass, { right, up }: OnGlass): boolean =>
  Math.abs(right) <= wideM / 2 && Math.abs(up) <= tallM / 2;
