import { wrapAngle } from '../geometry';
import { standing } from '../moves/roll';
import { driveSteps } from '../moves/steps';
import { vehicleClasses } from '../vehicle/classes';
import { bendsOf } from './bends';
import { afterPart, bendBy, gearOf, heldParts, metresOf, trailerWays, type TrailerPart } from './trailer-ways';

const towing = vehicleClasses['car-with-trailer'];
const bends = bendsOf(towing, 0.25);
const origin = { x: 0, y: 0, heading: 0 };

/** Where the whole is after some parts, driven centimetre by centimetre. */
const driven = (parts: readonly TrailerPart[]) => driveSteps(towing, standing(origin), parts.flatMap(heldParts), 0.01);

it('bends to both sides and in both directions, the trailer in line before and after', () => {
  expect(new Set(bends.map(({ gear, hitch }) => `${gear} ${Math.sign(hitch)}`)).size).toBe(4);
  for (const bend of bends) {
    const parts = [{ bend, holdM: 2 }];
    const way = driven(parts);
    expect(way.at(-1)!.hitch).toBeCloseTo(0, 6);
    expect(Math.max(...way.map(({ hitch }) => Math.abs(hitch)))).toBeCloseTo(Math.abs(bend.hitch), 6);
    expect(way.at(-1)!.wayM).toBeCloseTo(metresOf(parts[0]!), 9);
    const end = afterPart(origin, parts[0]!);
    expect(way.at(-1)!.pose.x).toBeCloseTo(end.x, 9);
    expect(way.at(-1)!.pose.y).toBeCloseTo(end.y, 9);
    for (const { steerDeg } of parts.flatMap(heldParts)) expect(Math.abs(steerDeg)).toBeLessThan(towing.lockDeg + 1e-9);
  }
});

it('turns by the angle that is asked, or says that it turns further without being held', () => {
  for (const bend of bends) {
    const side = Math.sign(bend.turnsPerM);
    const part = bendBy(bend, side * 1.5)!;
    expect(wrapAngle(driven([part]).at(-1)!.pose.heading)).toBeCloseTo(side * 1.5, 9);
    expect(bendBy(bend, -side)).toBeUndefined();
  }
});

it.each([
  ['square to where it stands', { x: -14, y: -13, heading: Math.PI / 2 }],
  ['beside where it stands', { x: -30, y: 4, heading: 0 }],
  ['askew', { x: -22, y: 3, heading: -0.5 }],
])('leads to a goal %s, the trailer in line', (_, to) => {
  const ways = [...trailerWays(origin, { kind: 'poses', poses: [to] }, bends, true)];
  expect(ways.length).toBeGreaterThan(20);
  // Going back what is left of an angle grows by a factor of e with each drawbar: of long ways nothing can be said.
  const short = ways.filter((parts) => parts.reduce((sum, part) => sum + metresOf(part), 0) < 45);
  expect(short.length).toBeGreaterThan(5);
  for (const parts of short) {
    const { pose, hitch } = driven(parts).at(-1)!;
    expect(pose.x).toBeCloseTo(to.x, 4);
    expect(pose.y).toBeCloseTo(to.y, 4);
    expect(wrapAngle(pose.heading - to.heading)).toBeCloseTo(0, 6);
    expect(Math.abs(hitch)).toBeLessThan(1e-3);
  }
  expect(ways.some((parts) => parts.every((part) => gearOf(part) === -1))).toBe(true);
});

it('goes straight to what lies straight behind, and round to a direction', () => {
  const behind = { x: -12, y: 0, heading: 0 };
  expect([...trailerWays(origin, { kind: 'poses', poses: [behind] }, bends, false)]).toContainEqual([
    { straightM: -12 },
  ]);
  const round = [...trailerWays(origin, { kind: 'heading', heading: Math.PI }, bends, false)];
  expect(round.length).toBeGreaterThan(0);
  for (const parts of round) expect(Math.abs(driven(parts).at(-1)!.pose.heading)).toBeCloseTo(Math.PI, 9);
});
