import fc from 'fast-check';
import { lintStandard } from '@jasperwren/core/marking/lint/lint';
import { anyStandard } from '@jasperwren/core/marking/testing-arbitraries';
import { problemWords } from './problems';

it('fills every hole of what can be wrong with a standard', () => {
  const met = new Set<string>();
  fc.assert(
    fc.property(anyStandard(true), (standard) => {
      for (const problem of lintStandard(standard)) {
        met.add(problem.is.code);
        const words = problemWords(problem);
        expect(words).toMatch(/^.+ .+\.$/);
        expect(words).not.toMatch(/[{}]|undefined/);
      }
    }),
    { numRuns: 400 },
  );
  expect(met.size).toBeGreaterThan(3);
});

it('says one more and several more apart', () => {
  const words = (others: number) =>
    problemWords({ path: '', is: { code: 'failsNothing', grade: 'serious fault', item: 'Speed', others } });
  expect([0, 1, 2].map(words)).toEqual([
    'One serious fault on “Speed” would fail nothing: no limit counts it.',
    'One serious fault on “Speed” and 1 fault type more would fail nothing: no limit counts it.',
    'One serious fault on “Speed” and 2 fault types more would fail nothing: no limit counts it.',
  ]);
});
