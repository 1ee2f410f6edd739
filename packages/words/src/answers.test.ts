import { differencesBetween } from '@jasperwren/core/marking/compare/difference';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { problemsOfVehicle } from '@jasperwren/core/safety-questions/vehicle';
import { differenceWords } from './marking/differences';
import { oralSentence } from './oral';
import { profileProblem } from './question-problems';
import { momentSentence } from './safe-moment';

it('say why a moment was good or was not', () => {
  expect(momentSentence({ outcome: 'unsafe', hazards: ['bend', 'cyclist'] })).toBe(
    'Not a safe moment: a bend needed both hands and both eyes; you were about to pass a cyclist.',
  );
  expect(momentSentence({ outcome: 'not-looked', hazards: [] })).toMatch(/^The road was clear, .* \d+ s before\.$/);
  expect(momentSentence({ outcome: 'good', hazards: [] })).toMatch(/^Good moment/);
  expect(momentSentence({ outcome: 'never', hazards: [] })).toMatch(/every safe moment pass/);
});

it('say how many required points a spoken answer lacks', () => {
  const answer = { outcome: 'wrong', missed: [], hint: false } as const;
  expect(oralSentence({ ...answer, lacking: 1 })).toBe('Wrong: 1 required point is missing.');
  expect(oralSentence({ ...answer, lacking: 2 })).toBe('Wrong: 2 required points are missing.');
});

it('say where two versions of a standard differ, in the words of its fields where they have some', () => {
  const later = {
    ...tally,
    version: 99,
    length: { ...tally.length, totalMin: { ...tally.length.totalMin, value: 45 } },
  };
  expect(differencesBetween(tally, later).map(differenceWords)).toEqual(['Length, whole test, min']);
});

it('say what the profile of a car lacks', () => {
  const problems = problemsOfVehicle({ name: ' ', wheelSide: 'right', controls: {} } as never).map(profileProblem);
  expect(problems[0]).toBe('Name the car.');
  expect(problems.length).toBeGreaterThan(5);
  for (const problem of problems.slice(1)) expect(problem).toMatch(/^Say how the .+ works\.$/);
});
