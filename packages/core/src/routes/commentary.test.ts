import { placeAt } from '@jasperwren/roads/testing';
import { compareCommentary, toNameOn } from './commentary';
import type { RouteReading } from './read-route';

const at = (kind: string, metres: number) => ({ kind, metres, ...placeAt(metres, 0), seconds: metres / 10 });
const route = {
  features: [at('give-way', 300), at('left-turn', 310), at('crossing', 600), at('crossing', 900), at('steep', 950)],
  line: [0, 250, 500, 750, 1000].map((x) => [placeAt(x, 0).lat, placeAt(x, 0).lon] as const),
} as unknown as Pick<RouteReading, 'features' | 'line'>;

describe('a commentary run', () => {
  it('takes what stands together for one thing, and leaves out what nobody speaks of', () => {
    expect(toNameOn(route)).toEqual([
      { kind: 'junction', metres: 300 },
      { kind: 'crossing', metres: 600 },
      { kind: 'crossing', metres: 900 },
    ]);
  });

  it('counts what was spoken of in time, once', () => {
    const named = [
      { kind: 'crossing', metres: 500 },
      { kind: 'junction', metres: 320 },
      { kind: 'parked', metres: 400 },
    ] as const;
    const { toName, besides } = compareCommentary(route, named, [], { from: 0, to: 1000 });
    expect(toName.map(({ before }) => before)).toEqual([undefined, 100, undefined]);
    expect(besides.map(({ kind }) => kind)).toEqual(['junction', 'parked']);
  });

  it('asks for nothing beyond the place one came to', () => {
    expect(compareCommentary(route, [], [], { from: 0, to: 700 }).toName).toHaveLength(2);
  });

  it('asks for nothing before the place one began at', () => {
    expect(compareCommentary(route, [], [], { from: 500, to: 1000 }).toName).toHaveLength(2);
  });

  it('shows the notes on the route where they are', () => {
    const notes = [
      { ...placeAt(750, 20), text: 'A van parks here.' },
      { ...placeAt(250, 300), text: 'Elsewhere.' },
    ];
    const found = compareCommentary(route, [], notes, { from: 0, to: 1000 }).notes;
    expect(found).toHaveLength(1);
    expect(found[0]!.text).toBe('A van parks here.');
    expect(found[0]!.metres).toBeCloseTo(750, 0);
    expect(compareCommentary(route, [], notes, { from: 0, to: 500 }).notes).toEqual([]);
  });
});
