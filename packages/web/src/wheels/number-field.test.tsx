import { act, fireEvent, render, screen } from '@testing-library/react';
import { NumberField } from './NumberField';

const onNumber = jest.fn<void, [number | undefined]>();
const field = () => screen.getByLabelText<HTMLInputElement>('Gap (m)');
const type = (value: string) => fireEvent.change(field(), { target: { value } });
const rest = (ms: number) => act(() => void jest.advanceTimersByTime(ms));
const shown = (value: number) => <NumberField label="Gap (m)" value={value} step={0.1} onNumber={onNumber} />;

beforeEach(() => {
  jest.useFakeTimers();
  onNumber.mockClear();
});
afterEach(() => jest.useRealTimers());

it('tells a number once the typing rests, and nothing of what stood there on the way', () => {
  render(shown(6));
  type('5');
  rest(300);
  type('5.4');
  rest(300);
  expect(onNumber).not.toHaveBeenCalled();
  rest(200);
  expect(onNumber.mock.calls).toEqual([[5.4]]);
});

it('does not wait where the next field is gone to, and says nothing where nothing changed', () => {
  render(shown(6));
  type('7');
  fireEvent.blur(field());
  expect(onNumber.mock.calls).toEqual([[7]]);
  rest(1000);
  expect(onNumber).toHaveBeenCalledTimes(1);
  fireEvent.focus(field());
  fireEvent.blur(field());
  expect(onNumber).toHaveBeenCalledTimes(1);
});

it('tells an empty field as none, and then shows what stands in its place', () => {
  const { rerender } = render(shown(6));
  type('');
  rest(400);
  expect(onNumber.mock.calls).toEqual([[undefined]]);
  expect(field().value).toBe('');
  fireEvent.blur(field());
  rerender(shown(4.5));
  expect(field().value).toBe('4.5');
});

it('shows a measure to the millimetre', () => {
  render(shown(2.79999999));
  expect(field().value).toBe('2.8');
});
