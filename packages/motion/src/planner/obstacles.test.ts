import fc from 'fast-check';
import type { Pose } from '../geometry';
import { layOut, type ExerciseSpec } from '../layout/exercises';
import { leastGap, touchOf } from '../layout/touch';
import { arcOf, alongArc } from '../moves/roll';
import { vehicleClasses } from '../vehicle/classes';
import { trailerPose } from '../vehicle/parts';
import { obstaclesOf } from './obstacles';
import { steeringOf } from './steering';

const { car, van, 'car-with-trailer': towing } = vehicleClasses;
const clearanceM = 0.1;
/** Nearer to the clearance than this, both may be right. */
const closeCallM = 1e-6;

const grounds = [
  { code: 'bay-reverse', side: 'right', space: {} },
  { code: 'parallel', side: 'left', space: {} },
  { code: 'turn-in-road', side: 'right', space: {} },
] as const satisfies readonly ExerciseSpec[];

describe('the quick test of a search', () => {
  it.each(
    grounds.flatMap((spec) => [car, van, towing].map((vehicle) => [vehicle.kind, spec.code, vehicle, spec] as const)),
  )('%s, %s: says of any position what exact outlines say', (_, __, vehicle, spec) => {
    const layout = layOut(spec, vehicle);
    const { anglesDeg } = steeringOf(vehicle);
    const quick = obstaclesOf(vehicle, layout, anglesDeg, clearanceM);
    const { left, right, bottom, top } = layout.area;
    const isWithin = ({ x, y }: Pose) => x >= left && x <= right && y >= bottom && y <= top;
    const poses = fc.record({
      x: fc.double({ min: left, max: right, noNaN: true }),
      y: fc.double({ min: bottom, max: top, noNaN: true }),
      heading: fc.double({ min: -4, max: 4, noNaN: true }),
    });
    const hitches = vehicle.trailer ? fc.double({ min: -1, max: 1, noNaN: true }) : fc.constant(0);
    let [free, taken] = [0, 0];
    fc.assert(
      fc.property(poses, fc.nat(anglesDeg.length - 1), hitches, (pose, steer, hitch) => {
        const gapM = leastGap(vehicle, { pose, steerDeg: anglesDeg[steer]!, hitch }, layout)?.gapM ?? Infinity;
        fc.pre(Math.abs(gapM - clearanceM) > closeCallM && isWithin(trailerPose(vehicle, pose, hitch) ?? pose));
        const isFree = quick.isFree(pose, steer, hitch);
        if (isFree) free++;
        else taken++;
        expect(isFree).toBe(gapM > clearanceM);
      }),
      { numRuns: 300 },
    );
    // Both answers came up (the rarer about 13 times in 300), or the test would say nothing.
    expect(free).toBeGreaterThan(0);
    expect(taken).toBeGreaterThan(0);
  });

  it('says along arcs what it says of the end of each', () => {
    const layout = layOut(grounds[0], car);
    const { anglesDeg, curvatures } = steeringOf(car);
    const quick = obstaclesOf(car, layout, anglesDeg, clearanceM);
    fc.assert(
      fc.property(
        fc.nat(anglesDeg.length - 1),
        fc.array(fc.double({ min: -4, max: 4, noNaN: true }), { minLength: 1, maxLength: 6 }),
        (steer, distances) => {
          const curvature = curvatures[steer]!;
          const arcs = distances.map((distanceM) => arcOf(curvature, distanceM));
          const each = distances.every((distanceM) =>
            quick.isFree(alongArc(layout.start, curvature, distanceM), steer),
          );
          expect(quick.isFreeAlong(layout.start, steer, arcs)).toBe(each);
        },
      ),
    );
  });

  it('lets nothing stand beyond the ground', () => {
    const layout = layOut(grounds[0], car);
    const quick = obstaclesOf(car, layout, [0], 0);
    const beyond: Pose = { x: layout.area.right + 0.1, y: 3, heading: 0 };
    expect(quick.isFree(beyond, 0)).toBe(false);
    expect(touchOf(car, layout)({ pose: beyond, steerDeg: 0, hitch: 0 })).toBe(false);
  });
});
