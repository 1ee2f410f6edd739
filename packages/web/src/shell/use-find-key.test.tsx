import { fireEvent, renderHook } from '@testing-library/react';
import { useFindKey } from './use-find-key';

const open = jest.fn();
beforeEach(() => open.mockClear());

it.each([
  ['Ctrl K', { key: 'k', ctrlKey: true }, true],
  ['Command K', { key: 'k', metaKey: true }, true],
  ['with the capitals locked', { key: 'K', ctrlKey: true }, true],
  ['K alone', { key: 'k' }, false],
  ['Ctrl Shift K, which is the browser’s', { key: 'k', ctrlKey: true, shiftKey: true }, false],
  ['Ctrl Alt K', { key: 'k', ctrlKey: true, altKey: true }, false],
  ['another letter', { key: 'j', ctrlKey: true }, false],
])('%s', (_, key, opens) => {
  renderHook(() => useFindKey(true, open));
  // What opens it does nothing else.
  expect(fireEvent.keyDown(document, key)).toBe(!opens);
  expect(open.mock.calls).toEqual(opens ? [[true]] : []);
});

it('is off where there is nothing to find', () => {
  renderHook(() => useFindKey(false, open));
  fireEvent.keyDown(document, { key: 'k', ctrlKey: true });
  expect(open).not.toHaveBeenCalled();
});
