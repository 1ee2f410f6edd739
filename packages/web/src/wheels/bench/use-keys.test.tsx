import { fireEvent, render } from '@testing-library/react';
import { useKeys } from './use-keys';

const [roll, turn] = [jest.fn(), jest.fn()];

function Bench() {
  useKeys(roll, turn);
  return (
    <>
      <input aria-label="degrees" />
      <div role="listbox">
        <button>choice</button>
      </div>
    </>
  );
}

beforeEach(() => {
  roll.mockClear();
  turn.mockClear();
});

it('rolls and turns for as long as a key is down', () => {
  render(<Bench />);
  for (const [key, to] of [
    ['ArrowUp', 1],
    ['ArrowDown', -1],
  ] as const) {
    // The page would scroll otherwise.
    expect(fireEvent.keyDown(window, { key })).toBe(false);
    expect(roll).toHaveBeenLastCalledWith(to);
    fireEvent.keyUp(window, { key });
    expect(roll).toHaveBeenLastCalledWith(0);
  }
  fireEvent.keyDown(window, { key: 'ArrowLeft' });
  fireEvent.keyUp(window, { key: 'ArrowLeft' });
  fireEvent.keyDown(window, { key: 'ArrowRight' });
  expect(turn.mock.calls).toEqual([[1], [0], [-1]]);
});

it('sets the wheel straight by S', () => {
  render(<Bench />);
  fireEvent.keyDown(window, { key: 's' });
  expect(turn.mock.calls).toEqual([[{ toDeg: 0 }]]);
});

it('leaves keys to fields, lists and the browser', () => {
  const { getByLabelText, getByRole } = render(<Bench />);
  expect(fireEvent.keyDown(getByLabelText('degrees'), { key: 'ArrowUp' })).toBe(true);
  expect(fireEvent.keyDown(getByRole('button'), { key: 'ArrowUp' })).toBe(true);
  for (const more of [{ ctrlKey: true }, { altKey: true }, { metaKey: true }])
    expect(fireEvent.keyDown(window, { key: 'ArrowUp', ...more })).toBe(true);
  expect(fireEvent.keyDown(window, { key: 'x' })).toBe(true);
  expect(roll).not.toHaveBeenCalled();
});

it('stops where the page loses the keyboard, and hears nothing once it is left', () => {
  const { unmount } = render(<Bench />);
  fireEvent.keyDown(window, { key: 'ArrowUp' });
  fireEvent.blur(window);
  expect(roll).toHaveBeenLastCalledWith(0);
  expect(turn).toHaveBeenLastCalledWith(0);
  unmount();
  roll.mockClear();
  fireEvent.keyDown(window, { key: 'ArrowUp' });
  expect(roll).not.toHaveBeenCalled();
});
