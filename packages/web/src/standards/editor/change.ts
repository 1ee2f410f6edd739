import { t } from '@jasperwren/words/editor';
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
export function moveCategory(from: string, to: string): Change {
  return (standard) => {
    const at = (code: string) => standard.categories.findIndex((category) => category.code === code);
    const categories = [...standard.categories];
    const [moved] = categories.splice(at(from), 1);
    if (moved) categories.splice(at(to), 0, moved);
    return { ...standard, categories };
  };
}

/** Adds a category without items, with the first letter and code that are free. */
export const withNewCategory: Change = (standard) => {
  const letters = new Set(standard.categories.map(({ letter }) => letter));
  const letter = [...'BDHUWZABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((candidate) => !letters.has(candidate)) ?? 'A';
  const codes = new Set(standard.categories.map(({ code }) => code));
  let n = 1;
  while (codes.has(`own-${n}`)) n += 1;
  return {
    ...standard,
    categories: [...standard.categories, { code: `own-${n}`, name: t('newArea'), letter, items: [] }],
  };
};

/** What the fields of a part of the editor work with. */
export interface EditProps {
  readonly standard: Standard;
  readonly change: (change: Change) => void;
}
