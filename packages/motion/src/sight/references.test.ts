import { layOut, type ExerciseCode } from '../layout/exercises';
import { standing } from '../moves/roll';
import { usualPlanOptions, type FoundPlan } from '../planner/plan';
import { planExercise } from '../planner/plan-exercise';
import { vehicleClasses } from '../vehicle/classes';
import type { Vehicle } from '../vehicle/vehicle';
import { linesUp, seenBeside } from './lines-up';
import { finestM, isFreeWith, mostM, references } from './tolerance';

const { car, van } = vehicleClasses;
const cases: readonly (readonly [string, ExerciseCode, Vehicle])[] = [
  [car.kind, 'bay-reverse', car],
  [car.kind, 'straight-reverse', car],
  [van.kind, 'alley-dock', van],
];

it.each(cases)(
  '%s, %s: at the edge of what a step forgives nothing is touched, and half as much again touches',
  (_, code, vehicle) => {
    const spec = { code, side: 'left' as const, space: {} };
    const layout = layOut(spec, vehicle);
    const { steps } = planExercise(vehicle, spec, usualPlanOptions) as FoundPlan;
    const all = references(vehicle, layout, steps);
    expect(all).toHaveLength(steps.length);
    all.forEach(({ shortM, longM }, i) => {
      expect(isFreeWith(vehicle, layout, steps, i, longM)).toBe(true);
      expect(isFreeWith(vehicle, layout, steps, i, -shortM)).toBe(true);
      if (longM < mostM)
        expect(isFreeWith(vehicle, layout, steps, i, longM + Math.max(finestM, longM / 2))).toBe(false);
      if (shortM < Math.min(mostM, Math.abs(steps[i]!.distanceM)) - finestM)
        expect(isFreeWith(vehicle, layout, steps, i, -shortM - Math.max(finestM, shortM / 2))).toBe(false);
    });
  },
);

it('says which marker is level with what, on which side, and how far it is off', () => {
  const cone = (x: number, y: number) => ({ markers: [{ id: 'A', kind: 'cone' as const, x, y }] });
  const here = standing({ x: 0, y: 0, heading: 0 });
  expect(linesUp(car, here, cone(1.95, 3))[0]).toMatchObject({ marker: 'A', side: 'left', feature: 'door-mirror' });
  expect(linesUp(car, here, cone(1.95, 3))[0]!.aheadM).toBeCloseTo(0.1, 9);
  expect(linesUp(car, here, cone(0.95, -4))[0]).toMatchObject({ side: 'right', feature: 'door-handle' });
  expect(linesUp(car, here, cone(-3, 3))).toEqual([]);
  // The same, turned with the car.
  expect(linesUp(car, standing({ x: 0, y: 0, heading: Math.PI / 2 }), cone(-3, 1.95))[0]).toMatchObject({
    side: 'left',
  });
});

// By similar triangles: eye 1.2 m up, 0.5 m from the side, window edge at 0.95 m. Ground is seen from 2.4 m out.
it('sees over the window edge only what is far enough out', () => {
  const seat = { ...car, eye: { aheadM: 1.2, leftM: 0.375, heightM: 1.2 } };
  expect(seenBeside(seat, { x: 1, y: 0.375 + 2.3 }, 0)).toBe(false);
  expect(seenBeside(seat, { x: 1, y: 0.375 + 2.5 }, 0)).toBe(true);
  // On the far side the edge of the window is further away, and the ground behind it too.
  expect(seenBeside(seat, { x: 1, y: 0.375 - 5 }, 0)).toBe(false);
  expect(seenBeside(seat, { x: 1, y: 0.375 - 6.1 }, 0)).toBe(true);
});
