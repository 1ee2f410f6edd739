import type { Call } from '@jasperwren/roads/directions/calls';
import type { Decision } from '@jasperwren/roads/directions/decisions';
import { callSentence } from './directions';
import { aheadWords, lengthWords } from './distances';

const where = { metres: 500, after: 520, edge: 3 };
const call = (decision: Partial<Decision>, more: Partial<Call> = {}): Call => ({
  at: 340,
  distance: 160,
  nth: 1,
  decision: { ...where, ...decision } as Decision,
  ...more,
});
const instructor = { speaker: 'instructor' } as const;

describe('what is said before a junction', () => {
  const turn = { kind: 'turn', turn: 'left' } as const;
  const round = { kind: 'roundabout', turn: 'right', exit: 3, exits: 4, notExits: 0, ring: 100 } as const;

  it.each<[string, Call]>([
    ['Turn left.', call(turn)],
    ['Take the second road on the left.', call(turn, { nth: 2 })],
    ['At the traffic lights, turn left.', call({ ...turn, at: 'signals' }, { nth: 2 })],
    ['At the end of the road, turn right.', call({ kind: 'turn', turn: 'right', at: 'end-of-road' })],
    ['At the roundabout, turn right, third exit.', call(round)],
    [
      'At the mini roundabout, go straight ahead, second exit.',
      call({ ...round, kind: 'mini', turn: 'ahead', exit: 2 }),
    ],
    ['Take the exit.', call(round, { again: 'exit' })],
    ['Turn left, then at the roundabout, turn right, third exit.', call(turn, { then: { ...where, ...round } })],
    ['Take the slip road on the left, signed Upper Town.', call({ kind: 'slip', turn: 'left', toward: 'Upper Town' })],
    ['Turn left; use the left-hand lane.', call({ ...turn, lanes: { use: [1], of: 3 } })],
    [
      'Bear left; use one of the 2 left-hand lanes.',
      call({ kind: 'bear', turn: 'left', lanes: { use: [1, 2], of: 3 } }),
    ],
  ])('%s', (sentence, made) => {
    expect(callSentence(made, instructor, 'miles')).toBe(sentence);
  });

  it('a device says how far, the first time', () => {
    const device = { speaker: 'device' } as const;
    expect(callSentence(call(turn, { distance: 275 }), device, 'miles')).toBe('In 300 yards, turn left.');
    expect(callSentence(call(turn, { distance: 275 }), device, 'metric')).toBe('In 300 metres, turn left.');
    expect(callSentence(call(turn, { distance: 40, again: 'again' }), device, 'miles')).toBe('Turn left.');
  });
});

describe('distances', () => {
  it.each([
    [45, '50 yards'],
    [183, '200 yards'],
    [800, 'half a mile'],
    [1609, '1 mile'],
    [4000, '2.5 miles'],
  ])('%d m are %s', (metres, words) => expect(aheadWords(metres, 'miles')).toBe(words));

  it('of a whole way', () => {
    expect(lengthWords(17_200, 'miles')).toBe('10.7 miles');
    expect(lengthWords(17_200, 'metric')).toBe('17.2 km');
  });
});
