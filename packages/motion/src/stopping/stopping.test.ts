import fc from 'fast-check';
import { amberZone, speedsWithoutDilemma, usualAmber } from './amber';
import { countdownSeconds, gapNeeded, sightRoundBend, speedRoundBend, wayIn } from './seeing';
import {
  mpsPerMph,
  speedAfter,
  speedToStopWithin,
  stoppingDistance,
  surfaces,
  tableReactionS,
  type Surface,
} from './stopping';

const attentive = { reactionS: tableReactionS, clutchFirstS: 0 };
const speed = fc.double({ min: 0.5, max: 45, noNaN: true });

// The Highway Code (Great Britain), rule 126; from memory.
it.each([
  [20, 6, 6],
  [30, 9, 14],
  [40, 12, 24],
  [50, 15, 38],
  [60, 18, 55],
  [70, 21, 75],
])('at %i mph thinks for %i m and brakes for %i m, within a metre', (mph, thinking, braking) => {
  const stop = stoppingDistance(mph * mpsPerMph, attentive);
  expect(Math.abs(stop.thinkingM - thinking)).toBeLessThan(1);
  expect(Math.abs(stop.brakingM - braking)).toBeLessThan(1);
  expect(Math.abs(stop.totalM - thinking - braking)).toBeLessThan(1);
});

it('is twice as long to brake in the wet and ten times on ice, and thinking takes no longer', () => {
  const at = (surface: Surface) => stoppingDistance(20, attentive, surface);
  expect(at('wet').brakingM).toBeCloseTo(2 * at('dry').brakingM, 9);
  expect(at('ice').brakingM).toBeCloseTo(10 * at('dry').brakingM, 9);
  expect(at('ice').thinkingM).toBe(at('dry').thinkingM);
});

it('costs the way of the clutch to press it first', () => {
  const [brake, clutch] = [
    stoppingDistance(13.4, attentive),
    stoppingDistance(13.4, { ...attentive, clutchFirstS: 0.5 }),
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
    if (t > attentive.reactionS) v -= 6.57 * ds;
  }
  const stop = stoppingDistance(15, attentive);
  expect(way).toBeCloseTo(stop.totalM, 2);
  expect(t).toBeCloseTo(stop.seconds, 2);
});

it('stops within a distance from exactly the speed that it gives for it, on every surface', () => {
  fc.assert(
    fc.property(speed, fc.constantFrom(...(Object.keys(surfaces) as Surface[])), (mps, surface) => {
      const { totalM } = stoppingDistance(mps, attentive, surface);
      expect(speedToStopWithin(totalM, attentive, surface)).toBeCloseTo(mps, 6);
      expect(speedAfter(mps, totalM, attentive, surface)).toBeCloseTo(0, 3);
      expect(speedAfter(mps, 0, attentive, surface)).toBe(mps);
    }),
  );
});

// Gazis, Herman, Maradudin, Operations Research 8 (1960): both distances at several speeds.
it('finds where neither stopping nor clearing works, and its edges', () => {
  const amber = { amberS: 3, reactionS: 1, brakingMps2: 3, junctionM: 20, vehicleM: 4 };
  // 10 m/s: stop 10 + 100/6 = 26.667 m; clear 30 - 24 = 6 m.
  const slow = amberZone(10, amber);
  expect(slow.stopM).toBeCloseTo(26.667, 3);
  expect(slow.clearM).toBeCloseTo(6, 9);
  expect(slow.zone).toMatchObject({ kind: 'neither', fromM: 6 });
  expect(amberZone(12, { ...amber, amberS: 6 }).zone?.kind).toBe('either');
  // Too slow to clear from anywhere: from 0 on.
  expect(amberZone(5, amber).zone).toMatchObject({ kind: 'neither', fromM: 0 });
});

it('has no dilemma between the two speeds that are the roots, and has one outside them', () => {
  const amber = { ...usualAmber, amberS: 6 };
  const [from, to] = speedsWithoutDilemma(amber)!;
  for (const root of [from, to]) {
    const { stopM, clearM } = amberZone(root, amber);
    expect(stopM).toBeCloseTo(clearM, 6);
  }
  expect(amberZone((from + to) / 2, amber).zone?.kind).toBe('either');
  expect(amberZone(from * 0.9, amber).zone?.kind).toBe('neither');
  expect(amberZone(to * 1.1, amber).zone?.kind).toBe('neither');
  expect(speedsWithoutDilemma({ ...amber, amberS: 2 })).toBeUndefined();
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
  const { metres } = gapNeeded({ ...emerging, joins: true });
  expect(metres).toBeCloseTo(13 ** 2 / 4 + 13, 6);
});

it('sees round a bend along the way, and less the closer the hedge is', () => {
  // A quarter of the circle on either side at m = R (1 - cos 45 degrees).
  expect(sightRoundBend(40, 40 * (1 - Math.SQRT1_2))).toBeCloseTo((40 * Math.PI) / 2, 6);
  expect(sightRoundBend(40, 2)).toBeLessThan(sightRoundBend(40, 3));
  const alone = speedRoundBend(40, 3, false, attentive);
  expect(stoppingDistance(alone, attentive).totalM).toBeCloseTo(sightRoundBend(40, 3), 6);
  expect(speedRoundBend(40, 3, true, attentive)).toBeLessThan(alone);
});
