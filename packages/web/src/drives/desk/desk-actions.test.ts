import type { EventBody } from '@jasperwren/core/drive/event';
import { logOf, start } from '@jasperwren/core/drive/testing';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { configureStore } from '@reduxjs/toolkit';
import { deskActions } from './desk-actions';
import { deskReducer, settlingChosen } from './desk-slice';

let nowMs = 0;
let bodies: (readonly [number, EventBody, string?])[] = [];
const makeStore = () => configureStore({ reducer: { desk: deskReducer } });
let store: ReturnType<typeof makeStore>;

jest.mock('../../base/store', () => ({
  addSlice: () => undefined,
  store: { getState: () => ({ ...store.getState(), driveLogs: { open: { d: { events: logOf(bodies) } } } }) },
}));
jest.mock('../log/drive-clock', () => ({ driveNowMs: () => nowMs }));

/** A desk without a screen: what is written becomes the log, what is told is kept. */
function desk(running = true, undone?: EventBody) {
  store = makeStore();
  nowMs = 0;
  bodies = [[0, start()]];
  const told: string[] = [];
  const receipts: string[] = [];
  const actions = deskActions({
    driveId: 'd',
    standard: tally,
    running,
    canMark: running,
    write: (body) => {
      bodies.push([nowMs / 60_000, body, `e${bodies.length}`]);
      return Promise.resolve(logOf(bodies).at(-1));
    },
    undoLast: () => (undone ? logOf([[0, undone]])[0] : undefined),
    tell: (text) => told.push(text),
    receipt: () => receipts.push('taken'),
    dispatch: store.dispatch as never,
  });
  return {
    actions,
    told,
    receipts,
    written: () => bodies.slice(1).map(([, body]) => body),
    state: () => store.getState().desk,
  };
}

describe('a mark', () => {
  it('is written with its receipt: what, how bad, when', () => {
    const { actions, written, receipts, state } = desk();
    nowMs = 83_000;
    actions.mark('signs.lights', 'driving');
    expect(written()).toEqual([{ type: 'mark', item: 'signs.lights', grade: 'driving' }]);
    expect(state().receipt).toBe('Driving fault: signs and lights, traffic lights, at 1:23');
    expect(receipts).toEqual(['taken']);
  });

  it('is made by nobody once the drive has ended, unless a pin is being settled', () => {
    const { actions, written } = desk(false);
    actions.mark('signs.lights', 'driving');
    expect(written()).toEqual([]);
    bodies.push([1, { type: 'pin' }, 'p']);
    store.dispatch(settlingChosen('p'));
    actions.mark('signs.lights', 'serious');
    expect(bodies.at(-1)?.[1]).toEqual({ type: 'mark', item: 'signs.lights', grade: 'serious', pin: 'p' });
  });
});

describe('before the car moves and after the end', () => {
  it('nothing is noted', () => {
    const { actions, written, told } = desk(false);
    void actions.pin();
    actions.spoke();
    actions.tookControl();
    actions.switchSection();
    actions.askToEnd();
    expect([written(), told]).toEqual([[], []]);
  });
});

describe('pins', () => {
  it('are settled one after the other; one alone is settled at once, several by the tray', () => {
    const { actions, state, told } = desk();
    nowMs = 60_000;
    void actions.pin();
    actions.openTray();
    expect(state().settling).toBe('e1');
    expect(told.at(-1)).toBe('Pin at 1:00: choose the fault.');
    nowMs = 120_000;
    void actions.pin();
    actions.settleNext();
    expect(state().settling).toBe('e2');
    actions.settleNext();
    expect(state().settling).toBe('e1');
    actions.openTray();
    expect(state().panel).toEqual({ kind: 'tray' });
  });

  it('are dropped with a reason', () => {
    const { actions, written, state } = desk();
    actions.dropPin('p', { because: 'no-fault' });
    expect(written()).toEqual([{ type: 'strike', target: 'p', because: 'no-fault' }]);
    expect(state().receipt).toBe('Pin discarded');
  });
});

describe('taking back', () => {
  it('says what was undone, or that there is nothing', () => {
    const { actions, told } = desk(true, { type: 'pin' });
    actions.undo();
    const empty = desk();
    empty.actions.undo();
    expect([told, empty.told]).toEqual([['Undone: pin'], ['Nothing to undo']]);
  });

  it('strikes the strike of a mark that is put back', () => {
    const { actions, written } = desk();
    actions.mark('signs.lights', 'driving');
    actions.strike('e1', { reason: 'It was green' });
    actions.putBack('e1');
    expect(written().slice(1)).toEqual([
      { type: 'strike', target: 'e1', reason: 'It was green' },
      { type: 'strike', target: 'e2', because: 'restored' },
    ]);
    actions.putBack('e1');
    expect(written()).toHaveLength(3);
  });
});

describe('the rest of the desk', () => {
  it('weighs the latest standing mark, and says where there is none', () => {
    const { actions, state, told } = desk();
    actions.advise();
    expect(told).toEqual(['No fault to grade yet.']);
    actions.mark('signs.lights', 'driving');
    actions.advise();
    expect(state().panel).toEqual({ kind: 'advise', markId: 'e1' });
    actions.regrade('e1', 'serious', { because: 'adviser' });
    expect(state().receipt).toBe('Grade changed: serious fault');
  });

  it('switches between guided and independent driving', () => {
    const { actions, written } = desk();
    nowMs = 60_000;
    actions.switchSection();
    nowMs = 120_000;
    actions.switchSection();
    expect(written()).toEqual([
      { type: 'section', section: 'independent' },
      { type: 'section', section: 'guided' },
    ]);
  });

  it('ends a drive with its cause', async () => {
    const { actions, written, state } = desk();
    await actions.end('abandoned', { cause: 'car', reason: 'Flat tyre' });
    expect(written()).toEqual([{ type: 'ended', ending: 'abandoned', cause: 'car', reason: 'Flat tyre' }]);
    expect(state().receipt).toBe('The mock test has ended.');
  });
});
