import { fireEvent, render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { useLearning } from '../learn/learning';
import { LearnFrame } from './LearnFrame';

const refetch = jest.fn();
let answers: object;
jest.mock('../base/api', () => ({
  api: {
    useMeQuery: () => ({ data: { learnerId: 'wren', firstName: 'Wren' } }),
    useMyReviewsQuery: () => ({ refetch, ...answers }),
  },
}));
jest.mock('../safety-questions/public', () => ({ useDrillSource: () => ({}) }));
jest.mock('../session/public', () => ({}));
jest.mock('./send', () => ({ startSending: () => undefined }));

const Practice = () => <p>practice of {useLearning().isWhole ? 'all' : 'some'}</p>;
const show = () =>
  render(
    <RouterProvider
      router={createMemoryRouter([
        { path: '*', Component: LearnFrame, children: [{ path: '*', Component: Practice }] },
      ])}
    />,
  );
const missing = 'Your earlier answers could not be loaded. Practice may ask what you already know.';

it('waits for what was answered before', () => {
  answers = {};
  show();
  expect(screen.queryByText(/^practice/)).toBeNull();
  screen.getByText('Loading practice');
});

it('opens with what was answered before', () => {
  answers = { currentData: [] };
  show();
  screen.getByText('practice of all');
  expect(screen.queryByText(missing)).toBeNull();
});

it('opens without what was answered before where it cannot be had, says so and asks again', () => {
  answers = { error: { status: 0, code: 'unreachable', message: 'No connection.' } };
  show();
  screen.getByText('practice of some');
  screen.getByText(missing);
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(refetch).toHaveBeenCalledTimes(1);
});
