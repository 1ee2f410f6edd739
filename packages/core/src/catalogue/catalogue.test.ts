import { behaviourCategories, behaviours, findBehaviour } from './catalogue';

describe('the catalogue of behaviours', () => {
  it('gives every behaviour a code and a two-letter key of its own', () => {
    expect(new Set(behaviours.map((b) => b.code)).size).toBe(behaviours.length);
    expect(new Set(behaviours.map((b) => b.key)).size).toBe(behaviours.length);
    for (const b of behaviours) {
      expect(b.key).toMatch(/^[A-Z]{2}$/);
      expect(b.code).toMatch(/^[a-z-]+\.[a-z-]+$/);
      expect(b.code.startsWith(`${b.category}.`)).toBe(true);
      expect(b.explanation).toMatch(/^[A-Z].+\.$/);
    }
  });

  it('gives every category a letter of its own, in the order of a drive', () => {
    const letters = behaviourCategories.map((c) => c.letter);
    expect(new Set(letters).size).toBe(letters.length);
    expect(letters.slice(0, 4)).toEqual(['Q', 'S', 'K', 'M']);
    expect(letters.at(-1)).toBe('Y');
  });

  it('finds a behaviour by its code, and nothing for a strange one', () => {
    expect(findBehaviour('junctions.observation')?.key).toBe('JO');
    expect(findBehaviour('junctions.flying')).toBeUndefined();
  });

  it('keeps every category short enough for one screen of the desk', () => {
    for (const c of behaviourCategories) expect(c.behaviours.length).toBeLessThanOrEqual(12);
  });
});
