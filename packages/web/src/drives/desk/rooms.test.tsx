import { foldDrive } from '@jasperwren/core/drive/fold';
import type { EventBody } from '@jasperwren/core/drive/event';
import { latestMark } from '@jasperwren/core/drive/latest-mark';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { graded, sequenceChecklist, strikes, tally } from '@jasperwren/core/marking/testing-standards';
import { fireEvent, render, screen } from '@testing-library/react';
import { ShortTest } from '../ShortTest';
import { AdasPage } from '../../base/testing-page';
import type { DeskActions } from './desk-actions';
import { MissedStep } from './MissedStep';
import { RoomOfMark, SoFar } from './Rooms';

const mark = (item: string, grade: string): EventBody => ({ type: 'mark', item, grade });

/** What is known a minute after these were marked, a minute apart. */
function after(standard: EffectiveStandard, ...bodies: readonly EventBody[]) {
  const log = logOf([[0, start(standard.id)], ...bodies.map((body, i) => [i + 1, body] as const)]);
  const drive = foldDrive(log);
  return { standard, verdict: judgeDrive(standard, drive), mark: latestMark(log, drive)! };
}

it('what the last mark did is said, and that it counts for nothing where it does', () => {
  const { rerender } = render(<RoomOfMark {...after(strikes, mark('mirrors.blind-spot', 'strike'))} />);
  screen.getByText('Missed observation checks: 1 of 2 left.');
  rerender(<RoomOfMark {...after(graded, mark('junctions.approach', 'g1'))} />);
  screen.getByText('Counts for nothing here.');
});

it('the result so far is said at a glance, and why once it is a fail', () => {
  const { rerender } = render(<SoFar {...after(tally, mark('signs.lights', 'driving'))} glance />);
  screen.getByText('So far: would pass');
  rerender(<SoFar {...after(tally, mark('signs.lights', 'serious'))} glance />);
  screen.getByText('Fail: 1 serious fault.');
});

it('a fault in a sequence is asked which step was missed, another is not', () => {
  const missStep = jest.fn();
  const actions = { missStep } as unknown as DeskActions;
  const turn = after(sequenceChecklist, mark('junctions.turn-across', 'not-yet'));
  const { rerender } = render(<MissedStep {...turn} actions={actions} />);
  fireEvent.click(screen.getByRole('button', { name: 'blind spot' }));
  expect(missStep).toHaveBeenCalledWith(turn.mark.id, 'blind spot');
  const missed: EventBody = { type: 'missed-step', target: 'tablet-1', step: 'blind spot' };
  rerender(
    <MissedStep {...after(sequenceChecklist, mark('junctions.turn-across', 'not-yet'), missed)} actions={actions} />,
  );
  expect(screen.getByRole('button', { pressed: true }).textContent).toBe('blind spot');
  rerender(<MissedStep {...after(tally, mark('signs.lights', 'driving'))} actions={actions} />);
  expect(screen.queryByRole('group')).toBeNull();
});

it('a short mock test is declared with a reason, and that is taken back', () => {
  const write = jest.fn();
  const { rerender } = render(<ShortTest short={undefined} write={write} />, { wrapper: AdasPage });
  fireEvent.click(screen.getByRole('button', { name: 'Count as a short mock test' }));
  fireEvent.click(screen.getByRole('button', { name: 'Short lesson' }));
  expect(write).toHaveBeenCalledWith({ type: 'short', because: 'short-lesson' });
  rerender(<ShortTest short={{ id: 'e', why: { because: 'short-lesson' } }} write={write} />);
  screen.getByText(/^Short mock test: short lesson\./);
  fireEvent.click(screen.getByRole('button', { name: 'Count as a whole one' }));
  expect(write).toHaveBeenCalledWith({ type: 'strike', target: 'e', because: 'removed' });
});
