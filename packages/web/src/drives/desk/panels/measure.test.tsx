import { timedYard } from '@jasperwren/core/marking/testing-standards';
import { fireEvent, render, screen } from '@testing-library/react';
import { store } from '../../../base/store';
import { AdasPage } from '../../../base/testing-page';
import type { DeskActions } from '../desk-actions';
import { deskOpened } from '../desk-slice';
import { MeasurePanel } from './MeasurePanel';

const mark = jest.fn();
const rolledBack = timedYard.categories
  .flatMap(({ items }) => items)
  .find(({ code, measured }) => code.startsWith('slope') && measured?.unit === 'cm')!;

let unmount: () => void;

beforeEach(() => {
  mark.mockClear();
  ({ unmount } = render(
    <MeasurePanel itemCode={rolledBack.code} standard={timedYard} actions={{ mark } as unknown as DeskActions} />,
    { wrapper: AdasPage },
  ));
});

const field = () => screen.getByRole<HTMLInputElement>('textbox');
const record = () => screen.getAllByRole<HTMLButtonElement>('button').at(-1)!;
const press = (...keys: string[]) => keys.forEach((key) => fireEvent.click(screen.getByRole('button', { name: key })));
const type = (value: string) => fireEvent.change(field(), { target: { value } });

it('records what the keypad says with the grade that it brings', () => {
  press('1', '6', '.', '5');
  expect(field().value).toBe('16.5');
  fireEvent.click(record());
  expect(mark).toHaveBeenCalledWith(rolledBack.code, 'demerit', { measured: 16.5 });
});

it('takes a comma for a point, and two places behind it', () => {
  type('16,25');
  expect(field().value).toBe('16.25');
  press('7');
  expect(field().value).toBe('16.25');
  press('.');
  expect(field().value).toBe('16.25');
});

it('leaves the field as it is where something else than a number is typed', () => {
  type('16');
  for (const wrong of ['16a', '-16', '1e3', '1234567', ' 16']) {
    type(wrong);
    expect(field().value).toBe('16');
  }
});

it('records nothing before there is a number, and nothing that is within the limit', () => {
  expect(record().disabled).toBe(true);
  expect(record().textContent).toBe('Type what was measured');
  press('.');
  expect(record().disabled).toBe(true);
  expect(record().textContent).toBe('Type what was measured');
  press('Clear');
  press('1');
  expect(record().textContent).toBe('1 cm is within the limit');
  fireEvent.submit(record().closest('form')!);
  expect(mark).not.toHaveBeenCalled();
});

it('has the focus in its field, and takes digits wherever the focus is', () => {
  expect(document.activeElement).toBe(field());
  for (const target of [document.body, screen.getByRole('button', { name: '7' }), window])
    fireEvent.keyDown(target, { key: '2' });
  fireEvent.keyDown(document.body, { key: ',' });
  fireEvent.keyDown(document.body, { key: '5' });
  expect(field().value).toBe('222.5');
  fireEvent.keyDown(document.body, { key: 'Backspace' });
  fireEvent.keyDown(document.body, { key: 'h' });
  expect(field().value).toBe('222.');
  fireEvent.keyDown(screen.getByRole('button', { name: '7' }), { key: 'Enter' });
  expect(mark).toHaveBeenCalledWith(rolledBack.code, expect.any(String), { measured: 222 });
});

it('says so where something typed is dropped, and nothing where it was recorded', () => {
  const receipt = () => store.getState().desk.receipt;
  store.dispatch(deskOpened());
  type('16');
  fireEvent.submit(field().closest('form')!);
  unmount();
  expect(receipt()).not.toContain('Not recorded');
  const again = render(
    <MeasurePanel itemCode={rolledBack.code} standard={timedYard} actions={{ mark } as unknown as DeskActions} />,
    { wrapper: AdasPage },
  );
  type('20');
  again.unmount();
  expect(receipt()).toBe('Not recorded: 20 cm.');
});
