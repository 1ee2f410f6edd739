import { layOut } from '../layout/exercises';
import { mirrored, type Layout } from '../layout/layout';
import { standing } from '../moves/roll';
import { driveSteps } from '../moves/steps';
import { leastRadius } from '../vehicle/turning';
import { vehicleClasses } from '../vehicle/classes';
import { offPlace } from './in-place';
import { followRule, mirroredRule, thingsOf, whatHelps, type Rule } from './rule-of-thumb';

const { car, van } = vehicleClasses;
const bay = layOut({ code: 'bay-reverse', side: 'right', space: { bayM: 2.8, aisleM: 8, depthM: 6 } }, van);
/** A cone where the shoulder of the car is as it should turn in: its rear axle as far from the bay as its circle is wide. */
const turnIn = leastRadius(car) + car.eyeAheadM;
const yard: Layout = {
  ...bay,
  start: { ...bay.start, x: bay.start.x + 3 },
  markers: [...bay.markers, { id: 'T', kind: 'cone', x: turnIn, y: bay.start.y + 2.5 }],
};
const rule: Rule = [
  { lock: 0, back: true, until: { kind: 'level', feature: 'shoulder', thing: 'T' } },
  { lock: -1, back: true, until: { kind: 'in-line' } },
  { lock: 0, back: true, until: { kind: 'in-place' } },
];

it('follows a rule to the letter: it ends in the bay of the car that it was made for', () => {
  const followed = followRule(car, yard, rule);
  expect(followed.outcome).toBe('works');
  const end = driveSteps(car, standing(yard.start), followed.steps).at(-1)!;
  // The axle stands where the circle put it: in the middle of the bay.
  expect(end.pose.x).toBeCloseTo(0, 1);
  expect(offPlace(car, end, yard)).toBeUndefined();
  expect(whatHelps(car, yard, rule)).toBeUndefined();
});

it('does not work in the van, and says how much earlier the turn would have to begin', () => {
  expect(followRule(van, yard, rule).outcome).not.toBe('works');
  const helps = whatHelps(van, yard, rule);
  // The seat of the van is further ahead and its circle wider: by their sum, within what the bay forgives.
  const earlier = van.eyeAheadM + leastRadius(van) - turnIn;
  expect(helps).toMatchObject({ kind: 'later', part: 0 });
  expect(-(helps as { laterM: number }).laterM).toBeGreaterThan(earlier - 0.45);
  expect(-(helps as { laterM: number }).laterM).toBeLessThan(earlier + 0.45);
});

it('says the same of the other side', () => {
  const [one, other] = [followRule(car, yard, rule), followRule(car, mirrored(yard), mirroredRule(rule))];
  expect(other.outcome).toBe(one.outcome);
  expect(other.closest!.gapM).toBeCloseTo(one.closest!.gapM, 9);
});

it('says in which part what is touched', () => {
  const early: Rule = [{ lock: 0, back: true, until: { kind: 'metres', metres: 3 } }, ...rule.slice(1)];
  expect(followRule(car, yard, early)).toMatchObject({ outcome: 'touches', part: 1 });
});

it('says which part never ends, and that a vehicle stands elsewhere in the end', () => {
  expect(
    followRule(car, yard, [{ ...rule[0]!, until: { kind: 'level', feature: 'shoulder', thing: 'Q' } }]),
  ).toMatchObject({
    outcome: 'never',
    part: 0,
  });
  expect(followRule(car, yard, rule.slice(0, 1)).outcome).toBe('outside');
  expect(followRule(car, yard, [{ lock: 0, back: true, until: { kind: 'metres', metres: 0 } }]).outcome).toBe(
    'outside',
  );
});

it('asks for more lock where no other place to begin the turn helps', () => {
  // 20 degrees make a circle 2.8 m wider: more than two metres and what the bay forgives.
  const weak = { ...car, lockDeg: 20 };
  expect(followRule(weak, yard, rule).outcome).not.toBe('works');
  const helps = whatHelps(weak, yard, rule);
  expect(helps).toMatchObject({ kind: 'lock' });
  const { moreDeg } = helps as { moreDeg: number };
  expect(followRule({ ...weak, lockDeg: 20 + moreDeg }, yard, rule).outcome).toBe('works');
  expect(followRule({ ...weak, lockDeg: 20 + moreDeg - 1 }, yard, rule).outcome).not.toBe('works');
});

it('knows what a rule can name', () => {
  expect(thingsOf(yard)).toEqual(['A', 'B', 'C', 'D', 'T']);
  expect(thingsOf(layOut({ code: 'parallel', side: 'left', space: {} }, car))).toContain('car-ahead-1');
});
