import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { SnackbarProvider } from 'notistack';
import { told } from './told';

const refused = { error: { status: 403, code: 'forbidden', message: 'Only a lead instructor can do this.' } };

function tell(...all: Parameters<typeof told>): boolean | undefined {
  let well: boolean | undefined;
  act(() => void (well = told(...all)));
  return well;
}

beforeEach(() => void render(<SnackbarProvider />));

it('says why a change failed, in the words of whoever refused it', async () => {
  expect(tell(refused, 'Retired.')).toBe(false);
  await screen.findByText('Only a lead instructor can do this.');
  expect(screen.queryByText('Retired.')).toBeNull();
});

it('is silent where all went well and there is nothing to say', () => {
  expect(tell({})).toBe(true);
  expect(screen.queryByRole('alert')).toBeNull();
});

it('takes a change back once, and says so where that fails', async () => {
  const undo = jest.fn(() => Promise.resolve(refused));
  expect(tell({}, 'Ada Learner is archived.', undo)).toBe(true);
  await screen.findByText('Ada Learner is archived.');
  fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
  await screen.findByText('Only a lead instructor can do this.');
  expect(undo).toHaveBeenCalledTimes(1);
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull());
});
