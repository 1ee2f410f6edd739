import type { Call } from '@jasperwren/roads/directions/calls';
import { nextCall, questionOf, timingOf } from './rehearsal';

const call = (decision: object, more: Partial<Call> = {}): Call =>
  ({ at: 100, distance: 150, nth: 1, decision: { metres: 250, after: 260, edge: 2, ...decision }, ...more }) as Call;

describe('a rehearsal', () => {
  it('asks for the exit of a roundabout and the way at a junction, once', () => {
    const ring = { kind: 'roundabout', turn: 'right', exit: 3, exits: 4, notExits: 0, ring: 80 };
    expect(questionOf(call(ring))).toEqual({ kind: 'exit', right: 3, exits: 4 });
    expect(questionOf(call(ring, { again: 'exit' }))).toBeUndefined();
    expect(questionOf(call({ kind: 'turn', turn: 'left' }))).toEqual({ kind: 'way', right: 'left' });
    expect(questionOf(call({ kind: 'turn-round' }))).toBeUndefined();
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
