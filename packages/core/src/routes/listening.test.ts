import { deviceStyle, leadAt } from '@jasperwren/roads/directions/calls';
import type { PlacedCall, ReadLeg } from './read-route';
import { heardCalls, heardQuestions, kmhAt, limitAt } from './listening';

const turn = (metres: number, more: Partial<PlacedCall> = {}): PlacedCall =>
  ({
    at: metres - 150,
    distance: 150,
    nth: 1,
    decision: { kind: 'turn', turn: 'left', metres, after: metres + 5, edge: 1 },
    ...more,
  }) as PlacedCall;
const ring = (metres: number, exit: number, exits: number): PlacedCall =>
  turn(metres, {
    decision: { kind: 'roundabout', turn: 'right', exit, exits, ring: 40, metres, after: metres + 30, edge: 1 },
  } as Partial<PlacedCall>);
const leg = (mode: ReadLeg['mode'], from: number, to: number): ReadLeg => ({
  mode,
  from,
  to,
  fromSeconds: from / 10,
  toSeconds: to / 10,
});
/** 36 km/h from end to end. */
const pace = [
  [0, 0],
  [3000, 300],
] as const;

describe('the calls of a route as they are heard', () => {
  const legs = [leg('directions', 0, 1000), leg('signs', 1000, 1500), leg('device', 1500, 3000)];
  const calls = [turn(400), turn(1200), turn(2000), turn(2100)];
  const heard = heardCalls({ calls, legs, pace }, Infinity, deviceStyle);

  it('are the instructor’s where directions are given, the sat nav’s on its legs, and none where signs lead', () => {
    expect(heard.map(({ speaker, call }) => [speaker, call.decision.metres])).toEqual([
      ['instructor', 400],
      ['device', 2000],
      ['device', 2100],
    ]);
  });

  it('come at the time of whoever speaks, and never before the junction that is passed', () => {
    expect([heard[0]!.at, heard[0]!.distance]).toEqual([250, 150]);
    const lead = leadAt(deviceStyle, 36);
    expect(heard[1]!.at).toBeCloseTo(2000 - lead, 6);
    expect(heard[1]!.distance).toBeCloseTo(lead, 6);
    expect(heard[2]!.at).toBe(2015);
    expect(heard[2]!.distance).toBe(85);
  });

  it('miscount one exit where a roundabout has three or more, and say another one then', () => {
    const rings = {
      calls: [ring(500, 1, 2), ring(900, 2, 4), ring(1400, 4, 4)],
      legs: [leg('directions', 0, 3000)],
      pace,
    };
    expect(heardCalls(rings, 0, deviceStyle).map(({ miscounted }) => miscounted)).toEqual([undefined, 3, undefined]);
    expect(heardCalls(rings, 1, deviceStyle).map(({ miscounted }) => miscounted)).toEqual([undefined, undefined, 3]);
    expect(heardCalls(rings, 2, deviceStyle).some(({ miscounted }) => miscounted !== undefined)).toBe(false);
  });
});

describe('what a heard call asks', () => {
  it('is lane, signal and opening in the order they are done, for both junctions of a pair', () => {
    const pair = turn(400, {
      decision: {
        ...ring(400, 2, 4).decision,
        lanes: { use: [1], of: 2 },
      },
      then: { kind: 'turn', turn: 'right', metres: 460, after: 465, edge: 3 },
    });
    const [heard] = heardCalls({ calls: [pair], legs: [leg('directions', 0, 900)], pace }, Infinity, deviceStyle);
    expect(heardQuestions(heard!, 'left').map(({ kind, of }) => [of, kind])).toEqual([
      ['first', 'lane'],
      ['first', 'signal'],
      ['first', 'exit'],
      ['then', 'way'],
    ]);
  });
});

describe('speed and limit beside the arrow', () => {
  it('follow from the pace of the roads and their limits', () => {
    expect(kmhAt(pace, 500)).toBeCloseTo(36, 6);
    expect(kmhAt(pace, 0)).toBeCloseTo(36, 6);
    const limits = [
      [0, 50],
      [800, 80],
    ] as const;
    expect([limitAt(limits, 799), limitAt(limits, 800), limitAt([], 10)]).toEqual([50, 80, undefined]);
  });
});
