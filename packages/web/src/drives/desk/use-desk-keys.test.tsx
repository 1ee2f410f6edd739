import { tally } from '@jasperwren/core/marking/testing-standards';
import { act, fireEvent, render } from '@testing-library/react';
import { settingsChanged } from '../../base/settings';
import { store } from '../../base/store';
import { AdasPage } from '../../base/testing-page';
import type { DeskActions } from './desk-actions';
import { deskOpened } from './desk-slice';
import { useDeskKeys } from './use-desk-keys';

const actions = { running: true, canMark: true, exerciseInHand: () => undefined } as unknown as DeskActions;

function Desk() {
  useDeskKeys(tally, actions);
  return (
    <>
      <textarea aria-label="note" />
      <input aria-label="name" />
      <input aria-label="choice" type="radio" />
      <input aria-label="again" type="checkbox" />
      <button>press</button>
    </>
  );
}

const category = () => store.getState().desk.category;
const press = (key: string, more: KeyboardEventInit = {}, target: Element | Window = window) =>
  fireEvent.keyDown(target, { key, ...more });

beforeEach(() => {
  store.dispatch(deskOpened());
  store.dispatch(settingsChanged({ deskKeys: true }));
});

it('opens an area by its letter, wherever the finger last was', () => {
  const { getByRole } = render(<Desk />, { wrapper: AdasPage });
  // A key that was taken does nothing else.
  expect(press('s')).toBe(false);
  expect(category()).toBe(tally.categories.find(({ letter }) => letter === 'S')!.code);
  store.dispatch(deskOpened());
  press('s', {}, getByRole('button'));
  expect(category()).toBeDefined();
});

it('leaves a key to whoever types, and to the browser', () => {
  const { getByLabelText } = render(<Desk />, { wrapper: AdasPage });
  for (const field of ['note', 'name']) expect(press('s', {}, getByLabelText(field))).toBe(true);
  for (const more of [{ ctrlKey: true }, { metaKey: true }, { altKey: true }, { repeat: true }])
    expect(press('s', more)).toBe(true);
  expect(category()).toBeUndefined();
  press('s', {}, getByLabelText('choice'));
  expect(category()).toBeDefined();
});

it('holds whatever has the focus but a text field: a box that is ticked stops nothing but the space bar', () => {
  const { getByLabelText } = render(<Desk />, { wrapper: AdasPage });
  expect(press('s', {}, getByLabelText('again'))).toBe(false);
  expect(category()).toBeDefined();
  expect(press(' ', {}, getByLabelText('again'))).toBe(true);
});

it('is off where the device is set so, and once the desk is left', () => {
  const { unmount } = render(<Desk />, { wrapper: AdasPage });
  act(() => void store.dispatch(settingsChanged({ deskKeys: false })));
  press('s');
  expect(category()).toBeUndefined();
  act(() => void store.dispatch(settingsChanged({ deskKeys: true })));
  press('s');
  expect(category()).toBeDefined();
  store.dispatch(deskOpened());
  unmount();
  press('s');
  expect(category()).toBeUndefined();
});
