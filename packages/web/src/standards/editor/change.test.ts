import { lintStandard } from '@jasperwren/core/marking/lint';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import { inItem, inList, moveCategory, without, withoutItem } from './change';

const codes = ({ categories }: Pick<typeof tally, 'categories'>) => categories.map(({ code }) => code);

describe('changes of a standard', () => {
  it('say of a number that the school has set it', () => {
    const changed = inList('limits', 'driving-faults', { allowed: setBySchool(12) })(tally);
    expect(changed.limits[0]?.allowed).toEqual({
      value: 12,
      provenance: { kind: 'set by the school' },
    });
    expect(changed.limits.slice(1)).toEqual(tally.limits.slice(1));
  });

  it('move a category up and down, and back to where it was', () => {
    const [first, second, third] = codes(tally) as [string, string, string];
    expect(codes(moveCategory(first, third)(tally)).slice(0, 3)).toEqual([second, third, first]);
    expect(codes(moveCategory(third, first)(tally)).slice(0, 3)).toEqual([third, first, second]);
    expect(moveCategory(first, third)(moveCategory(third, first)(tally)).categories).toHaveLength(19);
  });

  it('take an item out of caps and questions as well', () => {
    const changed = withoutItem('checks', 'checks.show')(tally);
    expect(changed.caps[0]?.items).toEqual(['checks.tell']);
    expect(changed.questions.map(({ item }) => item)).toEqual(['checks.tell']);
    expect(lintStandard(changed)).toEqual([]);
  });

  it('rename an item, and drop a limit', () => {
    const changed = without('limits', 'habit')(inItem('signs', 'signs.lights', { name: 'Light signals' })(tally));
    expect(changed.categories.find(({ code }) => code === 'signs')?.items[0]?.name).toBe('Light signals');
    expect(changed.limits).toHaveLength(2);
  });
});
