import { lintStandard } from '@jasperwren/core/marking/lint/lint';
import type { Standard } from '@jasperwren/core/marking/standard';
import { attemptsYard, pointsOff, tally } from '@jasperwren/core/marking/testing-standards';
import { t } from '@jasperwren/words/editor';
import { fireEvent, render, screen } from '@testing-library/react';
import { FailsPart } from './FailsPart';
import { elsewhere, ProblemsProvider } from './Problems';

/** What fails under a standard, with what is wrong with it. */
function showFails(standard: Standard) {
  const change = jest.fn();
  render(
    <ProblemsProvider problems={lintStandard(standard)} standard={standard} change={change}>
      <FailsPart standard={standard} change={change} />
    </ProblemsProvider>,
  );
  return change;
}

it('what is wrong with a folded limit is seen, with what mends it', () => {
  const limits = attemptsYard.limits.filter(({ code }) => code !== 'failed-turn-in-road');
  const change = showFails({ ...attemptsYard, limits });
  screen.getByText(/it fails an attempt, but no limit says how many attempts may fail/);
  fireEvent.click(screen.getByRole('button', { name: t('mendAddLimit') }));
  expect(change).toHaveBeenCalledTimes(1);
});

it('limits of single exercises stay folded where nothing is wrong with them', () => {
  showFails(attemptsYard);
  expect(screen.queryByText('Attempts at alley dock left')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: t('moreOf', { name: t('limitsOfExercises') }) }));
  screen.getByText('Attempts at alley dock left');
});

it('what stands beside a sentence is not told once more at the end', () => {
  const score = { ...pointsOff, startScore: { ...pointsOff.startScore!, value: 0 } };
  expect(lintStandard(score).map(({ path }) => path)).toContain('/startScore');
  expect(elsewhere(lintStandard(score), score)).toEqual([]);
  const letters = {
    ...tally,
    classes: [
      { code: 'a', name: 'A' },
      { code: 'a', name: 'B' },
    ],
  };
  expect(elsewhere(lintStandard(letters), letters).map(({ path }) => path)).toEqual(['/classes/1/code']);
});
