import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { AskFirst } from './AskFirst';

const ask = (go: () => Promise<{ readonly error?: unknown }>) =>
  render(
    <AskFirst action="Delete route" question="Delete “Harbour loop”?" go={go}>
      Mock tests driven on it keep their record.
    </AskFirst>,
  );
const open = () => fireEvent.click(screen.getByRole('button', { name: 'Delete route' }));
const question = () => within(screen.getByRole('dialog', { name: 'Delete “Harbour loop”?' }));

it('does nothing before it was asked and answered', async () => {
  const go = jest.fn(() => Promise.resolve({}));
  ask(go);
  open();
  question().getByText('Mock tests driven on it keep their record.');
  fireEvent.click(question().getByRole('button', { name: 'Cancel' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(go).not.toHaveBeenCalled();
  open();
  fireEvent.click(question().getByRole('button', { name: 'Delete route' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(go).toHaveBeenCalledTimes(1);
});

it('stays and says why where it fails, and forgets that when it is asked again', async () => {
  ask(() => Promise.resolve({ error: { status: 409, code: 'conflict', message: 'A mock test is under way on it.' } }));
  open();
  fireEvent.click(question().getByRole('button', { name: 'Delete route' }));
  expect((await question().findByRole('alert')).textContent).toBe('A mock test is under way on it.');
  fireEvent.click(question().getByRole('button', { name: 'Cancel' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  open();
  expect(question().queryByRole('alert')).toBeNull();
});

it('can be pressed once while it is being done', async () => {
  let finish: (done: object) => void = () => undefined;
  const go = jest.fn(() => new Promise<object>((resolve) => (finish = resolve)));
  ask(go);
  open();
  const button = question().getByRole<HTMLButtonElement>('button', { name: 'Delete route' });
  fireEvent.click(button);
  expect(button.disabled).toBe(true);
  fireEvent.click(button);
  finish({});
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(go).toHaveBeenCalledTimes(1);
});
