import { testsHereWords } from '@jasperwren/words/readiness-tests';
import { testsHere, testsWanted } from './calibration';

/** So many tests that were expected to pass with a chance, of which so many did. */
const tests = (n: number, passed: number, chance: number) =>
  Array.from({ length: n }, (_, i) => ({ chance, passed: i < passed }));

describe('driving tests beside the mock tests before them', () => {
  it('say how many passed, what was expected and how sure that is', () => {
    const here = testsHere('Port Ysmer', tests(16, 11, 0.75))!;
    expect(here).toMatchObject({ tests: 16, passed: 11, expected: 0.75, parts: false });
    // Jeffreys: the 5th and 95th of 100 of a beta distribution with 11.5 and 5.5.
    expect([here.from, here.to]).toEqual([expect.closeTo(0.48, 1), expect.closeTo(0.85, 1)]);
    const words = testsHereWords(here, 'centre');
    expect(words.passed).toBe('Learners of yours who had about 15 of 20 passed 11 of 16 driving tests at Port Ysmer.');
    expect(words.warning).toBeUndefined();
    expect(testsHere('Nowhere', [])).toBeUndefined();
  });

  it('are warned of where the two part, either way, and not where there are too few', () => {
    const hopeful = testsHere('Here', tests(12, 3, 0.8))!;
    expect([hopeful.parts, testsHereWords(hopeful, 'centre').warning]).toEqual([
      true,
      'Mock tests and driving tests part: the mock tests were easier.',
    ]);
    expect(testsHereWords(testsHere('Here', tests(12, 12, 0.4))!, 'marker').warning).toContain('were harder');
    const few = testsHere('Here', tests(testsWanted - 1, 0, 0.9))!;
    expect([few.parts, testsHereWords(few, 'centre').warning]).toEqual([
      false,
      'Fewer than 8 tests: chance alone explains much.',
    ]);
    expect(testsHere('Here', tests(testsWanted, 0, 0.9))!.parts).toBe(true);
  });

  it('say what estimates take in, once there are faults to go by', () => {
    const factor = { factor: 1.2, error: 0.1, drives: 20 };
    expect(testsHereWords(testsHere('Here', tests(20, 9, 0.6), factor)!, 'centre').factor).toMatch(
      /^Driving tests bring 120/,
    );
    expect(testsHereWords(testsHere('Here', tests(20, 9, 0.6))!, 'centre').factor).toContain('nothing in');
  });
});
