import fc from 'fast-check';
import { chanceAllRight, dueWith, newToday, outlook, recallUnseen } from './aim';
import { memoryOf, ratings, recallAt, recallWanted, type Memory, type Review } from './memory';

const dayMs = 86_400_000;
const now = new Date('2026-06-01T18:00:00Z');
const inDays = (days: number) => new Date(now.getTime() + days * dayMs);

/** What is remembered after any row of answers within the last 90 days. */
const anyMemory: fc.Arbitrary<Memory> = fc
  .array(fc.record({ ago: fc.double({ min: 0, max: 90, noNaN: true }), rating: fc.constantFrom(...ratings) }), {
    minLength: 1,
    maxLength: 8,
  })
  .map((answers) => {
    const reviews = answers.map(({ ago, rating }, i): Review => ({
      id: `r${i}`,
      question: 'q',
      at: inDays(-ago).toISOString(),
      rating,
      mode: 'reveal',
      missed: [],
    }));
    return memoryOf(reviews).get('q')!;
  });
const anyDays = fc.double({ min: 0.01, max: 200, noNaN: true });

describe('the aim at the day of the test, for any memory and any day', () => {
  it('asks before the test, or the answer is fresh enough on it', () => {
    fc.assert(
      fc.property(anyMemory, anyDays, (memory, days) => {
        const test = inDays(days);
        const due = dueWith(memory, now, test);
        if (due.at) expect(due.at.getTime()).toBeLessThanOrEqual(test.getTime());
        else expect(recallAt(memory, test)).toBeGreaterThanOrEqual(recallWanted);
        expect(due.onTestDay).toBeCloseTo(recallAt(memory, test), 12);
      }),
    );
  });

  it('never asks later than the plain schedule where the answer would be forgotten', () => {
    fc.assert(
      fc.property(anyMemory, anyDays, (memory, days) => {
        const { at } = dueWith(memory, now, inDays(days));
        if (at) expect(at.getTime()).toBeLessThanOrEqual(Math.max(memory.due.getTime(), now.getTime()));
      }),
    );
  });

  it('does not care about a test that is over', () => {
    fc.assert(
      fc.property(anyMemory, anyDays, (memory, days) => {
        expect(dueWith(memory, now, inDays(-days))).toEqual(dueWith(memory, now, undefined));
      }),
    );
  });
});

describe('new questions, for any number and any day', () => {
  it('are all seen before the eve of the test, and never more than there are', () => {
    fc.assert(
      fc.property(fc.nat(300), fc.integer({ min: 1, max: 120 }), (questions, days) => {
        let unseen = questions;
        for (let day = 0; day < days - 1; day++) {
          const today = newToday(unseen, inDays(day), inDays(days));
          expect(today).toBeGreaterThanOrEqual(0);
          expect(today).toBeLessThanOrEqual(unseen);
          unseen -= today;
        }
        if (days > 2) expect(unseen).toBe(0);
      }),
    );
  });
});

describe('chances, for any recalls', () => {
  const recall = fc.double({ min: 0, max: 1, noNaN: true });

  it('of several questions are no better than that of each group alone', () => {
    fc.assert(
      fc.property(fc.array(fc.array(recall, { minLength: 1, maxLength: 6 }), { maxLength: 4 }), (groups) => {
        const all = chanceAllRight(groups);
        expect(all).toBeGreaterThanOrEqual(0);
        for (const group of groups) expect(all).toBeLessThanOrEqual(chanceAllRight([group]) + 1e-12);
      }),
    );
  });

  it('of a whole set lie between those of its best and its worst question', () => {
    fc.assert(
      fc.property(fc.array(anyMemory, { minLength: 1, maxLength: 5 }), fc.nat(4), (memories, unseen) => {
        const memory = new Map(memories.map((one, i) => [`q${i}`, one]));
        const ids = [...memory.keys(), ...Array.from({ length: unseen }, (_, i) => `new${i}`)];
        const { seen, unseen: never, recall: mean } = outlook(ids, memory, now, undefined);
        expect([seen, never]).toEqual([memories.length, unseen]);
        const each = [...memories.map((one) => recallAt(one, now)), ...(unseen > 0 ? [recallUnseen] : [])];
        expect(mean).toBeGreaterThanOrEqual(Math.min(...each) - 1e-12);
        expect(mean).toBeLessThanOrEqual(Math.max(...each) + 1e-12);
      }),
    );
  });
});
