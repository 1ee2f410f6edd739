import { lintStandard } from '../lint/lint';
import { setBySchool } from '../provenance';
import type { Item, Limit, Standard } from '../standard';
import { templates } from '../templates';
import { attemptsYard, tally, timedYard } from '../testing-standards';
import { freeCode, inList, moved, withField, without } from './change';
import { withNewExercise, withoutExercise } from './exercises';
import { withNewClass, withNewGrade, withoutClass, withoutGrade } from './grades';
import {
  alikeItems,
  inItem,
  withCatalogueArea,
  withGrades,
  withItemInExercises,
  withNewCategory,
  withNewItem,
  withoutCategory,
  withoutItem,
  withPoints,
} from './items';
import { withNewCap, withoutLimit } from './limits';

const codes = ({ categories }: Pick<Standard, 'categories'>) => categories.map(({ code }) => code);
const newGrade = { name: 'new grade', plural: 'new grades', short: 'new', meaning: 'New.' };

describe('changes of a standard', () => {
  it('say of a number that the school has set it', () => {
    const changed = inList('limits', 'driving-faults', withField<Limit, 'allowed'>('allowed', setBySchool(12)))(tally);
    expect(changed.limits[0]?.allowed).toEqual({ value: 12, provenance: { kind: 'set by the school' } });
    expect(changed.limits.slice(1)).toEqual(tally.limits.slice(1));
  });

  it('take a field out that says nothing any more', () => {
    const item = { name: 'x', sequence: ['a'] } as unknown as Item;
    expect(withField<Item, 'sequence'>('sequence', [])(item)).not.toHaveProperty('sequence');
    expect(withField<Item, 'name'>('name', '')(item)).not.toHaveProperty('name');
  });

  it('move a category up and down, and back to where it was', () => {
    const [first, second, third] = codes(tally) as [string, string, string];
    expect(codes(moved('categories', first, third)(tally)).slice(0, 3)).toEqual([second, third, first]);
    expect(codes(moved('categories', third, first)(tally)).slice(0, 3)).toEqual([third, first, second]);
    expect(codes(moved('categories', first, 'nowhere')(tally))).toEqual(codes(tally));
    expect(codes(moved('categories', third, first)(moved('categories', first, third)(tally)))).not.toEqual([]);
  });

  it('take an item out of all that speaks of it', () => {
    const changed = withoutItem('checks.show')(tally);
    expect(changed.caps[0]?.items).toEqual(['checks.tell']);
    expect(changed.questions.map(({ item }) => item)).toEqual(['checks.tell']);
    expect(lintStandard(changed)).toEqual([]);
    for (const standard of [timedYard, attemptsYard])
      for (const item of standard.categories.flatMap(({ items }) => items)) {
        const rest = JSON.stringify(withoutItem(item.code)(standard));
        expect(rest).not.toContain(`"${item.code}"`);
      }
  });

  it('rename an item, and drop a limit', () => {
    const renamed = inItem('signs.lights', withField<Item, 'name'>('name', 'Light signals'))(tally);
    const changed = without('limits', 'habit')(renamed);
    expect(changed.categories.find(({ code }) => code === 'signs')?.items[0]?.name).toBe('Light signals');
    expect(changed.limits).toHaveLength(2);
  });

  it('add a grade, and take it out of everything that named it', () => {
    const more = withNewGrade(newGrade)(tally);
    expect(more.grades.map(({ code }) => code)).toEqual(['driving', 'serious', 'dangerous', 'own-1']);
    expect(withoutGrade('own-1')(more)).toEqual(tally);
    const fewer = withoutGrade('serious')(tally);
    expect(JSON.stringify([fewer.limits, fewer.caps, fewer.categories])).not.toContain('"serious"');
    expect(fewer.limits.length).toBeGreaterThan(0);
  });

  it('take a grade out of what is measured too', () => {
    const fewer = withoutGrade('fail')(timedYard);
    const measured = fewer.categories.flatMap(({ items }) => items.flatMap((item) => item.measured ?? []));
    expect(measured.flatMap(({ bands }) => bands.map(({ grade }) => grade))).toEqual(['demerit']);
    expect(JSON.stringify(fewer.limits)).not.toContain('"fail"');
  });

  it('add a class, and take it out of the items that had it', () => {
    const more = withNewClass('Lookout')(tally);
    const classed = inItem('signs.lights', withField<Item, 'class'>('class', 'own-1'))(more);
    expect(lintStandard(classed)).toEqual([]);
    expect(withoutClass('own-1')(classed)).toEqual(tally);
  });

  it('add an exercise, and take one out with what holds for it alone', () => {
    expect(withNewExercise({ name: 'New' })(tally).exercises.at(-1)?.code).toBe('own-1');
    expect(withoutExercise('own-1')(withNewExercise({ name: 'New' })(tally))).toEqual(tally);
    const fewer = withoutExercise('slope')(timedYard);
    expect(JSON.stringify([fewer.limits, fewer.requirements, fewer.categories])).not.toContain('"exercise":"slope"');
    expect(lintStandard(fewer)).toEqual([]);
  });

  it('leave nothing that names what was taken out', () => {
    const names = (standard: Standard) => lintStandard(standard).filter(({ is }) => is.code === 'noSuch');
    for (const standard of templates) {
      for (const { code } of standard.grades) expect([code, names(withoutGrade(code)(standard))]).toEqual([code, []]);
      for (const { code } of standard.exercises)
        expect([code, names(withoutExercise(code)(standard))]).toEqual([code, []]);
      for (const { code } of standard.categories)
        expect([code, names(withoutCategory(code)(standard))]).toEqual([code, []]);
      for (const { code } of standard.limits) expect([code, names(withoutLimit(code)(standard))]).toEqual([code, []]);
      for (const { code } of standard.classes ?? [])
        expect([code, names(withoutClass(code)(standard))]).toEqual([code, []]);
    }
  });

  it('add a cap over the first fault type, and none where there is no fault type', () => {
    const capped = withNewCap('New cap')(tally);
    expect(capped.caps.at(-1)).toMatchObject({ code: 'own-1', atMost: { value: 1 } });
    expect(lintStandard(capped)).toEqual([]);
    expect(withNewCap('New cap')({ ...tally, categories: [] }).caps).toEqual(tally.caps);
  });
});

describe('areas and fault types', () => {
  it('come with a code and a letter that nothing has', () => {
    const area = withNewCategory('Crossroads')(tally);
    const { code, letter } = area.categories.at(-1)!;
    expect(tally.categories.map((category) => category.letter)).not.toContain(letter);
    const twice = withNewItem(code, 'signs.lights')(withNewItem(code, 'mirrors.blind-spot')(area));
    const items = twice.categories.at(-1)!.items;
    expect(items.map((item) => item.behaviour)).toEqual(['mirrors.blind-spot', 'signs.lights']);
    // Both stand in another area already, under their own code.
    expect(new Set(items.map((item) => item.code)).size).toBe(2);
    expect(new Set(items.map((item) => item.letter)).size).toBe(2);
    expect(withNewItem(code, 'no.such')(area)).toBe(area);
    expect(withoutCategory(code)(twice)).toEqual(tally);
    expect(freeCode([{ code: 'own-1' }, { code: 'own-3' }])).toBe('own-2');
  });

  it('come from the catalogue as a whole', () => {
    const blank = { ...tally, categories: [] };
    const made = withCatalogueArea('signs')(withCatalogueArea('set-up')(blank));
    expect(made.categories.map(({ code }) => code)).toEqual(['set-up', 'signs']);
    expect(made.categories[0]!.items.map(({ code }) => code)).toContain('set-up.mirrors');
    const twice = withCatalogueArea('signs')(made);
    expect(new Set(twice.categories.map(({ letter }) => letter)).size).toBe(3);
    expect(new Set(twice.categories.flatMap(({ items }) => items.map(({ code }) => code))).size).toBe(
      twice.categories.flatMap(({ items }) => items).length,
    );
    expect(withCatalogueArea('no such')(made)).toBe(made);
  });

  it('are added to each exercise once, in an area of its own', () => {
    const exercises = timedYard.exercises.map(({ code }) => code);
    const bare = { ...timedYard, categories: [] };
    const made = withItemInExercises('yard.line', exercises)(bare);
    expect(made.categories.map(({ name }) => name)).toEqual(timedYard.exercises.map(({ name }) => name));
    expect(made.categories.flatMap(({ items }) => items.map((item) => item.exercise))).toEqual(exercises);
    expect(withItemInExercises('yard.line', exercises)(made)).toEqual(made);
    const more = withItemInExercises('yard.stalled', exercises)(made);
    expect(more.categories).toHaveLength(5);
    expect(alikeItems(more).map(({ items }) => items.length)).toEqual([5, 5]);
  });

  it('cost the same while they are alike', () => {
    const touched = alikeItems(attemptsYard).find(({ items }) => items[0]!.behaviour === 'yard.line')!;
    expect(touched.items).toHaveLength(7);
    const items = touched.items.map(({ code }) => code);
    const all = attemptsYard.grades.map(({ code }) => code);
    const free = withGrades(items, all)(attemptsYard);
    expect(alikeItems(free).find(({ items: [item] }) => item!.code === items[0])!.items[0]).not.toHaveProperty(
      'grades',
    );
    const worth = withPoints([items[0]!], 'ends', 3)(attemptsYard);
    expect(alikeItems(worth).filter(({ items: [item] }) => item!.behaviour === 'yard.line')).toHaveLength(2);
    expect(withPoints([items[0]!], 'ends', undefined)(worth)).toEqual(attemptsYard);
  });
});
