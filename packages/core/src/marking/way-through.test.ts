import fc from 'fast-check';
import { exercisesAsked, mayFollow, waysThrough } from './way-through';

/** A course written as "a>b,c": what may follow stands after the sign, and the next in the list without it. */
const course = (...exercises: string[]) =>
  exercises.map((text) => {
    const [code, next] = text.split('>');
    return { code: code!, ...(next !== undefined && { next: next.split(',') }) };
  });
const next = (exercises: ReturnType<typeof course>, ...driven: string[]) =>
  mayFollow(exercises, driven).map(({ code }) => code);

describe('a course without branches', () => {
  const straight = course('a', 'b', 'c');

  it('is driven in its order, and what was left out comes last', () => {
    expect(next(straight)).toEqual(['a']);
    expect(next(straight, 'a')).toEqual(['b']);
    expect(next(straight, 'b')).toEqual(['a']);
    expect(next(straight, 'c', 'a')).toEqual(['b']);
    expect(next(straight, 'a', 'b', 'c')).toEqual([]);
    expect(waysThrough(straight)).toEqual([['a', 'b', 'c']]);
    expect(exercisesAsked(straight, ['b'])).toBe(3);
  });

  it('of no exercise has no way through it', () => {
    expect(waysThrough([])).toEqual([]);
    expect(exercisesAsked([], [])).toBe(0);
  });
});

describe('a course with branches', () => {
  // After a either b and its sequel, or c alone; d ends both.
  const branching = course('a>b,c', 'b', 'sequel>d', 'c', 'd');

  it('offers both, and drops the one that was not taken with all that only it leads to', () => {
    expect(next(branching, 'a')).toEqual(['b', 'c']);
    expect(next(branching, 'a', 'c')).toEqual(['d']);
    expect(next(branching, 'a', 'c', 'd')).toEqual([]);
    expect(next(branching, 'a', 'b')).toEqual(['sequel']);
    expect(next(branching, 'a', 'b', 'sequel', 'd')).toEqual([]);
    expect(waysThrough(branching)).toEqual([
      ['a', 'b', 'sequel', 'd'],
      ['a', 'c', 'd'],
    ]);
  });

  it('counts the exercises of the way that was taken', () => {
    expect(exercisesAsked(branching, ['a', 'c'])).toBe(3);
    expect(exercisesAsked(branching, ['a', 'b'])).toBe(4);
    expect(exercisesAsked(branching, ['a'])).toBe(4);
    // Both branches were driven, as no way has it.
    expect(exercisesAsked(branching, ['b', 'c'])).toBe(4);
  });

  it('keeps a branch that may still follow the one that was taken', () => {
    const eitherFirst = course('a>b,c', 'b>c', 'c>b');
    expect(waysThrough(eitherFirst)).toEqual([
      ['a', 'b', 'c'],
      ['a', 'c', 'b'],
    ]);
  });
});

it('never asks for an exercise twice, and ends, however an editor wired it', () => {
  const codes = ['a', 'b', 'c', 'd', 'e'];
  const wiring = fc.array(fc.option(fc.uniqueArray(fc.constantFrom(...codes), { maxLength: 3 })), {
    minLength: 5,
    maxLength: 5,
  });
  fc.assert(
    fc.property(wiring, (all) => {
      const exercises = codes.map((code, i) => ({ code, ...(all[i] && { next: all[i] }) }));
      const ways = waysThrough(exercises);
      expect(ways.length).toBeGreaterThan(0);
      for (const way of ways) {
        expect(new Set(way).size).toBe(way.length);
        expect(way[0]).toBe('a');
        expect(mayFollow(exercises, way)).toEqual([]);
      }
    }),
  );
});

it('goes through at most 256 ways', () => {
  const codes = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];
  const anyOrder = codes.map((code) => ({ code, next: codes.filter((other) => other !== code) }));
  expect(waysThrough(anyOrder)).toHaveLength(256);
});
