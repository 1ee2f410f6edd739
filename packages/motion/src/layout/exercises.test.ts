import { seenFrom } from '../geometry';
import { standing } from '../moves/roll';
import { vehicleClasses } from '../vehicle/classes';
import { bodyOf } from '../vehicle/parts';
import type { Vehicle } from '../vehicle/vehicle';
import { checkSpace, exerciseCodes, layOut, spaceOf, tightMeasure, usualSpace, type ExerciseSpec } from './exercises';
import { leastGap } from './touch';

const vehicles: readonly Vehicle[] = Object.values(vehicleClasses);
const cases = vehicles.flatMap((vehicle) => exerciseCodes.map((code) => [vehicle.kind, code, vehicle] as const));

describe.each(cases)('%s, %s', (_, code, vehicle) => {
  const spec: ExerciseSpec = { code, side: 'right', space: {} };

  it('has room with the usual measures, begins free, and ends in place without a touch', () => {
    expect(checkSpace(spec, vehicle)).toEqual([]);
    const layout = layOut(spec, vehicle);
    expect(leastGap(vehicle, standing(layout.start), layout)?.gapM ?? 1).toBeGreaterThan(0.1);
    if (layout.goal.kind === 'heading') return;
    for (const pose of layout.goal.poses) expect(leastGap(vehicle, standing(pose), layout)!.gapM).toBeGreaterThan(0.1);
  });

  it('is the same mirrored on the other side', () => {
    const [right, left] = [layOut(spec, vehicle), layOut({ ...spec, side: 'left' }, vehicle)];
    expect(left.start).toEqual({ x: right.start.x, y: 0 - right.start.y, heading: 0 - right.start.heading });
    expect(left.markers.map(({ x, y }) => [x, 0 - y])).toEqual(right.markers.map(({ x, y }) => [x, y]));
    expect(left.edges).toHaveLength(right.edges.length);
    expect(left.area).toEqual({ ...right.area, bottom: 0 - right.area.top, top: 0 - right.area.bottom });
  });

  it('says what of the ground cannot be, and lays out nothing on it', () => {
    const measure = tightMeasure(code, vehicle);
    const small = { ...spec, space: { [measure]: 0.3 } };
    expect(checkSpace(small, vehicle)).toMatchObject([{ measure, value: 0.3 }]);
    expect(() => layOut(small, vehicle)).toThrow(RangeError);
    expect(checkSpace({ ...spec, space: { [measure]: 1000 } }, vehicle)).toMatchObject([{ measure, mostM: 150 }]);
  });

  it('keeps what is given and takes the usual for the rest', () => {
    const usual = usualSpace(code, vehicle);
    const measure = tightMeasure(code, vehicle);
    const given = spaceOf({ code, space: { [measure]: 99 } }, vehicle);
    expect(given).toEqual({ ...usual, [measure]: 99 });
  });
});

it.each(vehicles.map((vehicle) => [vehicle.kind, vehicle] as const))(
  '%s: parked in a bay it stands between its lines, all that belongs in it',
  (_, vehicle) => {
    for (const code of ['bay-reverse', 'bay-forward', 'angle-bay', 'alley-dock'] as const) {
      const { goal } = layOut({ code, side: 'right', space: {} }, vehicle);
      if (goal.kind !== 'poses' || !goal.bay) throw new Error('no bay');
      const { mouth, widthM, depthM } = goal.bay;
      const parts = bodyOf(vehicle, standing(goal.poses[0]!));
      // A trailer that was reversed in leaves the car outside.
      const inside =
        vehicle.trailer && (code === 'bay-reverse' || code === 'alley-dock') ? parts.slice(-1) : [parts[0]!];
      for (const corner of inside.flatMap(({ outline }) => outline)) {
        const { x, y } = seenFrom(mouth, corner);
        expect(x).toBeGreaterThan(0);
        expect(x).toBeLessThan(depthM);
        expect(Math.abs(y)).toBeLessThan(widthM / 2);
      }
    }
  },
);
