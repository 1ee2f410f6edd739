import type { PlacedCall, RouteReading } from '@jasperwren/core/routes/read-route';
import { deviceStyle } from '@jasperwren/roads/directions/calls';
import { fireEvent, render, screen } from '@testing-library/react';
import { ListenMode } from './ListenMode';

const turn = (metres: number, way: 'left' | 'right'): PlacedCall =>
  ({
    at: metres - 150,
    distance: 150,
    nth: 1,
    decision: { kind: 'turn', turn: way, metres, after: metres + 5, edge: 1 },
  }) as PlacedCall;
const reading = {
  calls: [turn(400, 'left'), turn(1000, 'right')],
  legs: [{ mode: 'directions', from: 0, to: 2000, fromSeconds: 0, toSeconds: 200 }],
  pace: [
    [0, 0],
    [2000, 200],
  ],
  limits: [],
  metres: 2000,
} as unknown as RouteReading;
const [setPlaying, goTo] = [jest.fn(), jest.fn()];
const mode = (metres: number, playing: boolean) => (
  <ListenMode
    reading={reading}
    units="metric"
    side="left"
    metres={metres}
    playing={playing}
    setPlaying={setPlaying}
    aloud={false}
    device={deviceStyle}
    goTo={goTo}
    seed={2}
  />
);
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

it('asks nothing before a call is heard, then its opening, and what was heard wrong once more', () => {
  const { rerender } = render(mode(240, true));
  expect(screen.queryByText('Which way?')).toBeNull();
  expect(setPlaying).not.toHaveBeenCalled();
  // Heard at its time: the drive waits for the answer.
  rerender(mode(251, true));
  screen.getByText('“Turn left.”');
  screen.getByText('Which way?');
  expect(setPlaying).toHaveBeenLastCalledWith(false);
  rerender(mode(251, false));
  press('Right');
  expect(setPlaying).toHaveBeenLastCalledWith(true);
  rerender(mode(851, true));
  rerender(mode(851, false));
  press('Right');
  screen.getByText('1 of 2 right');
  // The first is begun again from before its call.
  rerender(mode(1500, false));
  press('Hear 1 missed call again');
  expect(goTo).toHaveBeenLastCalledWith(210);
  rerender(mode(251, true));
  rerender(mode(251, false));
  screen.getByText('“Turn left.”');
  press('Left');
  screen.getByText('2 of 3 right');
  rerender(mode(1500, false));
  expect(screen.queryByRole('button', { name: /missed/ })).toBeNull();
});
