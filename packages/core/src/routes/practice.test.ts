import fc from 'fast-check';
import { practiceEvents, prepareSeconds, type PracticeKind } from './practice';
import type { PlacedCall, RouteReading } from './read-route';
import { between } from './along-line';

const call = (metres: number, decision: object): PlacedCall =>
  ({
    at: metres - 150,
    distance: 150,
    nth: 1,
    decision: { metres, after: metres, edge: 1, ...decision },
  }) as PlacedCall;
const turn = { kind: 'turn', turn: 'left' };
const ring = { kind: 'roundabout', turn: 'right', exit: 2, exits: 3, notExits: 0, ring: 60 };
/** 10 m/s all the way, with a new limit at 2 km. */
const route: Pick<RouteReading, 'calls' | 'limits' | 'pace'> = {
  calls: [
    call(500, turn),
    call(1000, ring),
    call(1500, turn),
    call(3000, turn),
    call(3500, { ...ring, exit: 1, exits: 1 }),
  ],
  limits: [
    [0, 48],
    [2000, 96],
    [2600, 64],
  ],
  pace: [
    [0, 0],
    [4000, 400],
  ],
};
const all: readonly PracticeKind[] = ['wrong-exit', 'late-call', 'wrong-limit', 'closed-road'];

describe('what goes wrong on a route', () => {
  it('is of every kind that the route has room for', () => {
    expect(new Set(practiceEvents(route, all, 1).map(({ kind }) => kind))).toEqual(new Set(all));
  });

  it('comes up in order, apart, once a junction, with one right answer among those offered', () => {
    fc.assert(
      fc.property(fc.integer(), fc.subarray([...all]), (seed, kinds) => {
        const events = practiceEvents(route, kinds, seed);
        expect(events).toEqual(practiceEvents(route, kinds, seed));
        events.forEach((event, i) => {
          expect(kinds).toContain(event.kind);
          if (i > 0) expect(event.at - events[i - 1]!.at).toBeGreaterThanOrEqual(150);
          if (event.kind === 'wrong-exit') {
            expect(event.said).not.toBe(event.right);
            expect(Math.min(event.said, event.right)).toBeGreaterThanOrEqual(1);
            expect(Math.max(event.said, event.right)).toBeLessThanOrEqual(event.exits);
          }
          if (event.kind === 'wrong-limit') {
            expect(event.choices).toEqual(expect.arrayContaining([event.said, event.right]));
            expect(new Set(event.choices).size).toBe(event.choices.length);
          }
          if ('call' in event) expect(event.at).toBeLessThan(event.call.decision.metres);
        });
        const calls = events.flatMap((event) => ('call' in event ? [event.call] : []));
        expect(new Set(calls).size).toBe(calls.length);
      }),
    );
  });

  it('is a late call that can be taken only where there is time to prepare', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        for (const event of practiceEvents(route, ['late-call'], seed)) {
          if (event.kind !== 'late-call') continue;
          const left = between(route.pace, event.call.decision.metres) - between(route.pace, event.at);
          expect(left).toBeCloseTo(event.seconds, 6);
          expect(event.right).toBe(left >= prepareSeconds ? 'take-it' : 'drive-on');
        }
      }),
    );
  });

  it('is the limit before where the device has not noticed the sign', () => {
    const events = practiceEvents(route, ['wrong-limit'], 3);
    expect(events.map((event) => event.kind === 'wrong-limit' && [event.at, event.said, event.right])).toEqual([
      [2025, 48, 96],
      [2625, 96, 64],
    ]);
  });
});
