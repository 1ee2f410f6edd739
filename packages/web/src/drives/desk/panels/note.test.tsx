import { fireEvent, render, screen } from '@testing-library/react';
import { store } from '../../../base/store';
import { AdasPage } from '../../../base/testing-page';
import type { DeskActions } from '../desk-actions';
import { deskOpened } from '../desk-slice';
import { NotePanel } from './NotePanel';

it('words that are not saved are not dropped without a word, and saved ones are not called dropped', () => {
  const note = jest.fn();
  const open = () =>
    render(<NotePanel target={undefined} actions={{ note } as unknown as DeskActions} />, { wrapper: AdasPage });
  const type = (value: string) => fireEvent.change(screen.getByRole('textbox'), { target: { value } });
  const receipt = () => store.getState().desk.receipt;
  store.dispatch(deskOpened());
  const left = open();
  expect(document.activeElement).toBe(screen.getByRole('textbox'));
  type('Late at the bridge');
  left.unmount();
  expect(receipt()).toBe('Not saved: Late at the bridge');
  store.dispatch(deskOpened());
  const saved = open();
  type('Late at the bridge');
  fireEvent.submit(screen.getByRole('textbox').closest('form')!);
  saved.unmount();
  expect(note).toHaveBeenCalledWith('Late at the bridge', undefined);
  expect(receipt()).toBe('');
});
