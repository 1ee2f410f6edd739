import { layOut, type ExerciseCode } from '../layout/exercises';
import { polyline } from '../layout/layout';
import { standing } from '../moves/roll';
import { usualPlanOptions, type FoundPlan } from '../planner/plan';
import { planExercise } from '../planner/plan-exercise';
import { vehicleClasses } from '../vehicle/classes';
import type { Vehicle } from '../vehicle/vehicle';
import { linesUp, seenBeside, underBonnet, underMirror } from './lines-up';
import { wronglyForgiven } from './testing-references';
import { references } from './tolerance';

const { car, van, 'car-with-trailer': towing } = vehicleClasses;
const cases: readonly (readonly [string, ExerciseCode, Vehicle])[] = [
  [car.kind, 'bay-reverse', car],
  [car.kind, 'straight-reverse', car],
  [van.kind, 'alley-dock', van],
  // The steps after the one that is off are ended by the angle of the trailer.
  [towing.kind, 'bay-reverse', towing],
];

it.each(cases)(
  '%s, %s: at the edge of what a step forgives nothing is touched, and half as much again touches',
  (_, code, vehicle) => {
    const spec = { code, side: 'left' as const, space: {} };
    const layout = layOut(spec, vehicle);
    const { steps } = planExercise(vehicle, spec, usualPlanOptions) as FoundPlan;
    expect(references(vehicle, layout, steps)).toHaveLength(steps.length);
    expect(wronglyForgiven(vehicle, layout, steps)).toEqual([]);
  },
);

it('says which marker is level with what, on which side, and how far it is off', () => {
  const cone = (x: number, y: number) => ({ markers: [{ id: 'A', kind: 'cone' as const, x, y }], edges: [] });
  const here = standing({ x: 0, y: 0, heading: 0 });
  expect(linesUp(car, here, cone(1.95, 3))[0]).toMatchObject({ thing: 'A', side: 'left', feature: 'door-mirror' });
  expect(linesUp(car, here, cone(1.95, 3))[0]!.offM).toBeCloseTo(0.1, 9);
  expect(linesUp(car, here, cone(0.95, -4))[0]).toMatchObject({ side: 'right', feature: 'door-handle' });
  expect(linesUp(car, here, cone(-3, 3))).toEqual([]);
  // The same, turned with the car.
  expect(linesUp(car, standing({ x: 0, y: 0, heading: Math.PI / 2 }), cone(-3, 1.95))[0]).toMatchObject({
    side: 'left',
  });
});

// By similar triangles: eye 1.2 m up, 0.5 m from the side, window edge at 0.95 m. Ground is seen from 2.4 m out.
it('sees over the window edge only what is far enough out', () => {
  const seat = { ...car, eyeLeftM: 0.375, eyeHeightM: 1.2 };
  expect(seenBeside(seat, { x: 1, y: 0.375 + 2.3 }, 0)).toBe(false);
  expect(seenBeside(seat, { x: 1, y: 0.375 + 2.5 }, 0)).toBe(true);
  // On the far side the edge of the window is further away, and the ground behind it too.
  expect(seenBeside(seat, { x: 1, y: 0.375 - 5 }, 0)).toBe(false);
  expect(seenBeside(seat, { x: 1, y: 0.375 - 6.1 }, 0)).toBe(true);
});

// By similar triangles, level with the ground: eye 1.2 m, bonnet edge 0.98 m high and 1.8 m ahead of it: 1.8 / 0.22 * 1.2.
it('knows where the ground goes under the bonnet and under a mirror', () => {
  expect(underBonnet(car)!.x - car.eyeAheadM).toBeCloseTo((1.8 / 0.22) * 1.2, 9);
  expect(underBonnet({ ...car, bonnetHeightM: 1.3 })).toBeUndefined();
  const left = underMirror({ ...car, sillM: 0.8 }, 'left')!;
  expect(left.y).toBeGreaterThan(car.mirrorWidthM / 2);
  // A window edge above the mirror hides what is under it.
  expect(underMirror({ ...car, sillM: 1.19 }, 'left')).toBeUndefined();
});

it('lines up with the ends of a parked car that it does not hide itself', () => {
  const corners = [
    { x: car.mirrorAheadM, y: 2 },
    { x: car.mirrorAheadM, y: 3.7 },
    { x: 6, y: 3.7 },
    { x: 6, y: 2 },
    { x: car.mirrorAheadM, y: 2 },
  ];
  const edges = polyline('parked', 'wall', corners);
  const level = (x: number) =>
    linesUp(car, standing({ x, y: 0, heading: 0 }), { markers: [], edges }).filter(
      ({ feature }) => feature === 'door-mirror',
    );
  // Beside its rear end both corners of that end are in sight; beside its front end the near one alone.
  expect(level(0).map(({ thing }) => thing)).toEqual(['parked-1', 'parked-2']);
  expect(level(6 - car.mirrorAheadM).map(({ thing }) => thing)).toEqual(['parked-4']);
  expect(level(0)[0]).toMatchObject({ kind: 'wall', side: 'left', offM: 0 });
});

it('says which line goes under the mirror or the bonnet, and which pole stands between mirror and pillar', () => {
  const here = standing({ x: 0, y: 0, heading: 0 });
  const seen = { ...car, sillM: 0.8 };
  const under = underMirror(seen, 'left')!;
  const across = { x: under.x, y: 0 };
  const line = { id: 'bay', kind: 'line' as const, from: across, to: { x: under.x, y: 9 } };
  expect(linesUp(seen, here, { markers: [], edges: [line] })[0]).toMatchObject({
    feature: 'mirror-edge',
    side: 'left',
  });
  const ahead = underBonnet(car)!.x + 0.1;
  const kerb = { id: 'far', kind: 'kerb' as const, from: { x: ahead, y: -9 }, to: { x: ahead, y: 9 } };
  const [first] = linesUp(car, here, { markers: [], edges: [kerb] });
  expect(first).toMatchObject({ feature: 'bonnet-edge', thing: 'far' });
  expect(first!.offM).toBeCloseTo(0.1, 9);
  const poles = Array.from({ length: 60 }, (_, i) => ({
    id: `P${i}`,
    kind: 'pole' as const,
    x: 1.2 + 3 * Math.cos((i * Math.PI) / 120),
    y: 0.37 + 3 * Math.sin((i * Math.PI) / 120),
  }));
  const between = linesUp(car, here, { markers: poles, edges: [] }).filter(({ feature }) => feature === 'pillar-gap');
  // From the middle of the pillar's width to the inner edge of the mirror: 38 to 44 degrees from the eye.
  expect(between.map(({ thing }) => Number(thing.slice(1)) * 1.5)).not.toEqual([]);
  for (const { thing } of between) {
    expect(Number(thing.slice(1)) * 1.5).toBeGreaterThan(36);
    expect(Number(thing.slice(1)) * 1.5).toBeLessThan(46);
  }
});
