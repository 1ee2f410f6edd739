import { graded, tally } from '@jasperwren/core/marking/testing-standards';
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { AdasPage } from '../base/testing-page';
import { SheetForm } from './SheetForm';

const onSave = jest.fn<Promise<{ readonly data?: unknown; readonly error?: unknown }>, [unknown]>();
const onSaved = jest.fn();

beforeEach(async () => {
  onSaved.mockClear();
  onSave.mockReset().mockResolvedValue({ data: {} });
  render(
    <SheetForm
      standards={[tally, graded]}
      initial={{ date: '2026-05-04' }}
      action="Save result"
      onSave={onSave as never}
      onSaved={onSaved}
      onCancel={() => undefined}
    />,
    { wrapper: AdasPage },
  );
  // The field of the date comes by itself.
  await screen.findByRole('spinbutton', { name: 'Day' });
});

const code = () => screen.getByLabelText<HTMLInputElement>('Area, fault and grade');
const type = (text: string) => fireEvent.change(code(), { target: { value: text } });
const faults = () =>
  within(screen.getByRole('region', { name: 'Faults' }))
    .queryAllByRole('listitem')
    .map((row) => row.getAttribute('aria-label'));
const choose = (label: string, option: string) => {
  fireEvent.mouseDown(screen.getByRole('combobox', { name: new RegExp(`^${label}`) }));
  fireEvent.click(screen.getByRole('option', { name: option }));
};
const save = () =>
  act(() => Promise.resolve(void fireEvent.click(screen.getByRole('button', { name: 'Save result' }))));

it('counts a fault for each code, and forgets the code once it is read', () => {
  type('l');
  expect(code().value).toBe('l');
  type('ll1');
  type('LL1');
  type('qt');
  expect(code().value).toBe('');
  expect(faults()).toEqual([
    expect.stringContaining(': 1') as unknown,
    'Signs and lights: traffic lights, driving fault: 2',
  ]);
  fireEvent.click(screen.getByRole('button', { name: /^One driving fault fewer.*traffic lights/i }));
  expect(faults()[1]).toBe('Signs and lights: traffic lights, driving fault: 1');
});

it('swallows the digit of a fault that has one grade, and takes it back where the digit is another', () => {
  type('qt');
  type('1');
  expect(code().value).toBe('');
  expect(faults()).toHaveLength(1);
  type('qt');
  type('2');
  expect(code().value).toBe('qt2');
  expect(code().getAttribute('aria-invalid')).toBe('true');
  expect(faults()).toEqual([expect.stringMatching(/: 1$/) as unknown]);
});

it('keeps a code that leads nowhere, and says why', () => {
  type('lz');
  expect(code().value).toBe('lz');
  expect(code().getAttribute('aria-invalid')).toBe('true');
  expect(faults()).toEqual([]);
});

it('judges as the faults grow, and says whether the official result agrees', () => {
  for (let i = 0; i < 15; i++) type('ll1');
  screen.getByText('By these faults: Pass: 15 of 15 driving faults.');
  choose('Official result', 'Fail');
  screen.getByText(/The official result is a fail\./);
  type('ll1');
  screen.getByText(/By these faults: Fail/);
  screen.getByText(/The official result agrees\./);
});

it('keeps what was typed under one standard until it is chosen again', () => {
  type('ll1');
  choose('Marking standard', 'Graded marks');
  expect(faults()).toEqual([]);
  choose('Marking standard', 'Tally');
  expect(faults()).toEqual(['Signs and lights: traffic lights, driving fault: 1']);
});

it('asks for what is missing, loses nothing, and sends what was typed', async () => {
  type('ll1');
  await save();
  expect(onSave).not.toHaveBeenCalled();
  expect(faults()).toHaveLength(1);
  choose('Official result', 'Pass');
  fireEvent.change(screen.getByLabelText('Test centre'), { target: { value: ' Quay Street ' } });
  await save();
  expect(onSave).toHaveBeenCalledWith(
    expect.objectContaining({
      standardId: 'tally',
      standardVersion: tally.version,
      official: 'pass',
      date: '2026-05-04',
      entries: [{ item: 'signs.lights', grade: 'driving', count: 1 }],
    }),
  );
  expect(onSaved).toHaveBeenCalled();
});
