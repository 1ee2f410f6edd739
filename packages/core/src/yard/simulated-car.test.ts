import fc from 'fast-check';
import { timedYard } from '../marking/testing-standards';
import { channelNames, readSample } from './sample';
import { overBadLine, randomPlan, simulateRun, truthOf } from './simulate-run';
import { sampleMs, startSimulatedCar } from './simulated-car';

const seeds = fc.integer({ min: 0, max: 100_000 });

it('says twenty times a second where it is, whatever it is told', () => {
  fc.assert(
    fc.property(
      seeds,
      fc.array(fc.tuple(fc.integer({ min: 50, max: 2000 }), fc.double({ min: -6, max: 30, noNaN: true })), {
        maxLength: 8,
      }),
      (seed, parts) => {
        const car = startSimulatedCar(seed);
        for (const [ms, speed] of parts) car.go(ms, { speed });
        expect(car.samples.map(({ at }) => at)).toEqual(car.samples.map((__, i) => i * sampleMs));
        const asked = parts.reduce((sum, [ms]) => sum + Math.max(1, Math.round(ms / sampleMs)), 0);
        expect(car.samples).toHaveLength(asked);
      },
    ),
  );
});

it('reaches what it is told to reach, wavering no more than its sensors do, and stands still where it stands', () => {
  const car = startSimulatedCar(7);
  car.go(2000, { speed: 20, rpm: 2000, steering: -90 });
  const last = car.samples.at(-1)!;
  expect(last.speed).toBeCloseTo(20, 1);
  expect(Math.abs(last.rpm! - 2000)).toBeLessThanOrEqual(10);
  expect(Math.abs(last.steering! + 90)).toBeLessThanOrEqual(1);
  car.go(1000, { speed: 0 });
  car.go(1000);
  for (const { speed } of car.samples.slice(-20)) expect(speed).toBe(0);
});

it('is where its speed has brought it', () => {
  const car = startSimulatedCar(3);
  car.go(10_000, { speed: 36 });
  // From 0 to 10 m/s in ten seconds: half of a hundred metres, and half a sample.
  expect(car.samples.at(-1)!.x).toBeCloseTo(50, 0);
});

it('shows exactly what it is to show', () => {
  const car = startSimulatedCar(5);
  car.show({ rollBack: 16, speed: 1.234 });
  expect(car.samples).toHaveLength(2);
  for (const sample of car.samples) expect(sample).toMatchObject({ rollBack: 16, speed: 1.234 });
});

it('is the same car for the same seed, and another for another', () => {
  const run = (seed: number) => simulateRun(timedYard, randomPlan(timedYard, seed, 0.3));
  expect(run(11)).toEqual(run(11));
  expect(run(11)).not.toEqual(run(12));
});

it('says nothing that no sensor could say', () => {
  fc.assert(
    fc.property(seeds, fc.double({ min: 0, max: 1, noNaN: true }), (seed, chance) => {
      const wrong = simulateRun(timedYard, randomPlan(timedYard, seed, chance)).filter((sample) => {
        const read = readSample(sample);
        return channelNames.some((name) => read?.[name] !== sample[name]);
      });
      expect(wrong).toEqual([]);
    }),
    { numRuns: 12 },
  );
});

it('drives a careful learner without a fault, and a careless one with some', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      expect(truthOf(timedYard, randomPlan(timedYard, seed, 0))).toEqual([]);
      expect(truthOf(timedYard, randomPlan(timedYard, seed, 1)).length).toBeGreaterThan(3);
    }),
    { numRuns: 40 },
  );
});

it('a bad line loses and delays, and makes nothing up', () => {
  const samples = simulateRun(timedYard, randomPlan(timedYard, 4, 0.2));
  fc.assert(
    fc.property(
      seeds,
      fc.double({ min: 0, max: 0.5, noNaN: true }),
      fc.integer({ min: 0, max: 400 }),
      (seed, share, jitter) => {
        const sent = overBadLine(samples, seed, share, jitter);
        const known = new Set<unknown>(samples);
        expect(sent.every((one) => known.has(one))).toBe(true);
        expect(new Set(sent).size).toBe(sent.length);
        expect(Math.abs(sent.length / samples.length - (1 - share))).toBeLessThan(0.06);
      },
    ),
    { numRuns: 20 },
  );
  expect(overBadLine(samples, 1, 0, 0)).toEqual(samples);
});
