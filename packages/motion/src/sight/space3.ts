/** A point or direction in space, as a vehicle has it: x ahead of the rear axle, y to the left, z above the ground; metres. */
export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export const plus = (a: Point3, b: Point3): Point3 => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });
export const minus = (a: Point3, b: Point3): Point3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
export const times = (a: Point3, by: number): Point3 => ({ x: a.x * by, y: a.y * by, z: a.z * by });
export const dot = (a: Point3, b: Point3): number => a.x * b.x + a.y * b.y + a.z * b.z;
export const crossProduct = (a: Point3, b: Point3): Point3 => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});
export const unit = (a: Point3): Point3 => times(a, 1 / Math.hypot(a.x, a.y, a.z));

/** The direction that light takes off a mirror that it falls on along `way`; the normal has a length of 1. */
export const reflected = (way: Point3, normal: Point3): Point3 => minus(way, times(normal, 2 * dot(way, normal)));
