import { behaviourCategories, findBehaviour } from '../../catalogue/catalogue';
import { deskRoom } from '../lint/lint';
import { setBySchool } from '../provenance';
import { gradesOf } from '../rules';
import type { Category, Item, Standard } from '../standard';
import { added, freeCode, inList, itemsOf, withField, withLimits, type Change } from './change';

/** Changes of what is observed: areas, fault types and what each can cost. */

const capitals = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/** The first of these letters that nothing has; the first of all where every one is taken. */
export function freeLetter(entries: readonly { readonly letter: string }[], wished: readonly string[]): string {
  const taken = new Set(entries.map(({ letter }) => letter));
  return [...wished, ...capitals].find((letter) => !taken.has(letter)) ?? 'A';
}

/** Adds an area without fault types; for one exercise alone, every fault type that is added to it belongs to that. */
export const withNewCategory =
  (name: string): Change =>
  (standard) =>
    added('categories', {
      code: freeCode(standard.categories),
      name,
      letter: freeLetter(
        standard.categories,
        [...name.toUpperCase()].filter((letter) => /[A-Z]/.test(letter)),
      ),
      items: [],
    })(standard);

/** Adds a whole area of the catalogue by its code, as many of its behaviours as the desk has room for. */
export const withCatalogueArea =
  (code: string): Change =>
  (standard) => {
    const group = behaviourCategories.find((one) => one.code === code);
    if (!group) return standard;
    const letter = freeLetter(standard.categories, [group.letter]);
    const own = standard.categories.some((category) => category.code === code) ? freeCode(standard.categories) : code;
    const made = added('categories', { code: own, name: group.name, letter, items: [] })(standard);
    return group.behaviours
      .slice(0, deskRoom.items)
      .reduce((is, behaviour) => withNewItem(own, behaviour.code)(is), made);
  };

/** Changes the item with this code, wherever it stands. */
export const inItem =
  (code: string, change: (item: Item) => Item): Change =>
  (standard) => ({
    ...standard,
    categories: standard.categories.map((category) =>
      category.items.some((item) => item.code === code)
        ? { ...category, items: category.items.map((item) => (item.code === code ? change(item) : item)) }
        : category,
    ),
  });

/**
 * Adds a behaviour of the catalogue to an area as a fault type, under the behaviour's own name.
 * @param exercise the exercise that it belongs to alone
 * @returns the change; it changes nothing where the catalogue has no such behaviour
 */
export const withNewItem =
  (category: string, behaviour: string, exercise?: string): Change =>
  (standard) => {
    const found = findBehaviour(behaviour);
    if (!found) return standard;
    const taken = itemsOf(standard);
    const code = taken.some((item) => item.code === behaviour) ? freeCode(taken) : behaviour;
    return inList('categories', category, (is) => ({
      ...is,
      items: [
        ...is.items,
        {
          code,
          behaviour,
          name: found.name,
          letter: freeLetter(is.items, [found.key[1]!]),
          ...(exercise !== undefined && { exercise }),
        },
      ],
    }))(standard);
  };

/** The area of an exercise: the one whose fault types all belong to it, else an empty one of its name. */
export function areaOf({ categories, exercises }: Standard, exercise: string): Category | undefined {
  const name = exercises.find(({ code }) => code === exercise)?.name;
  return (
    categories.find(({ items }) => items.length > 0 && items.every((item) => item.exercise === exercise)) ??
    categories.find((category) => category.items.length === 0 && category.name === name)
  );
}

/**
 * Adds a behaviour to each of these exercises as a fault type of its own, in the area of the exercise, which comes where
 * there is none: once an exercise, however often it is asked.
 */
export const withItemInExercises =
  (behaviour: string, exercises: readonly string[]): Change =>
  (standard) =>
    exercises.reduce((is, code) => {
      const exercise = is.exercises.find((one) => one.code === code);
      if (!exercise || itemsOf(is).some((item) => item.exercise === code && item.behaviour === behaviour)) return is;
      const ready = areaOf(is, code) ? is : withNewCategory(exercise.name)(is);
      return withNewItem(areaOf(ready, code)!.code, behaviour, code)(ready);
    }, standard);

/** Takes an item out, and out of everything that speaks of it; what is left without an item goes. */
export function withoutItem(code: string): Change {
  const others = <T extends string>(items: readonly T[]) => items.filter((item) => item !== code);
  const narrowed = <T extends { readonly items?: readonly string[] }>(entry: T): T =>
    entry.items?.includes(code) ? withField<T, 'items'>('items', others(entry.items))(entry) : entry;
  return (standard) => {
    const limits = standard.limits.flatMap((limit) => {
      const { measure, scope } = limit;
      if (scope.kind === 'item' && scope.item === code) return [];
      if (!('items' in measure) || !measure.items?.includes(code)) return [limit];
      const items = others(measure.items);
      return items.length > 0 ? [{ ...limit, measure: { ...measure, items } }] : [];
    });
    return withLimits(
      {
        ...standard,
        categories: standard.categories.map((category) => ({
          ...category,
          items: category.items.filter((item) => item.code !== code),
        })),
        caps: standard.caps
          .map((cap) => ({ ...cap, items: others(cap.items) }))
          .filter(({ items }) => items.length > 0),
        exercises: standard.exercises.map((exercise) => {
          const kept = narrowed(exercise);
          const looks = kept.looks?.filter(({ item }) => item !== code);
          return looks?.length === kept.looks?.length ? kept : withField<typeof kept, 'looks'>('looks', looks)(kept);
        }),
        questions: standard.questions.filter((question) => question.item !== code),
        options: standard.options.map((option) => ({
          ...option,
          choices: option.choices.map((choice) =>
            withField<typeof choice, 'sets'>(
              'sets',
              choice.sets?.filter((setting) => setting.kind === 'limit' || setting.item !== code),
            )(choice),
          ),
        })),
        ...(standard.course?.leaving?.item === code && { course: {} }),
        ...(standard.briefing && {
          briefing: standard.briefing.map((step) => {
            if (step.kind === 'questions') return { ...step, items: others(step.items) };
            if (step.kind !== 'checklist' && step.kind !== 'calls') return step;
            return { ...step, parts: step.parts.map((part) => (part.item === code ? { name: part.name } : part)) };
          }),
        }),
      },
      limits,
    );
  };
}

/** Takes an area out with its fault types. */
export const withoutCategory =
  (code: string): Change =>
  (standard) => {
    const items = standard.categories.find((category) => category.code === code)?.items ?? [];
    const rest = items.reduce((is, item) => withoutItem(item.code)(is), standard);
    return withLimits(
      { ...rest, categories: rest.categories.filter((category) => category.code !== code) },
      rest.limits.filter(({ scope }) => scope.kind !== 'category' || scope.category !== code),
    );
  };

/** Says what these items can cost: the grades each can have; every grade takes the saying out. */
export const withGrades =
  (items: readonly string[], grades: readonly string[]): Change =>
  (standard) => {
    const ordered = standard.grades.map(({ code }) => code).filter((code) => grades.includes(code));
    const all = ordered.length === standard.grades.length;
    return items.reduce(
      (is, code) => inItem(code, withField<Item, 'grades'>('grades', all ? undefined : ordered))(is),
      standard,
    );
  };

/** Says what these items are worth where it is not what the grade is worth; nothing takes the saying out. */
export const withPoints =
  (items: readonly string[], grade: string, value: number | undefined): Change =>
  (standard) =>
    items.reduce(
      (is, code) =>
        inItem(code, (item) => {
          const { [grade]: before, ...others } = item.points ?? {};
          const points = value === undefined ? others : { ...others, [grade]: setBySchool(value) };
          return withField<Item, 'points'>('points', Object.keys(points).length > 0 ? points : undefined)(item);
        })(is),
      standard,
    );

/** Fault types that are the same thing at the same cost, such as a line touched in each of six exercises. */
export interface Alike {
  readonly name: string;
  readonly items: readonly Item[];
}

/** The items of a standard, alike ones together: one behaviour under one name, with the same grades and points. */
export function alikeItems(standard: Standard): readonly Alike[] {
  const groups = new Map<string, Item[]>();
  for (const item of itemsOf(standard)) {
    const cost = gradesOf(standard, item).map(({ code }) => [code, item.points?.[code]?.value]);
    const key = JSON.stringify([item.behaviour, item.name, cost]);
    groups.set(key, [...(groups.get(key) ?? []), item]);
  }
  return [...groups.values()].map((items) => ({ name: items[0]!.name, items }));
}
