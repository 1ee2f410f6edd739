import { lintStandard } from '@jasperwren/core/marking/lint/lint';
import { tally, timedYard } from '@jasperwren/core/marking/testing-standards';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import {
  inItem,
  inList,
  moveCategory,
  withNewCap,
  withNewExercise,
  withNewGrade,
  without,
  withoutExercise,
  withoutGrade,
  withoutItem,
} from './change';

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

  it('add a grade, and take it out of everything that named it', () => {
    const more = withNewGrade(tally);
    expect(more.grades.map(({ code }) => code)).toEqual(['driving', 'serious', 'dangerous', 'own-1']);
    expect(withoutGrade('own-1')(more)).toEqual(tally);
    const fewer = withoutGrade('serious')(tally);
    expect(JSON.stringify([fewer.limits, fewer.caps, fewer.categories])).not.toContain('"serious"');
    expect(fewer.limits.length).toBeGreaterThan(0);
  });

  it('add an exercise, and take one out with what holds for it alone', () => {
    expect(withNewExercise(tally).exercises.at(-1)?.code).toBe('own-1');
    expect(withoutExercise('own-1')(withNewExercise(tally))).toEqual(tally);
    const fewer = withoutExercise('slope')(timedYard);
    expect(JSON.stringify([fewer.limits, fewer.requirements, fewer.categories])).not.toContain('"exercise":"slope"');
    expect(lintStandard(fewer)).toEqual([]);
  });

  it('add a cap over the first fault type, and none where there is no fault type', () => {
    const capped = withNewCap(tally);
    expect(capped.caps.at(-1)).toMatchObject({ code: 'own-1', atMost: { value: 1 } });
    expect(lintStandard(capped)).toEqual([]);
    expect(withNewCap({ ...tally, categories: [] }).caps).toEqual(tally.caps);
  });
});
