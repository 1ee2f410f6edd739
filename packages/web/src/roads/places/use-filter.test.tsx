import { act, renderHook } from '@testing-library/react';
import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { MemoryRouter, useLocation } from 'react-router';
import { spanOf, useFilter } from './use-filter';

const page = (address: string) =>
  renderHook(() => ({ ...useFilter(), address: useLocation().search }), {
    wrapper: ({ children }: { readonly children: ReactNode }) => (
      <MemoryRouter initialEntries={[address]}>{children}</MemoryRouter>
    ),
  });
const daysAgo = (days: number) => dayjs().subtract(days, 'day').format('YYYY-MM-DD');

it('looks at the last ninety days of everybody where the address says nothing', () => {
  const { result } = page('/routes/places');
  expect(result.current.filter).toEqual({ since: daysAgo(90) });
  expect(result.current.compare).toBeUndefined();
});

it('reads what is looked at from the address, and leaves out what is none of it', () => {
  const { result } = page(
    '/routes/places?learner=l1&area=junctions&severity=outright&span=30&compare=school&colour=red',
  );
  expect(result.current.filter).toEqual({ learner: 'l1', area: 'junctions', severity: 'outright', since: daysAgo(30) });
  expect(result.current.compare).toBe('school');
});

it('counts all drives where that is chosen, and the usual span where the address says nonsense', () => {
  expect(page('/?span=all').result.current.filter).toEqual({});
  expect(spanOf(new URLSearchParams('span=-3'))).toBe('90');
  expect(spanOf(new URLSearchParams('span=365'))).toBe('365');
});

it('writes a choice into the address; a type of fault goes with its area', () => {
  const { result } = page('/?area=junctions&behaviour=junctions.cutting&learner=l1');
  act(() => result.current.change('area', 'speed'));
  expect(result.current.address).toBe('?area=speed&learner=l1');
  act(() => result.current.change('learner', ''));
  expect(result.current.filter).toEqual({ area: 'speed', since: daysAgo(90) });
});
