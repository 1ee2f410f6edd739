import fc from 'fast-check';
import { amberZone, atAmber, firmMps2, speedsWithoutDilemma, usualAmber } from './amber';
import {
  awayOn,
  brakingOn,
  dryAndLevel,
  surfaces,
  tableBrakingMps2,
  tableReactionS,
  usualAwayMps2,
  type Road,
  type Surface,
} from './road';
import {
  brakingRoundBend,
  countdownSeconds,
  gapNeeded,
  gripRoundBend,
  sightRoundBend,
  speedRoundBend,
  wayIn,
} from './seeing';
import { inWhole, speedAfter, speedToStopWithin, stoppingDistance } from './stopping';
import { metresPerFoot, mpsPerMph } from './units';

const attentive = { reactionS: tableReactionS, clutchFirstS: 0 };
const speed = fc.double({ min: 0.5, max: 45, noNaN: true });
const on = (surface: Surface, slopePercent = 0): Road => ({ surface, slopePercent });

// The Highway Code (Great Britain), rule 126; from memory: metres and feet of thinking, braking and both.
it.each([
  [20, [6, 6, 12], [20, 20, 40]],
  [30, [9, 14, 23], [30, 45, 75]],
  [40, [12, 24, 36], [40, 80, 120]],
  [50, [15, 38, 53], [50, 125, 175]],
  [60, [18, 55, 73], [60, 180, 240]],
  [70, [21, 75, 96], [70, 245, 315]],
])('at %i mph stops as the published table says, in metres and in feet', (mph, metres, feet) => {
  const stop = stoppingDistance(mph * mpsPerMph, attentive)!;
  const parts = (of: number) => {
    const { thinking, braking, total } = inWhole(stop, of);
    return [thinking, braking, total];
  };
  expect(parts(1)).toEqual(metres);
  expect(parts(metresPerFoot)).toEqual(feet);
});

it('is twice as long to brake in the wet and ten times on ice, and thinking takes no longer', () => {
  const at = (surface: Surface) => stoppingDistance(20, attentive, on(surface))!;
  expect(at('wet').brakingM).toBeCloseTo(2 * at('dry').brakingM, 9);
  expect(at('ice').brakingM).toBeCloseTo(10 * at('dry').brakingM, 9);
  expect(at('ice').thinkingM).toBe(at('dry').thinkingM);
});

// Energy: m v2 / 2 = m (a + g sin) s.
it('stops sooner uphill, later downhill, and not at all on ice that is steep enough', () => {
  const along = (slopePercent: number) => stoppingDistance(20, attentive, on('wet', slopePercent))!.brakingM;
  expect(along(10)).toBeCloseTo(200 / (tableBrakingMps2 / 2 + 9.80665 * Math.sin(Math.atan(0.1))), 9);
  expect(along(-10)).toBeGreaterThan(along(0));
  // Ice gives 0.656 m/s2: sin of the slope 0.067.
  expect(stoppingDistance(5, attentive, on('ice', -6))).toBeDefined();
  expect(stoppingDistance(5, attentive, on('ice', -7))).toBeUndefined();
  expect(speedToStopWithin(500, attentive, on('ice', -7))).toBe(0);
  expect(speedAfter(5, 100, attentive, on('ice', -7))).toBeGreaterThan(5);
});

it('costs the way of the clutch to press it first', () => {
  const [brake, clutch] = [
    stoppingDistance(13.4, attentive)!,
    stoppingDistance(13.4, { ...attentive, clutchFirstS: 0.5 })!,
  ];
  expect(clutch.totalM - brake.totalM).toBeCloseTo(6.7, 9);
  expect(clutch.clutchM).toBeCloseTo(6.7, 9);
});

it('agrees with small steps of time', () => {
  const ds = 1e-4;
  let [v, way, t] = [15, 0, 0];
  while (v > 0) {
    way += v * ds;
    t += ds;
    if (t > attentive.reactionS) v -= tableBrakingMps2 * ds;
  }
  const stop = stoppingDistance(15, attentive)!;
  expect(way).toBeCloseTo(stop.totalM, 2);
  expect(t).toBeCloseTo(stop.seconds, 2);
});

it('stops within a distance from exactly the speed that it gives for it, on every road', () => {
  const road = fc.record({
    surface: fc.constantFrom(...(Object.keys(surfaces) as Surface[])),
    slopePercent: fc.integer({ min: -25, max: 25 }),
  });
  fc.assert(
    fc.property(speed, road, (mps, there) => {
      const stop = stoppingDistance(mps, attentive, there);
      if (!stop) return expect(brakingOn(there)).toBeLessThanOrEqual(0);
      expect(speedToStopWithin(stop.totalM, attentive, there) / mps).toBeCloseTo(1, 6);
      expect(speedAfter(mps, stop.totalM, attentive, there)).toBeCloseTo(0, 3);
      expect(speedAfter(mps, 0, attentive, there)).toBe(mps);
    }),
  );
});

// Gazis, Herman, Maradudin, Operations Research 8 (1960): both distances at several speeds.
it('finds where neither stopping nor clearing works, and its edges', () => {
  const amber = { amberS: 3, junctionM: 20, vehicleM: 4 };
  const braking = { afterS: 1, brakingMps2: 3 };
  // 10 m/s: stop 10 + 100/6 = 26.667 m; clear 30 - 24 = 6 m.
  const slow = amberZone(10, amber, braking);
  expect(slow.stopM).toBeCloseTo(26.667, 3);
  expect(slow.clearM).toBeCloseTo(6, 9);
  expect(slow.zone).toMatchObject({ kind: 'neither', fromM: 6 });
  expect(amberZone(12, { ...amber, amberS: 6 }, braking).zone?.kind).toBe('either');
  // Too slow to clear from anywhere: from 0 on.
  expect(amberZone(5, amber, braking).zone).toMatchObject({ kind: 'neither', fromM: 0 });
});

it('has no dilemma between the two speeds that are the roots, and has one outside them', () => {
  const amber = { ...usualAmber, amberS: 6 };
  const braking = { afterS: 0.9, brakingMps2: firmMps2 };
  const [from, to] = speedsWithoutDilemma(amber, braking)!;
  for (const root of [from, to]) {
    const { stopM, clearM } = amberZone(root, amber, braking);
    expect(stopM).toBeCloseTo(clearM, 6);
  }
  expect(amberZone((from + to) / 2, amber, braking).zone?.kind).toBe('either');
  expect(amberZone(from * 0.9, amber, braking).zone?.kind).toBe('neither');
  expect(amberZone(to * 1.1, amber, braking).zone?.kind).toBe('neither');
  expect(speedsWithoutDilemma({ ...amber, amberS: 2 }, braking)).toBeUndefined();
});

it('takes an amber on the road and with the driver that there are: never nearer than the car can stop', () => {
  const slow = { reactionS: 2, clutchFirstS: 0.5 };
  expect(atAmber(slow, dryAndLevel)).toEqual({ afterS: 2.5, brakingMps2: firmMps2 });
  fc.assert(
    fc.property(speed, fc.constantFrom(...(Object.keys(surfaces) as Surface[])), (mps, surface) => {
      const { stopM } = amberZone(mps, usualAmber, atAmber(slow, on(surface)));
      expect(stopM).toBeGreaterThanOrEqual(stoppingDistance(mps, slow, on(surface))!.totalM - 1e-9);
    }),
  );
  expect(amberZone(8, usualAmber, atAmber(slow, on('ice', -10))).stopM).toBe(Infinity);
  expect(speedsWithoutDilemma(usualAmber, atAmber(slow, on('ice', -10)))).toBeUndefined();
});

it('gets away as the driven wheels and the slope allow', () => {
  expect(awayOn(dryAndLevel, usualAwayMps2)).toBe(usualAwayMps2);
  expect(awayOn(on('ice'), usualAwayMps2)).toBeCloseTo(tableBrakingMps2 / 20, 9);
  expect(awayOn(on('ice', 5), usualAwayMps2)).toBeLessThan(0);
  expect(gapNeeded({ reactionS: 1, accelerationMps2: -0.1, wayM: 9, trafficMps: 13, joins: true })).toBeUndefined();
});

it('goes five seconds of signalling, and counts the markers down', () => {
  expect(wayIn(30 * mpsPerMph, 5)).toBeCloseTo(67.06, 2);
  const seconds = countdownSeconds(70 * mpsPerMph);
  expect(seconds[0]).toBeCloseTo(274.32 / 31.2928, 6);
  expect(seconds[0]).toBeCloseTo(3 * seconds[2]!, 9);
});

it('needs a gap that lets a car cross, or get up to the speed of the traffic without slowing anybody', () => {
  const emerging = { reactionS: 1, accelerationMps2: 2, wayM: 9, trafficMps: 13, joins: false };
  expect(gapNeeded(emerging)).toEqual({ seconds: 4, metres: 52 });
  // Joining at 13 m/s and 2 m/s2: the one who follows comes u2 / 2a closer, and the second before.
  const { metres } = gapNeeded({ ...emerging, joins: true })!;
  expect(metres).toBeCloseTo(13 ** 2 / 4 + 13, 6);
});

it('sees round a bend along the way, and less the closer the hedge is', () => {
  // A quarter of the circle on either side at m = R (1 - cos 45 degrees).
  expect(sightRoundBend(40, 40 * (1 - Math.SQRT1_2))).toBeCloseTo((40 * Math.PI) / 2, 6);
  expect(sightRoundBend(40, 2)).toBeLessThan(sightRoundBend(40, 3));
  const alone = speedRoundBend(40, 3, false, attentive);
  expect(alone.by).toBe('sight');
  expect(alone.mps * attentive.reactionS + brakingRoundBend(alone.mps, 40, dryAndLevel)).toBeCloseTo(
    sightRoundBend(40, 3),
    3,
  );
  expect(speedRoundBend(40, 3, true, attentive).mps).toBeLessThan(alone.mps);
  // Steering takes its part of the grip: the straight road allows more.
  expect(alone.mps).toBeLessThan(speedToStopWithin(sightRoundBend(40, 3), attentive));
});

// In closed form on a level road: R / 2 arcsin(v2 / (a R)), from v dv / sqrt(a2 - v4 / R2).
it('brakes round a bend with what the bend leaves of the grip', () => {
  for (const part of [0.3, 0.7, 0.95]) {
    const mps = part * gripRoundBend(60, dryAndLevel);
    expect(brakingRoundBend(mps, 60, dryAndLevel)).toBeCloseTo(30 * Math.asin(mps ** 2 / (tableBrakingMps2 * 60)), 2);
  }
  expect(brakingRoundBend(4, 60, on('ice', -7))).toBe(Infinity);
});

it('never gives a speed round a bend that the tyres do not hold', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 8, max: 400, noNaN: true }),
      fc.double({ min: 0.01, max: 0.9, noNaN: true }),
      fc.constantFrom(...(Object.keys(surfaces) as Surface[])),
      (radius, part, surface) => {
        const { mps, by } = speedRoundBend(radius, part * radius, false, attentive, on(surface));
        const most = gripRoundBend(radius, on(surface));
        expect(mps).toBeLessThanOrEqual(most);
        if (by === 'grip') expect(mps).toBe(most);
      },
    ),
  );
  // Seen far enough, it is the tyres.
  expect(speedRoundBend(20, 15, false, attentive, on('dry')).by).toBe('grip');
});
