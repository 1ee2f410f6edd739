import { act, render } from '@testing-library/react';
import { WheelOnceChosen } from './WheelOnceChosen';

const box = document.body.appendChild(document.createElement('div'));
const stop = box.appendChild(document.createElement('button'));
const elsewhere = document.body.appendChild(document.createElement('button'));
const scrollWheelZoom = { enable: jest.fn(), disable: jest.fn() };
jest.mock('./on-map', () => ({ useMap: () => ({ getContainer: () => box, scrollWheelZoom }) }));

it('lets the wheel zoom from when something of the picture is chosen until something else is', () => {
  const { unmount } = render(<WheelOnceChosen />);
  expect(scrollWheelZoom.enable).not.toHaveBeenCalled();
  act(() => stop.focus());
  expect(scrollWheelZoom.enable).toHaveBeenCalledTimes(1);
  expect(scrollWheelZoom.disable).not.toHaveBeenCalled();
  act(() => elsewhere.focus());
  expect(scrollWheelZoom.disable).toHaveBeenCalledTimes(1);
  unmount();
  act(() => stop.focus());
  expect(scrollWheelZoom.enable).toHaveBeenCalledTimes(1);
});
