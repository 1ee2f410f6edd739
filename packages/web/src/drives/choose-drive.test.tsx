import type { LearnerView } from '@jasperwren/contract/learners';
import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { AdasPage } from '../base/testing-page';
import type { ChosenRoute } from '../roads/public';
import { ChooseDrive } from './ChooseDrive';

const start = jest.fn();
let chosen: (route: ChosenRoute) => void;

jest.mock('./use-start-drive', () => ({ useStartDrive: () => ({ start, starting: false }) }));
jest.mock('../roads/public', () => ({
  RouteChoice: ({ onChoose }: { readonly onChoose: typeof chosen }) => {
    chosen = onChoose;
    return null;
  },
}));

const ola = { id: 'ola', name: 'Ola Learner', standardId: tally.id, drives: 0 } as LearnerView;
const loop = { id: 'loop', name: 'Quay loop' } as CarRoute;
const choose = (route: ChosenRoute) => act(() => chosen(route));
const press = () => fireEvent.click(screen.getByRole('button', { name: 'Start mock test' }));

beforeEach(() => {
  start.mockClear();
  render(<ChooseDrive learners={[ola]} standards={[tally]} first="ola" />, { wrapper: AdasPage });
});

it('starts at once with a route that is ready, and with none', () => {
  press();
  expect(start.mock.lastCall).toMatchObject([{ route: undefined, briefing: false }]);
  choose(loop);
  press();
  expect(start.mock.lastCall).toMatchObject([{ route: loop }]);
});

it('waits for a route that was chosen just before, and starts with it', () => {
  choose('working');
  press();
  expect(start).not.toHaveBeenCalled();
  screen.getByText('Starts once the route is ready.');
  choose('working');
  expect(start).not.toHaveBeenCalled();
  choose(loop);
  expect(start.mock.calls).toMatchObject([[{ route: loop, briefing: false }]]);
});

it('starts without one where it was taken back meanwhile', () => {
  choose('working');
  press();
  choose(undefined);
  expect(start.mock.calls).toMatchObject([[{ route: undefined }]]);
});

it('does not start without a route that cannot be driven', () => {
  choose('working');
  press();
  choose('failed');
  press();
  expect(start).not.toHaveBeenCalled();
  choose(undefined);
  press();
  expect(start).toHaveBeenCalledTimes(1);
});
