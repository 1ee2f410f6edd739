import type { Call } from '@jasperwren/roads/directions/calls';
import { nextCall, questionsOf, timingOf } from './rehearsal';

const call = (decision: object, more: Partial<Call> = {}): Call =>
  ({ at: 100, distance: 150, nth: 1, decision: { metres: 250, after: 260, edge: 2, ...decision }, ...more }) as Call;

describe('a rehearsal', () => {
  it('asks for the exit of a roundabout, when to signal, and the way at a junction, once', () => {
    const ring = { kind: 'roundabout', turn: 'right', exit: 3, exits: 4, notExits: 0, ring: 80 };
    const exit = { kind: 'exit', right: 3, exits: 4 };
    expect(questionsOf(call(ring), 'left')).toEqual([exit, { kind: 'signal', right: 'both' }]);
    expect(questionsOf(call(ring), 'right')).toEqual([exit, { kind: 'signal', right: 'approach' }]);
    expect(questionsOf(call({ ...ring, turn: 'ahead' }), 'left')[1]).toEqual({ kind: 'signal', right: 'exit' });
    expect(questionsOf(call(ring, { again: 'exit' }), 'left')).toEqual([]);
    expect(questionsOf(call({ kind: 'turn', turn: 'left' }), 'left')).toEqual([{ kind: 'way', right: 'left' }]);
    expect(questionsOf(call({ kind: 'turn-round' }), 'left')).toEqual([]);
  });

  it('asks for the lane where some lanes do not lead there', () => {
    const turn = { kind: 'turn', turn: 'left' };
    const lane = { kind: 'lane', right: [1, 2], lanes: 3 };
    expect(questionsOf(call({ ...turn, lanes: { use: [1, 2], of: 3 } }), 'left')).toContainEqual(lane);
    expect(questionsOf(call({ ...turn, lanes: { use: [1, 2], of: 2 } }), 'left')).toHaveLength(1);
  });

  it.each([
    [300, 'early'],
    [200, 'good'],
    [150, 'good'],
    [90, 'good'],
    [70, 'late'],
    [0, 'late'],
  ])('judges a call spoken %d m before a junction with room for 150 as %s', (before, timing) => {
    expect(timingOf({ distance: 150 }, before)).toBe(timing);
  });

  it('does not blame a call that had to come late', () => {
    expect(timingOf({ distance: 40 }, 40)).toBe('good');
    expect(timingOf({ distance: 40 }, 90)).toBe('good');
  });

  it('knows which call is next', () => {
    const calls = [call({}), call({}, { at: 400, distance: 100 })];
    expect(nextCall(calls, 0)).toBe(calls[0]);
    expect(nextCall(calls, 250)).toBe(calls[1]);
    expect(nextCall(calls, 500)).toBeUndefined();
  });
});
