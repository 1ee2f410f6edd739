import { tally } from '../marking/testing-standards';
import { weakFeatures } from './weak-features';

const area = (category: string, total: number) => ({ category, name: category.toUpperCase(), byGrade: {}, total });

describe('what a learner should meet more of', () => {
  it('follows from the areas with most faults over several mock tests', () => {
    const { areas, kinds } = weakFeatures([
      [area('roundabouts', 3), area('crossings', 1)],
      [area('crossings', 1), area('set-up', 9)],
    ]);
    expect(areas).toEqual([
      { name: 'ROUNDABOUTS', faults: 3 },
      { name: 'CROSSINGS', faults: 2 },
    ]);
    expect(kinds).toEqual(['mini-roundabout', 'roundabout-ahead', 'roundabout-right', 'crossing']);
  });

  it('is nothing after a single fault, and of three areas at most', () => {
    expect(weakFeatures([[area('junctions', 1)]])).toEqual({ areas: [], kinds: [] });
    const many = ['junctions', 'crossings', 'speed', 'signs', 'meeting'].map((code, i) => area(code, 9 - i));
    expect(weakFeatures([many]).areas.map(({ name }) => name)).toEqual(['JUNCTIONS', 'CROSSINGS', 'SPEED']);
    expect(new Set(weakFeatures([many, many]).kinds).size).toBe(weakFeatures([many, many]).kinds.length);
  });

  it('knows areas by the codes of the standards', () => {
    const codes = tally.categories.map(({ code }) => area(code, 2));
    expect(codes.filter((one) => weakFeatures([[one]]).kinds.length > 0).length).toBeGreaterThan(9);
  });
});
