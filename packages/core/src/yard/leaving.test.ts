import fc from 'fast-check';
import type { LeavingStep } from '../marking/exercise';
import { startLeaving } from './leaving';
import type { Moment } from './moment';

const order: readonly LeavingStep[] = ['parking-brake', 'gear', 'engine', 'belt', 'door'];

/** A car that stands with nothing done yet. */
const standing = { way: 0, parkingBrake: false, gear: '1', engine: true, belt: true, door: false } as const;
const done: Readonly<Record<LeavingStep, Partial<Moment>>> = {
  'parking-brake': { parkingBrake: true },
  gear: { gear: 'N' },
  engine: { engine: false },
  belt: { belt: false },
  door: { door: true },
};

/** Leaves the car in an order, a step a second. */
function left(steps: readonly LeavingStep[], begin: Partial<Moment> = standing) {
  const leaving = startLeaving();
  let now = { ...begin, at: 0 } as Moment;
  leaving.follow(now);
  steps.forEach((step, i) => {
    now = { ...now, ...done[step], at: (i + 1) * 1000 };
    leaving.follow(now);
  });
  return leaving;
}

it('is in order in that order, and in no other', () => {
  expect(left(order).inOrder(order)).toBe(true);
  fc.assert(
    fc.property(fc.shuffledSubarray([...order], { minLength: order.length }), (steps) => {
      expect(left(steps).inOrder(order)).toBe(steps.every((step, i) => step === order[i]));
    }),
  );
});

it('is in order as far as it has come, unless a step was left out', () => {
  expect(left(order.slice(0, 1)).inOrder(order.slice(0, 1))).toBe(true);
  for (const missing of order.slice(1)) {
    const steps = order.filter((step) => step !== missing);
    expect(left(steps).inOrder(order)).toBe(false);
    expect(left(steps).inOrder(steps)).toBe(true);
  }
});

it('passes over what no sensor tells', () => {
  const { gear, ...withoutGear } = standing;
  expect(gear).toBe('1');
  const steps = order.filter((step) => step !== 'gear');
  expect(left(steps, withoutGear).inOrder(order)).toBe(true);
});

it('takes P for out of gear as well as N', () => {
  const leaving = startLeaving();
  leaving.follow({ ...standing, at: 0 });
  leaving.follow({ ...standing, at: 1000, gear: 'P' });
  expect(leaving.since()).toBe(1000);
});

it('begins anew where the car moves off again, and where a step is taken back', () => {
  const leaving = left(order.slice(0, 2));
  expect(leaving.since()).toBe(1000);
  leaving.follow({ ...standing, parkingBrake: true, gear: 'N', at: 3000, way: 1 });
  expect(leaving.since()).toBeUndefined();
  leaving.follow({ ...standing, parkingBrake: true, gear: 'N', at: 4000 });
  expect(leaving.since()).toBe(4000);
  // The brake is let off and put on once more, after the gear: that is not the order.
  leaving.follow({ ...standing, gear: 'N', at: 5000 });
  leaving.follow({ ...standing, parkingBrake: true, gear: 'N', at: 6000 });
  expect(leaving.inOrder(['parking-brake', 'gear'])).toBe(false);
});

it('says when the first step was done, and nothing before', () => {
  expect(left([]).since()).toBeUndefined();
  expect(left(['belt', 'door']).since()).toBe(1000);
});
