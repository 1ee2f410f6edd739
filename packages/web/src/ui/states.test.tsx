import { fireEvent, render, screen } from '@testing-library/react';
import { Empty, Failed, Loading, NotWorkedOut } from './states';

const again = () => screen.queryByRole('button', { name: 'Try again' });

it.each([
  [0, 'unreachable'],
  // A proxy in front of the server answers in its own way.
  [404, 'unreachable'],
  [429, 'too-many'],
  [500, 'internal'],
  [503, 'busy'],
])('offers to try again where it may go well another time: %d', (status, code) => {
  const onRetry = jest.fn();
  render(<Failed error={{ status, code, message: 'It did not work.' }} onRetry={onRetry} />);
  expect(screen.getByRole('alert').textContent).toContain('It did not work.');
  fireEvent.click(again()!);
  expect(onRetry).toHaveBeenCalledTimes(1);
});

it.each([
  [403, 'forbidden'],
  [404, 'missing'],
  [409, 'conflict'],
  [422, 'invalid'],
])('says no more than what happened where asking again changes nothing: %d', (status, code) => {
  render(<Failed error={{ status, code, message: 'Learner not found.' }} onRetry={() => undefined} />);
  expect(screen.getByRole('alert').textContent).toBe('Learner not found.');
});

it('takes an error of the page itself for one that may pass, without its words', () => {
  render(<Failed error={new TypeError('x is undefined')} onRetry={() => undefined} />);
  expect(screen.getByRole('alert').textContent).toMatch(/^Something went wrong\. /);
  expect(screen.getByRole('alert').textContent).not.toContain('undefined');
  expect(again()).not.toBeNull();
});

it('says what is on its way inside a sentence, and what could not be worked out at the beginning of one', () => {
  render(<Loading what="Mock tests" />);
  expect(screen.getByRole('status').textContent).toBe('Loading mock tests');
  const onAgain = jest.fn();
  render(<NotWorkedOut what="The forecast" why="out of memory" onAgain={onAgain} />);
  expect(screen.getByRole('alert').textContent).toMatch(/^The forecast could not be worked out\. .*\(out of memory\)/);
  fireEvent.click(again()!);
  expect(onAgain).toHaveBeenCalled();
});

it('puts beside an empty list what to do next', () => {
  render(<Empty action={<a href="/learners/new">Add learner</a>}>No learners yet.</Empty>);
  screen.getByText('No learners yet.');
  screen.getByRole('link', { name: 'Add learner' });
});
