import { failureOf } from './failure';

const unreachable = { status: 0, code: 'unreachable', message: 'No connection.' };
const asked = (more: { readonly error?: unknown; readonly currentData?: unknown } = {}) => ({
  ...more,
  refetch: jest.fn(),
});

it('is nothing while all is there or on its way', () => {
  expect(failureOf(asked({ currentData: [] }), asked())).toBeUndefined();
});

it('asks again for every part that failed, and for none that is there', () => {
  const [learner, drives, standards] = [
    asked({ error: unreachable }),
    asked({ currentData: [] }),
    asked({ error: { ...unreachable, message: 'Another.' } }),
  ];
  const failed = failureOf(learner, drives, standards)!;
  expect(failed.error).toBe(unreachable);
  failed.onRetry();
  expect([learner, drives, standards].map(({ refetch }) => refetch.mock.calls.length)).toEqual([1, 0, 1]);
});

it('takes nothing away that is there, though it could not be asked for again', () => {
  expect(failureOf(asked({ error: unreachable, currentData: ['what was there'] }))).toBeUndefined();
});
