import type { EffectiveStandard, Item, Setting, Standard } from './standard';

/** What the chosen options of a standard change, in the order of the options. */
export function settingsOf(standard: Standard): readonly Setting[] {
  return standard.options.flatMap((option) => option.choices.find(({ code }) => code === option.chosen)?.sets ?? []);
}

/** The standard with the numbers its chosen options lead to. Called where a drive, a sheet or a plan is bound to it. */
export function effective(standard: Standard): EffectiveStandard {
  return settingsOf(standard).reduce(apply, standard) as EffectiveStandard;
}

function apply(standard: Standard, setting: Setting): Standard {
  switch (setting.kind) {
    case 'limit':
      return {
        ...standard,
        limits: standard.limits.map((limit) =>
          limit.code === setting.limit ? { ...limit, allowed: { ...limit.allowed, value: setting.allowed } } : limit,
        ),
      };
    case 'grades':
      return withItem(standard, setting.item, (item) => ({ ...item, grades: setting.grades }));
    case 'bands':
      return withItem(standard, setting.item, (item) =>
        item.measured ? { ...item, measured: { ...item.measured, bands: setting.bands } } : item,
      );
  }
}

function withItem(standard: Standard, code: string, change: (item: Item) => Item): Standard {
  return {
    ...standard,
    categories: standard.categories.map((category) =>
      category.items.some((item) => item.code === code)
        ? { ...category, items: category.items.map((item) => (item.code === code ? change(item) : item)) }
        : category,
    ),
  };
}

/** Whether an option of the standard is set to this choice; false where it has no such option. */
export function isChosen(standard: Standard, option: string, choice: string): boolean {
  return standard.options.some(({ code, chosen }) => code === option && chosen === choice);
}
