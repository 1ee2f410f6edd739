import { foldDrive } from '@jasperwren/core/drive/fold';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { store } from '../../../base/store';
import { AdasPage } from '../../../base/testing-page';
import { CategoryBoard } from './CategoryBoard';
import { deskOpened, done } from '../desk-slice';

const mark = (item: string, grade: string) => ({ type: 'mark', item, grade }) as const;
const ofSpeed = tally.categories.find(({ code }) => code === 'speed')!.items[0]!.code;
const drive = foldDrive(
  logOf([
    [0, start()],
    [1, mark(ofSpeed, 'dangerous')],
    ...[2, 3, 4, 5].map((minute) => [minute, mark(ofSpeed, 'serious')] as const),
    ...[6, 7, 8, 9].map((minute) => [minute, mark('signs.lights', 'driving')] as const),
  ]),
);
const tile = (name: RegExp) => screen.getByRole('button', { name });
const chosen = () => store.getState().desk.category;

beforeEach(() => {
  store.dispatch(deskOpened());
  render(<CategoryBoard standard={tally} drive={drive} />, { wrapper: AdasPage });
});

it('shows of each area what was recorded in it: up to four signs, or how many there are of each', () => {
  expect(screen.getAllByRole('button')).toHaveLength(tally.categories.length);
  expect(tile(/^Speed/).textContent).toContain('5 so far');
  expect(tile(/^Speed/).querySelectorAll('svg')).toHaveLength(2);
  expect([...tile(/^Speed/).querySelectorAll('small')].map(({ textContent }) => textContent)).toEqual(['4', '1']);
  expect(tile(/^Signs and lights/).querySelectorAll('svg')).toHaveLength(4);
  expect(tile(/^Junctions/).querySelectorAll('svg')).toHaveLength(0);
});

it('chooses an area by a touch, and goes back by another', () => {
  fireEvent.click(tile(/^Junctions/));
  expect(chosen()).toBe('junctions');
  expect(tile(/^Junctions/).getAttribute('aria-pressed')).toBe('true');
  fireEvent.click(tile(/^Junctions/));
  expect(chosen()).toBeUndefined();
  expect(tile(/^Junctions/).getAttribute('aria-pressed')).toBe('false');
});

it('keeps an area pressed while a fault is seen to land in it; touched then, it takes the next fault', () => {
  fireEvent.click(tile(/^Junctions/));
  act(() => void store.dispatch(done('Recorded.')));
  expect(tile(/^Junctions/).getAttribute('aria-pressed')).toBe('true');
  fireEvent.click(tile(/^Junctions/));
  expect(chosen()).toBe('junctions');
  act(() => void store.dispatch(done('Recorded.')));
  fireEvent.click(tile(/^Speed/));
  expect(tile(/^Junctions/).getAttribute('aria-pressed')).toBe('false');
  expect(chosen()).toBe('speed');
});
