import fc from 'fast-check';
import { familiarityOf, familiarityWord, knownSpans, tracesTell, type DrivenAt } from './familiarity';

const day = 24 * 60 * 60 * 1000;
const daysAgo = (days: number) => new Date(Date.UTC(2026, 5, 1) - days * day).toISOString();
const drive = (days: number, driven: Readonly<Record<string, number>>): DrivenAt => ({ at: daysAgo(days), driven });
const today = drive(0, { a: 600, b: 400 });

describe('how well a learner knew the roads', () => {
  it('is nothing where they never drove them', () => {
    expect(familiarityOf(today, [])).toBe(0);
    expect(familiarityOf(today, [drive(3, { c: 900 })])).toBe(0);
  });

  it('is the share of the length that was driven before, and half after six weeks', () => {
    expect(familiarityOf(today, [drive(0.01, { a: 600 })])).toBeCloseTo(0.6, 3);
    expect(familiarityOf(today, [drive(42, { a: 600, b: 400 })])).toBeCloseTo(0.5, 9);
    expect(familiarityOf(today, [drive(42, { a: 600 }), drive(84, { b: 400 })])).toBeCloseTo(0.3 + 0.1, 9);
  });

  it('does not look at what was driven afterwards', () => {
    expect(familiarityOf(today, [drive(-3, { a: 600, b: 400 })])).toBe(0);
  });

  it('never falls with one more drive and lies between 0 and 1', () => {
    const drives = fc.array(
      fc.record({
        at: fc.integer({ min: 1, max: 400 }).map(daysAgo),
        driven: fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 1, max: 900 })),
      }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(drives, drives, (some, more) => {
        const fewer = familiarityOf(today, some);
        const all = familiarityOf(today, [...some, ...more]);
        expect(fewer).toBeGreaterThanOrEqual(0);
        expect(all).toBeGreaterThanOrEqual(fewer);
        expect(all).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('is drawn where roads were driven in the last six weeks, neighbours as one', () => {
    const stretches = [
      [0, 'a'],
      [100, 'b'],
      [250, 'c'],
      [300, 'a'],
    ] as const;
    const before = [drive(10, { a: 1 }), drive(40, { b: 1 }), drive(60, { c: 1 })];
    expect(knownSpans(stretches, 400, today.at, before)).toEqual([
      [0, 250],
      [300, 400],
    ]);
    expect(knownSpans(stretches, 400, today.at, [])).toEqual([]);
  });

  it('is told by traces only where half of the mock tests before have one', () => {
    const at = daysAgo(0);
    expect(tracesTell(at, [], [])).toBe(false);
    expect(tracesTell(at, [daysAgo(5)], [])).toBe(false);
    expect(tracesTell(at, [daysAgo(5), daysAgo(9)], [daysAgo(5)])).toBe(true);
    expect(tracesTell(at, [daysAgo(5), daysAgo(9), daysAgo(20)], [daysAgo(5)])).toBe(false);
    // What lies longer back, or comes after, is not asked.
    expect(tracesTell(at, [daysAgo(5), daysAgo(100), daysAgo(-3)], [daysAgo(5)])).toBe(true);
  });

  it('has a word', () => {
    expect([0, 0.3, 0.9].map(familiarityWord)).toEqual(['new', 'partly', 'known']);
  });
});
