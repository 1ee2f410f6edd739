import { placeAt } from '@jasperwren/roads/testing';
import { notesByCall, notesOn } from './notes-on-route';
import type { PlacedCall } from './read-route';

const line = [0, 500, 1000, 1500].map((x) => [placeAt(x, 0).lat, placeAt(x, 0).lon] as const);
const call = (metres: number, again?: 'again') =>
  ({ junction: placeAt(metres, 0), decision: { metres }, ...(again && { again }) }) as PlacedCall;
const calls = [call(500), call(500, 'again'), call(1200)];
const note = (x: number, y: number, text: string) => ({ ...placeAt(x, y), text });

describe('notes on a route', () => {
  it('are those near its line, in order, and no others', () => {
    const found = notesOn({ line }, [note(900, 20, 'hedge'), note(100, -10, 'van'), note(300, 90, 'elsewhere')]);
    expect(found.map(({ text }) => text)).toEqual(['van', 'hedge']);
    expect(found[1]!.metres).toBeCloseTo(900, 0);
  });

  it('go with the call whose junction they are at, or with the one before on the road', () => {
    const notes = [note(520, 50, 'gate'), note(900, 5, 'hedge'), note(100, 0, 'van'), note(1450, 0, 'school')];
    const texts = notesByCall({ line, calls }, notes);
    expect(calls.map((one) => texts.get(one))).toEqual([['gate', 'hedge', 'van'], undefined, ['school']]);
  });

  it('are left out where the route does not come', () => {
    expect(notesByCall({ line, calls }, [note(800, 200, 'elsewhere')]).size).toBe(0);
    expect(notesByCall({ line, calls: [] }, [note(800, 0, 'road')]).size).toBe(0);
  });
});
