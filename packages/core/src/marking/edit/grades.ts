import { countsMarks } from '../rules';
import type { Choice, Grade, Item, Setting, Standard } from '../standard';
import { added, freeCode, without, withField, withLimits, type Change } from './change';

/** Adds a grade as the most serious one. */
export const withNewGrade =
  (words: Pick<Grade, 'name' | 'plural' | 'short' | 'meaning'>): Change =>
  (standard) =>
    added('grades', { code: freeCode(standard.grades), ...words, sign: 'counted' })(standard);

/** Takes a grade out, and out of everything that names it; what is left without a grade goes. */
export function withoutGrade(code: string): Change {
  const others = (grades: readonly string[]) => grades.filter((grade) => grade !== code);
  return (standard) => {
    const limits = standard.limits.flatMap((limit): Standard['limits'] => {
      const { measure, effect } = limit;
      if ('grade' in effect && effect.grade === code) return [];
      if (!countsMarks(measure)) return [limit];
      const grades = others(measure.grades);
      return grades.length > 0 ? [{ ...limit, measure: { ...measure, grades } }] : [];
    });
    return withLimits(
      {
        ...without('grades', code)(standard),
        categories: standard.categories.map((category) => ({
          ...category,
          items: category.items.map((item) => itemWithout(item, code)),
        })),
        caps: standard.caps
          .map((cap) => ({ ...cap, grades: others(cap.grades) }))
          .filter(({ grades }) => grades.length > 0),
        options: standard.options.map((option) => ({
          ...option,
          choices: option.choices.map((choice) =>
            withField<Choice, 'sets'>(
              'sets',
              choice.sets?.flatMap((setting) => settingWithout(setting, code)),
            )(choice),
          ),
        })),
      },
      limits,
    );
  };
}

/** What a choice sets, without a grade; nothing where nothing is left of it. */
function settingWithout(setting: Setting, grade: string): readonly Setting[] {
  if (setting.kind === 'limit') return [setting];
  if (setting.kind === 'grades') {
    const grades = setting.grades.filter((one) => one !== grade);
    return grades.length > 0 ? [{ ...setting, grades }] : [];
  }
  const bands = setting.bands.filter((band) => band.grade !== grade);
  return bands.length > 0 ? [{ ...setting, bands }] : [];
}

/** An item without a grade; what was measured for nothing else is no longer measured. */
function itemWithout(item: Item, grade: string): Item {
  const { [grade]: before, ...points } = item.points ?? {};
  const bands = item.measured?.bands.filter((band) => band.grade !== grade);
  const kept = {
    ...item,
    ...(item.grades && { grades: item.grades.filter((code) => code !== grade) }),
    ...(item.measured && { measured: { ...item.measured, bands: bands! } }),
  };
  const worth = withField<Item, 'points'>('points', Object.keys(points).length > 0 ? points : undefined)(kept);
  return bands?.length === 0 ? withField<Item, 'measured'>('measured', undefined)(worth) : worth;
}

/** Adds a class of error that cuts across the areas. */
export const withNewClass =
  (name: string): Change =>
  (standard) =>
    added('classes', { code: freeCode(standard.classes), name })(standard);

/** Takes a class out, and out of the items and limits that name it. */
export const withoutClass =
  (code: string): Change =>
  (standard) =>
    withLimits(
      withoutEmptyClasses({
        ...without('classes', code)(standard),
        categories: standard.categories.map((category) => ({
          ...category,
          items: category.items.map((item) =>
            item.class === code ? withField<Item, 'class'>('class', undefined)(item) : item,
          ),
        })),
      }),
      standard.limits.filter(({ scope }) => scope.kind !== 'class' || scope.class !== code),
    );

const withoutEmptyClasses = (standard: Standard): Standard =>
  withField<Standard, 'classes'>('classes', standard.classes)(standard);
