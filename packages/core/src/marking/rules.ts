import type { Cap, Category, Grade, Item, Limit, LimitMeasure, EffectiveStandard, Standard } from './standard';

/** One limit in one scope: what its faults add up in. A standard has each once, so that it can stand as a key. */
export interface Slot {
  readonly limit: Limit;
  /** The category, item, class or exercise; absent for the whole test. */
  readonly scope?: string | undefined;
}

/** What a cap holds together: all its faults, or those of one item. A standard has each once. */
export interface CapGroup {
  readonly cap: Cap;
  /** Where the cap holds over each item by itself. */
  readonly item?: string;
}

/** A limit that a mark of some item and grade draws on. */
export interface Draw {
  /** Where it adds up; missing where the exercise of the mark decides. */
  readonly slot?: Slot;
  /** Where it adds up in each exercise that a mark may be made in. */
  readonly byExercise?: ReadonlyMap<string, Slot>;
  readonly limit: Limit;
  readonly amount: number;
}

/** What a mark of an item and a grade does. */
export interface Cell {
  readonly item: string;
  readonly grade: string;
  readonly draws: readonly Draw[];
  readonly cap: CapGroup | undefined;
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
  /** By item, then by grade. */
  readonly cells: ReadonlyMap<string, ReadonlyMap<string, Cell>>;
}

/** What a mark of this item and grade does; undefined where the standard has none such. */
export function cellAt({ cells }: Pick<Rules, 'cells'>, item: string, grade: string): Cell | undefined {
  return cells.get(item)?.get(grade);
}

/** Every cell, in the standard's order. */
export function allCells({ cells }: Pick<Rules, 'cells'>): readonly Cell[] {
  return [...cells.values()].flatMap((ofItem) => [...ofItem.values()]);
}

const compiled = new WeakMap<EffectiveStandard, Rules>();

/** Compiles a standard; asking again for the same object costs nothing. */
export function rulesOf(standard: EffectiveStandard): Rules {
  const known = compiled.get(standard);
  if (known) return known;
  const items = new Map<string, Placed>();
  const byBehaviour = new Map<string, Placed[]>();
  const cells = new Map<string, ReadonlyMap<string, Cell>>();
  const grades = new Map(standard.grades.map((grade) => [grade.code, grade]));
  const slots = slotsOf(standard);
  for (const category of standard.categories) {
    for (const item of category.items) {
      const placed = { item, category };
      items.set(item.code, placed);
      byBehaviour.set(item.behaviour, [...(byBehaviour.get(item.behaviour) ?? []), placed]);
      const groups = new Map(standard.caps.map((cap) => [cap, slots.group(cap, item.code)]));
      const ofItem = gradesOf(standard, item).map((grade): [string, Cell] => {
        const cap = standard.caps.find((c) => c.items.includes(item.code) && c.grades.includes(grade.code));
        const draws = standard.limits.flatMap((limit) => drawOn(limit, category, item, grade, slots));
        return [grade.code, { item: item.code, grade: grade.code, draws, cap: cap && groups.get(cap) }];
      });
      cells.set(item.code, new Map(ofItem));
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
    cells,
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

/** The points that one mark of this item and grade is worth; 0 where the standard counts none. */
export const pointsOf = (item: Item, grade: Grade): number => (item.points?.[grade.code] ?? grade.points)?.value ?? 0;

/** Whether a limit over exercises holds for this one, alone or as for every other. */
export function coversExercise({ scope }: Limit, exercise: string): boolean {
  return scope.kind === 'exercise' && (scope.exercise ?? exercise) === exercise;
}

/** Whether a limit adds up marks, as against time, attempts and the like. */
export function countsMarks(measure: LimitMeasure): measure is Extract<LimitMeasure, { readonly grades: unknown }> {
  return measure.kind === 'count' || measure.kind === 'points';
}

/** The slots and groups of a standard, each made once. */
interface Slots {
  readonly slot: (limit: Limit, scope?: string) => Slot;
  readonly byExercise: (limit: Limit) => ReadonlyMap<string, Slot>;
  readonly group: (cap: Cap, item: string) => CapGroup;
}

function slotsOf({ limits, caps, exercises }: Standard): Slots {
  const slots = new Map(limits.map((limit) => [limit, new Map<string | undefined, Slot>()]));
  const shared = new Map(caps.map((cap) => [cap, { cap }]));
  const slot = (limit: Limit, scope?: string): Slot => {
    const ofLimit = slots.get(limit)!;
    const known = ofLimit.get(scope) ?? { limit, ...(scope !== undefined && { scope }) };
    ofLimit.set(scope, known);
    return known;
  };
  return {
    slot,
    byExercise: (limit) =>
      new Map(exercises.filter(({ code }) => coversExercise(limit, code)).map(({ code }) => [code, slot(limit, code)])),
    group: (cap, item) => (cap.over === 'each' ? { cap, item } : shared.get(cap)!),
  };
}

function drawOn(limit: Limit, category: Category, item: Item, grade: Grade, slots: Slots): readonly Draw[] {
  const { measure, scope } = limit;
  if (!countsMarks(measure) || !measure.grades.includes(grade.code)) return [];
  if (measure.items && !measure.items.includes(item.code)) return [];
  const amount = measure.kind === 'count' ? 1 : pointsOf(item, grade);
  if (amount <= 0) return [];
  const within = (own: string | undefined, only: string | undefined) =>
    own !== undefined && (only ?? own) === own ? [{ slot: slots.slot(limit, own), limit, amount }] : [];
  switch (scope.kind) {
    case 'test':
      return [{ slot: slots.slot(limit), limit, amount }];
    case 'category':
      return within(category.code, scope.category);
    case 'item':
      return within(item.code, scope.item);
    case 'class':
      return within(item.class, scope.class);
    case 'exercise':
      if (item.exercise === undefined) return [{ byExercise: slots.byExercise(limit), limit, amount }];
      return within(item.exercise, scope.exercise);
  }
}

/** Where a draw adds up, with the exercise that a mark was made in; undefined where it adds up nowhere. */
export function slotFor({ slot, byExercise }: Draw, exercise: string | undefined): Slot | undefined {
  return slot ?? (exercise === undefined ? undefined : byExercise?.get(exercise));
}
