import type { Cap, Category, Grade, Item, Limit, LimitMeasure, EffectiveStandard, Standard } from './standard';

/** A limit that a mark of some item and grade draws on. */
export interface Draw {
  readonly limit: Limit;
  /** The item's own category, item, class or exercise; empty for the whole test; `by-mark` where the mark decides. */
  readonly scope: string;
  /** Where the score keeps the use of this limit in this scope. */
  readonly key: string;
  readonly amount: number;
}

/** An item with the category it stands in. */
export interface Placed {
  readonly item: Item;
  readonly category: Category;
}

/** A standard made ready for judging: what each mark draws on, looked up instead of searched for. */
export interface Rules {
  /** The standard with its options applied. */
  readonly standard: EffectiveStandard;
  readonly items: ReadonlyMap<string, Placed>;
  /** The items of each behaviour of the catalogue, in the standard's order. */
  readonly byBehaviour: ReadonlyMap<string, readonly Placed[]>;
  readonly grades: ReadonlyMap<string, Grade>;
  readonly exercises: ReadonlySet<string>;
  /** Codes of the steps of the briefing. */
  readonly steps: ReadonlySet<string>;
  /** The place of each grade, from mildest to gravest. */
  readonly ranks: ReadonlyMap<string, number>;
  /** By `item grade`, see `drawKey`. */
  readonly draws: ReadonlyMap<string, readonly Draw[]>;
  /** By `item grade`. */
  readonly caps: ReadonlyMap<string, Cap>;
}

/** Where a score keeps how far a limit is used in a scope. */
export const tallyKey = ({ code }: { readonly code: string }, scope: string): string => `${code} ${scope}`;

export const drawKey = (item: string, grade: string): string => `${item} ${grade}`;

const compiled = new WeakMap<EffectiveStandard, Rules>();

/** Compiles a standard; asking again for the same object costs nothing. */
export function rulesOf(standard: EffectiveStandard): Rules {
  const known = compiled.get(standard);
  if (known) return known;
  const items = new Map<string, Placed>();
  const byBehaviour = new Map<string, Placed[]>();
  const draws = new Map<string, Draw[]>();
  const caps = new Map<string, Cap>();
  const grades = new Map(standard.grades.map((grade) => [grade.code, grade]));
  for (const category of standard.categories) {
    for (const item of category.items) {
      const placed = { item, category };
      items.set(item.code, placed);
      byBehaviour.set(item.behaviour, [...(byBehaviour.get(item.behaviour) ?? []), placed]);
      for (const grade of gradesOf(standard, item)) {
        const key = drawKey(item.code, grade.code);
        draws.set(
          key,
          standard.limits.flatMap((limit) => drawOn(limit, category, item, grade)),
        );
        const cap = standard.caps.find((c) => c.items.includes(item.code) && c.grades.includes(grade.code));
        if (cap) caps.set(key, cap);
      }
    }
  }
  const ranks = new Map(standard.grades.map(({ code }, i) => [code, i]));
  const rules = {
    standard,
    items,
    byBehaviour,
    grades,
    exercises: new Set(standard.exercises.map(({ code }) => code)),
    steps: new Set(standard.briefing?.map(({ code }) => code)),
    ranks,
    draws,
    caps,
  };
  compiled.set(standard, rules);
  return rules;
}

/** Whether one grade of a standard is graver than another. */
export function isGraver({ ranks }: Pick<Rules, 'ranks'>, grade: string, than: string): boolean {
  return (ranks.get(grade) ?? -1) > (ranks.get(than) ?? -1);
}

/** The grades that an item can have under its standard, from mildest to gravest. */
export function gradesOf(standard: Pick<Standard, 'grades'>, item: Item): readonly Grade[] {
  return item.grades ? standard.grades.filter((grade) => item.grades?.includes(grade.code)) : standard.grades;
}

/** Whether a limit over exercises holds for this one, alone or as for every other. */
export function coversExercise({ scope }: Limit, exercise: string): boolean {
  return scope.kind === 'exercise' && (scope.exercise ?? exercise) === exercise;
}

/** Whether a limit adds up marks, as against time, attempts and the like. */
export function countsMarks(measure: LimitMeasure): measure is Extract<LimitMeasure, { readonly grades: unknown }> {
  return measure.kind === 'count' || measure.kind === 'points';
}

function drawOn(limit: Limit, category: Category, item: Item, grade: Grade): readonly Draw[] {
  const { measure } = limit;
  if (!countsMarks(measure) || !measure.grades.includes(grade.code)) return [];
  if (measure.items && !measure.items.includes(item.code)) return [];
  const scope = scopeOf(limit, category, item);
  if (scope === undefined) return [];
  const amount = measure.kind === 'count' ? 1 : ((item.points?.[grade.code] ?? grade.points)?.value ?? 0);
  return amount > 0 ? [{ limit, scope, key: tallyKey(limit, scope), amount }] : [];
}

function scopeOf(limit: Limit, category: Category, item: Item): string | undefined {
  const { scope } = limit;
  switch (scope.kind) {
    case 'test':
      return '';
    case 'category':
      return (scope.category ?? category.code) === category.code ? category.code : undefined;
    case 'item':
      return (scope.item ?? item.code) === item.code ? item.code : undefined;
    case 'class':
      return item.class !== undefined && (scope.class ?? item.class) === item.class ? item.class : undefined;
    case 'exercise':
      if (item.exercise === undefined) return 'by-mark';
      return (scope.exercise ?? item.exercise) === item.exercise ? item.exercise : undefined;
  }
}
