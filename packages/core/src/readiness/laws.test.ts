import fc from 'fast-check';
import { graded, tally, timedYard } from '../marking/testing-standards';
import { assumptionBounds, defaultAssumptions, type Assumptions } from './assumptions';
import { checklist } from './checklist';
import { estimate } from './estimate';
import { wholeTest, type Evidence } from './evidence';
import { exactChance } from './exact';
import { fitSchool } from './fit';
import { posteriorOn } from './posterior';
import { sightOf } from './shown';
import { laws, populationOf } from './testing-populations';

const on = new Date('2026-06-01T12:00:00Z');
const at = (days: number) => new Date(on.getTime() - days * 86_400_000).toISOString();
const looking = 'junctions.observation';
const lights = 'signs.lights';

const anyDrives = fc.array(
  fc
    .record({
      days: fc.nat(90),
      looking: fc.nat(6),
      lights: fc.nat(3),
      grave: fc.nat(1),
      exposure: fc.double({ min: 0.3, max: 1.2, noNaN: true }),
    })
    .map((row): Evidence => ({
      ...wholeTest(tally, at(row.days), {
        [looking]: { counted: row.looking, outright: row.grave },
        [lights]: { counted: row.lights, outright: 0 },
      }),
      exposure: row.exposure,
    })),
  { maxLength: 7 },
);

/** Figures as schools have them, fitted to populations, and each figure at either of its bounds. */
const fitted = ['steady', 'improving by', 'a jump', 'days that differ', 'a weak school'].map((name) => {
  const law = laws.find((one) => one.name.startsWith(name))!;
  return fitSchool(populationOf(tally, law, 40, 6), 'road').assumptions;
});
const atBounds = (Object.keys(assumptionBounds) as (keyof Assumptions)[]).flatMap((key) =>
  [assumptionBounds[key].min, assumptionBounds[key].max].map((value) => ({ ...defaultAssumptions, [key]: value })),
);
const anyAssumptions = fc.constantFrom(defaultAssumptions, ...fitted, ...atBounds);

const chance = (evidence: readonly Evidence[], assumptions: Assumptions) =>
  exactChance(tally, posteriorOn(on, tally, evidence, assumptions))!;

/** Three April drives with grave faults but one, then one more: here a clean drive once turned the better one into an early one. */
const oneGoodAmong: Evidence[] = (
  [
    [9, 1, 3, 1, 0.74],
    [54, 2, 2, 0, 0.97],
    [56, 6, 1, 1, 0.42],
    [57, 6, 0, 1, 0.33],
  ] as const
).map(([days, counted, ofLights, grave, exposure]) => ({
  ...wholeTest(tally, at(days), {
    [looking]: { counted, outright: grave },
    [lights]: { counted: ofLights, outright: 0 },
  }),
  exposure,
}));

describe('whatever a school is like', () => {
  it('a clean drive on new roads never lowers the chance', () => {
    fc.assert(
      fc.property(anyDrives, anyAssumptions, (evidence, assumptions) => {
        const after = [...evidence, wholeTest(tally, at(0), {})];
        expect(chance(after, assumptions)).toBeGreaterThanOrEqual(chance(evidence, assumptions) - 1e-9);
      }),
      {
        numRuns: 60,
        examples: [[oneGoodAmong, { ...defaultAssumptions, levelSpread: assumptionBounds.levelSpread.min }]],
      },
    );
  });

  it('a fault more never raises it, minor or failing, on whichever drive', () => {
    fc.assert(
      fc.property(anyDrives, anyAssumptions, fc.boolean(), fc.nat(6), (evidence, assumptions, outright, which) => {
        const target = evidence[which % Math.max(1, evidence.length)];
        if (!target) return;
        const known = target.counts[looking]!;
        const more = outright ? { outright: known.outright + 1 } : { counted: known.counted + 1 };
        const worse = { ...target, counts: { ...target.counts, [looking]: { ...known, ...more } } };
        const after = evidence.map((one) => (one === target ? worse : one));
        expect(chance(after, assumptions)).toBeLessThanOrEqual(chance(evidence, assumptions) + 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('lessons more before the test never lower what is expected of it', () => {
    fc.assert(
      fc.property(anyDrives, anyAssumptions, fc.integer({ min: 2, max: 12 }), (evidence, assumptions, n) => {
        const booked = (count: number) =>
          Array.from({ length: count }, (_, i) => ({ start: `2026-06-${10 + i}T10:00`, areas: [] }));
        const onDay = (count: number) =>
          estimate({
            ...{ standard: tally, evidence, on, assumptions, seed: 1, testDate: '2026-06-25' },
            lessons: booked(count),
          }).outlook.onDay.chance.mean;
        expect(onDay(n)).toBeGreaterThanOrEqual(onDay(n - 1) - 1e-9);
      }),
      { numRuns: 6 },
    );
  });
});

describe('a drive of another kind of test', () => {
  const yardRun = fc
    .record({ days: fc.nat(30), faults: fc.nat(9), grave: fc.nat(2) })
    .map(({ days, faults, grave }): Evidence => ({
      ...wholeTest(timedYard, at(days), {
        'controls.stall': { counted: faults, outright: grave },
        [looking]: { counted: faults, outright: grave },
      }),
      minutes: 4,
    }));
  const sights = new Map([tally, graded, timedYard].map((standard) => [standard.id, sightOf(standard)]));
  const asked = (standard: typeof tally, evidence: readonly Evidence[]) =>
    estimate({ standard, evidence, on, assumptions: defaultAssumptions, seed: 1, sights, questions: 0.95 });

  it('changes nothing of what is said of a test on roads, nor the other way round', () => {
    fc.assert(
      fc.property(anyDrives, fc.array(yardRun, { minLength: 1, maxLength: 4 }), (road, yard) => {
        const all = [...road, ...yard];
        for (const [standard, own] of [
          [tally, road],
          [timedYard, yard],
        ] as const) {
          const both = asked(standard, all);
          const alone = asked(standard, own);
          expect(both.others).toBe(all.length - own.length);
          for (const said of ['chance', 'checks', 'judgement', 'outlook', 'expected', 'exposure', 'drives'] as const)
            expect(both[said]).toEqual(alone[said]);
        }
      }),
      { numRuns: 6 },
    );
  });

  it('is no mock test of it in the checklist', () => {
    const runs = [1, 2, 3].map((days) => wholeTest(timedYard, at(days), {}));
    expect(checklist(tally, runs, on, undefined)[0]).toMatchObject({ code: 'evidence', ok: false, tests: 0 });
    const tests = [1, 2, 3].map((days) => wholeTest(tally, at(days), {}));
    expect(checklist(timedYard, tests, on, undefined)[0]).toMatchObject({ ok: false, tests: 0 });
  });

  it('under another standard of the same kind weighs as much as both look at', () => {
    const drive = wholeTest(graded, at(2), {});
    const exposure = (known: ReadonlyMap<string, ReturnType<typeof sightOf>>) =>
      posteriorOn(on, tally, [drive], defaultAssumptions, undefined, { sights: known }).exposure;
    const shared = exposure(sights);
    expect(shared).toBeGreaterThan(0.3);
    expect(shared).toBeLessThan(1);
    // Of a standard that nobody knows any more nothing can be said.
    expect(exposure(new Map())).toBe(0);
    // A drive broken off shows nothing of the exercises that were not driven.
    const whole = wholeTest(timedYard, at(2), {});
    const own = (one: Evidence) => posteriorOn(on, timedYard, [one], defaultAssumptions).exposure;
    const [first] = timedYard.exercises;
    expect(own({ ...whole, drove: [] })).toBeLessThan(own({ ...whole, drove: [first!.code] }));
    expect(own({ ...whole, drove: [first!.code] })).toBeLessThan(own(whole));
  });
});
