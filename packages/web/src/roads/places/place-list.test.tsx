import type { PlaceOfFaults, PlacesView } from '@jasperwren/contract/places';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { PlaceList } from './PlaceList';

jest.mock('../../base/api', () => ({
  api: { useLearnersQuery: () => ({ data: [{ id: 'l1', name: 'Ola Learner' }] }) },
}));
jest.mock('./PractiseButton', () => ({ PractiseButton: () => null }));
jest.mock('./FaultsAt', () => ({
  FaultsAt: ({ placeId }: { readonly placeId: string }) => <p>faults at {placeId}</p>,
}));

const place = (nth: number, change: Partial<PlaceOfFaults> = {}) =>
  ({
    place: { id: `p${nth}`, sort: 'road', onto: `Road ${nth}` },
    passes: 12,
    faults: 3,
    rate: 0.25,
    low: 0.1,
    high: 0.5,
    usual: 0.08,
    hot: false,
    behaviours: [],
    ...change,
  }) as unknown as PlaceOfFaults;
const view = (places: readonly PlaceOfFaults[], tooFew = 0) => ({ places, tooFew }) as PlacesView;
const onChoose = jest.fn();
const list = (props: Partial<Parameters<typeof PlaceList>[0]>) =>
  render(
    <PlaceList
      view={view([place(1)])}
      compared={undefined}
      compareTo={undefined}
      chosen={undefined}
      onChoose={onChoose}
      roads={undefined}
      {...props}
    />,
  );
const rows = () => screen.queryAllByRole('listitem');

beforeEach(() => onChoose.mockClear());

it('names each place with its faults and passes, and which have more than chance explains', () => {
  const areas = [
    { behaviour: 'junctions.observation', faults: 2 },
    { behaviour: 'mirrors.before-direction', faults: 3 },
    { behaviour: 'junctions.cutting', faults: 2 },
  ];
  list({ view: view([place(1, { hot: true, faults: 7, behaviours: areas }), place(2), place(3, { faults: 0 })], 5) });
  expect(rows()).toHaveLength(2);
  expect(rows()[0]!.textContent).toContain('7 faults in 12 passes');
  expect(rows()[0]!.textContent).toContain('Junctions 4, Mirrors 3');
  expect(rows()[0]!.textContent).toContain('more than chance explains');
  screen.getByText('One place has more faults than chance explains.');
  screen.getByText('5 more places have too few passes to say.');
  expect(screen.queryByText(/^The list ends/)).toBeNull();
});

it('says where the list ends', () => {
  list({ view: view(Array.from({ length: 15 }, (_, i) => place(i))) });
  expect(rows()).toHaveLength(14);
  screen.getByText('The list ends after 14 places: the others have lower rates.');
  screen.getByText('No place has more faults than chance explains.');
});

it('opens a place with its range and its faults, and closes it again', () => {
  const { unmount } = list({});
  fireEvent.click(within(rows()[0]!).getByRole('button'));
  expect(onChoose).toHaveBeenLastCalledWith('p1');
  unmount();
  list({ chosen: 'p1' });
  expect(rows()[0]!.textContent).toContain('0.25 per time driven through, between 0.10 and 0.50');
  expect(rows()[0]!.textContent).toContain('the same drivers elsewhere: 0.08');
  screen.getByText('faults at p1');
  fireEvent.click(within(rows()[0]!).getByRole('button', { expanded: true }));
  expect(onChoose).toHaveBeenLastCalledWith(undefined);
});

it('sets the same place of somebody else beside it, or says that they passed it too seldom', () => {
  list({
    view: view([place(1), place(2)]),
    compared: view([place(1, { rate: 0.5, passes: 4 })]),
    compareTo: 'l1',
  });
  expect(rows()[0]!.textContent).toContain('Ola Learner: 0.50 per time driven through, in 4 passes');
  expect(rows()[1]!.textContent).toContain('Ola Learner: not enough passes');
});
