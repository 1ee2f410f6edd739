import { timedYard } from '../marking/testing-standards';
import type { Exercise } from '../marking/exercise';
import type { Moment, Step } from './moment';
import { followBay, isBay, startsNow, startStay } from './stay';
import { thresholds } from './signs';

const garage = timedYard.exercises.find(({ code }) => code === 'garage-bay')!;
const at = (now: Partial<Moment>) => ({ now: { at: 0, way: 0, ...now } }) as Step;
const starts = (exercise: Partial<Exercise>, now: Partial<Moment>) =>
  startsNow(startStay({ ...garage, ...exercise }, 0), at(now));

describe('when the clock of an exercise starts', () => {
  it.each([
    ['entry', {}, true],
    ['right-indicator', { indicator: 'right' }, true],
    ['right-indicator', { indicator: 'left' }, false],
    ['left-indicator', { indicator: 'left' }, true],
    ['reverse-gear', { gear: 'R' }, true],
    ['reverse-gear', { gear: '1' }, false],
    ['rolling', { way: -1 }, true],
    ['rolling', { way: 0 }, false],
  ] as const)('at %s: %j %s', (startsAt, now, is) => {
    expect(starts({ startsAt }, now)).toBe(is);
  });

  it('at the latest as the car is in the bay, whatever was forgotten', () => {
    expect(starts({ startsAt: 'right-indicator' }, { inside: 0.01 })).toBe(true);
    expect(starts({ startsAt: 'right-indicator' }, { inside: 0 })).toBe(false);
  });

  it('once, and at the entry where nothing is said', () => {
    const { startsAt, ...unsaid } = garage;
    expect(startsAt).toBe('reverse-gear');
    const stay = startStay(unsaid, 0);
    expect(startsNow(stay, at({}))).toBe(true);
    stay.started = true;
    expect(startsNow(stay, at({}))).toBe(false);
  });
});

describe('whether the car is parked in its bay', () => {
  const followed = (...moments: readonly Partial<Moment>[]) => {
    const stay = startStay(garage, 0);
    for (const now of moments) followBay(stay, { at: 0, way: 0, ...now });
    return stay;
  };

  it('it is once it has stood inside for long enough, and not a moment sooner', () => {
    const inside = thresholds.parkedInside;
    expect(followed({ at: 0, inside }, { at: thresholds.parkedAfter - 1, inside })).toMatchObject({ parked: false });
    expect(followed({ at: 0, inside }, { at: thresholds.parkedAfter, inside })).toMatchObject({
      parked: true,
      parkedInside: true,
    });
    // A roll in between begins the wait anew.
    const rolled = followed(
      { at: 0, inside },
      { at: 1000, way: -1, inside },
      { at: 1500, inside },
      { at: thresholds.parkedAfter, inside },
    );
    expect(rolled.parked).toBe(false);
  });

  it('it is with the parking brake on, also not wholly inside', () => {
    expect(followed({ inside: thresholds.halfInside, parkingBrake: true })).toMatchObject({
      parked: true,
      parkedInside: false,
    });
    expect(followed({ inside: thresholds.halfInside - 0.01, parkingBrake: true })).toMatchObject({ parked: false });
  });

  it('remembers how far in it was, also as it comes out again', () => {
    expect(followed({ inside: 0.2, way: -1 }, { inside: 0.7, way: -1 }, { inside: 0.1, way: 1 })).toMatchObject({
      inside: 0.7,
      standsSince: undefined,
    });
  });

  it('only a bay is one', () => {
    expect(isBay(startStay(garage, 0))).toBe(true);
    const slope = timedYard.exercises.find(({ code }) => code === 'slope')!;
    expect(isBay(startStay(slope, 0))).toBe(false);
  });
});
