import type { LikelyItem } from '@jasperwren/core/marking/likely';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { store } from '../../../base/store';
import { AdasPage } from '../../../base/testing-page';
import type { DeskActions } from '../desk-actions';
import { deskOpened } from '../desk-slice';
import { Matrix } from './Matrix';

const mark = jest.fn();
const actions = { canMark: true, mark } as unknown as DeskActions;
const likely = [{ item: 'signs.lights', inLastDrive: 0 }] as unknown as readonly LikelyItem[];
const matrix = (counts: ReadonlyMap<string, number>) => (
  <Matrix standard={tally} likely={likely} counts={counts} settling={undefined} actions={actions} />
);
const cell = () => screen.getByRole('button', { name: /^Traffic lights: driving fault/ });

it('shows a fault in its cell before anything follows from it, once, and not after it was undone', async () => {
  store.dispatch(deskOpened());
  const { rerender } = render(matrix(new Map()), { wrapper: AdasPage });
  expect(cell().getAttribute('aria-label')).toBe('Traffic lights: driving fault');
  fireEvent.click(cell());
  expect(cell().getAttribute('aria-label')).toContain('1 so far');
  expect(mark).not.toHaveBeenCalled();
  await act(() => new Promise((later) => setTimeout(later, 150)));
  expect(mark).toHaveBeenCalledWith('signs.lights', 'driving');
  rerender(matrix(new Map([['signs.lights driving', 1]])));
  expect(cell().getAttribute('aria-label')).toContain('1 so far');
  rerender(matrix(new Map()));
  expect(cell().getAttribute('aria-label')).toBe('Traffic lights: driving fault');
});
