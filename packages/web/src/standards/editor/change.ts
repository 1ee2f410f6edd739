import { arrayMove } from '@dnd-kit/sortable';
import { t } from '@jasperwren/words/editor';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import { countsMarks } from '@jasperwren/core/marking/rules';
import type { Category, Item, Standard } from '@jasperwren/core/marking/standard';

/** A change of a standard, as a function from what it was to what it is to be. */
export type Change = (standard: Standard) => Standard;

type List = 'grades' | 'limits' | 'caps' | 'options' | 'exercises';

/** Changes the entry with this code in one of the lists. */
export function inList<L extends List>(list: L, code: string, changes: Partial<Standard[L][number]>): Change {
  return (standard) => ({
    ...standard,
    [list]: standard[list].map((entry) => (entry.code === code ? { ...entry, ...changes } : entry)),
  });
}

/** Takes the entry with this code out of one of the lists. */
export function without(list: List, code: string): Change {
  return (standard) => ({ ...standard, [list]: standard[list].filter((entry) => entry.code !== code) });
}

export function inCategory(code: string, change: (category: Category) => Category): Change {
  return (standard) => ({
    ...standard,
    categories: standard.categories.map((category) => (category.code === code ? change(category) : category)),
  });
}

export function inItem(category: string, code: string, changes: Partial<Item>): Change {
  return inCategory(category, (of) => ({
    ...of,
    items: of.items.map((item) => (item.code === code ? { ...item, ...changes } : item)),
  }));
}

/** Sets a field that an item may lack; undefined takes it out. */
export const setOptional = <K extends 'measured' | 'sensors'>(
  category: string,
  code: string,
  field: K,
  value: Item[K] | undefined,
): Change =>
  inCategory(category, (of) => ({
    ...of,
    items: of.items.map((item) => {
      if (item.code !== code) return item;
      const { [field]: before, ...others } = item;
      return (value === undefined ? others : { ...others, [field]: value }) as Item;
    }),
  }));

/** Takes an item out, and out of every cap and question that speaks of it. */
export function withoutItem(category: string, code: string): Change {
  return (standard) => ({
    ...inCategory(category, (of) => ({ ...of, items: of.items.filter((item) => item.code !== code) }))(standard),
    caps: standard.caps
      .map((cap) => ({ ...cap, items: cap.items.filter((item) => item !== code) }))
      .filter((cap) => cap.items.length > 0),
    questions: standard.questions.filter((question) => question.item !== code),
  });
}

/** Moves a category to where another one is. */
export const moveCategory =
  (from: string, to: string): Change =>
  (standard) => ({ ...standard, categories: movedTo(standard.categories, from, to) });

/** A list with one of it where another is. */
export function movedTo<T extends { readonly code: string }>(
  list: readonly T[],
  from: string,
  to: string,
): readonly T[] {
  const at = (code: string) => list.findIndex((one) => one.code === code);
  return at(from) < 0 || at(to) < 0 ? list : arrayMove([...list], at(from), at(to));
}

/** Adds a category without items, with the first letter and code that are free. */
export const withNewCategory: Change = (standard) => {
  const letters = new Set(standard.categories.map(({ letter }) => letter));
  const letter = [...'BDHUWZABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((candidate) => !letters.has(candidate)) ?? 'A';
  const code = freeCode(standard.categories);
  return { ...standard, categories: [...standard.categories, { code, name: t('newArea'), letter, items: [] }] };
};

/** A code that none of these has: own-1, own-2, … */
export function freeCode(entries: readonly { readonly code: string }[]): string {
  const taken = new Set(entries.map(({ code }) => code));
  let n = 1;
  while (taken.has(`own-${n}`)) n += 1;
  return `own-${n}`;
}

/** Adds a grade as the most serious one. */
export const withNewGrade: Change = (standard) => ({
  ...standard,
  grades: [
    ...standard.grades,
    {
      code: freeCode(standard.grades),
      name: t('newGrade'),
      plural: t('newGrades'),
      short: t('new'),
      sign: 'counted',
      meaning: t('whatItMeans'),
    },
  ],
});

/** Takes a grade out, and out of every limit, cap and fault type that names it; what is left without a grade goes. */
export function withoutGrade(code: string): Change {
  return (standard) => {
    const others = (grades: readonly string[]) => grades.filter((grade) => grade !== code);
    return {
      ...without('grades', code)(standard),
      categories: standard.categories.map((category) => ({
        ...category,
        items: category.items.map((item) => {
          const { grades, ...rest } = item;
          return grades ? { ...rest, grades: others(grades) } : item;
        }),
      })),
      limits: standard.limits.flatMap((limit) => {
        const { measure, effect } = limit;
        if ('grade' in effect && effect.grade === code) return [];
        if (!countsMarks(measure)) return [limit];
        const grades = others(measure.grades);
        return grades.length > 0 ? [{ ...limit, measure: { ...measure, grades } }] : [];
      }),
      caps: standard.caps
        .map((cap) => ({ ...cap, grades: others(cap.grades) }))
        .filter(({ grades }) => grades.length > 0),
    };
  };
}

/** Adds an exercise. */
export const withNewExercise: Change = (standard) => ({
  ...standard,
  exercises: [
    ...standard.exercises,
    { code: freeCode(standard.exercises), name: t('newExercise'), task: t('whatToDo') },
  ],
});

/** Takes an exercise out, and what holds for it alone: its limits, its fault types and what needs it. */
export function withoutExercise(code: string): Change {
  return (standard) => ({
    ...without('exercises', code)(standard),
    limits: standard.limits.filter(({ scope }) => scope.kind !== 'exercise' || scope.exercise !== code),
    requirements: standard.requirements.filter((one) => one.kind !== 'exercise' || one.exercise !== code),
    categories: standard.categories.flatMap((category) => {
      const items = category.items.filter((item) => item.exercise !== code);
      // An area of this exercise alone goes with it.
      return items.length === 0 && category.items.length > 0 ? [] : [{ ...category, items }];
    }),
  });
}

/** Adds a cap over the first fault type: of its faults one counts. */
export const withNewCap: Change = (standard) => {
  const item = standard.categories.flatMap(({ items }) => items)[0];
  const grade = standard.grades[0];
  if (!item || !grade) return standard;
  const cap = { code: freeCode(standard.caps), name: t('newCap'), items: [item.code], grades: [grade.code] };
  return { ...standard, caps: [...standard.caps, { ...cap, over: 'together', atMost: setBySchool(1) }] };
};

/** What the fields of a part of the editor work with. */
export interface EditProps {
  readonly standard: Standard;
  readonly change: (change: Change) => void;
}
