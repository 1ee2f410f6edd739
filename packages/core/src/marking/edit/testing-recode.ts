import { bySchool } from '../provenance';
import type { Band, LimitMeasure, LimitScope, Setting, Standard } from '../standard';

/** Old codes by their new ones, one map a kind of code. */
type Codes = Readonly<
  Record<'grade' | 'item' | 'exercise' | 'class' | 'category' | 'limit', ReadonlyMap<string, string>>
>;

const numbered = (what: string, entries: readonly { readonly code: string }[] = []) =>
  new Map(entries.map(({ code }, i) => [code, `${what} ${i}`]));

/** The standard with codes that say nothing but the place of an entry, and every number set by the school: two of them are equal where they say the same. */
export function recoded(standard: Standard): Standard {
  const items = standard.categories.flatMap((category) => category.items);
  const codes: Codes = {
    grade: numbered('grade', standard.grades),
    item: numbered('item', items),
    exercise: numbered('exercise', standard.exercises),
    class: numbered('class', standard.classes),
    category: numbered('category', standard.categories),
    limit: numbered('limit', standard.limits),
  };
  const of = (kind: keyof Codes) => (code: string) => codes[kind].get(code) ?? `no such ${kind}: ${code}`;
  const grade = of('grade');
  const item = of('item');
  const places = <T extends object>(what: string, entries: readonly T[]) =>
    entries.map((entry, i) => ({ ...entry, code: `${what} ${i}` }));
  const bands = (all: readonly Band[]) => all.map((band) => ({ ...band, grade: grade(band.grade) }));
  const scope = (is: LimitScope): LimitScope => {
    if (is.kind === 'category' && is.category !== undefined) return { ...is, category: of('category')(is.category) };
    if (is.kind === 'item' && is.item !== undefined) return { ...is, item: item(is.item) };
    if (is.kind === 'class' && is.class !== undefined) return { ...is, class: of('class')(is.class) };
    if (is.kind === 'exercise' && is.exercise !== undefined) return { ...is, exercise: of('exercise')(is.exercise) };
    return is;
  };
  const measure = (is: LimitMeasure): LimitMeasure =>
    'grades' in is ? { ...is, grades: is.grades.map(grade), ...(is.items && { items: is.items.map(item) }) } : is;
  const setting = (is: Setting): Setting => {
    if (is.kind === 'limit') return { ...is, limit: of('limit')(is.limit) };
    if (is.kind === 'grades') return { ...is, item: item(is.item), grades: is.grades.map(grade) };
    return { ...is, item: item(is.item), bands: bands(is.bands) };
  };
  const { basedOn: _, ...rest } = standard;
  return numbersOfSchool({
    ...rest,
    id: 'standard',
    version: 1,
    grades: places('grade', standard.grades),
    ...(standard.classes && { classes: places('class', standard.classes) }),
    categories: standard.categories.map((category) => ({
      ...category,
      code: of('category')(category.code),
      items: category.items.map(({ grades: said, ...is }) => ({
        ...is,
        code: item(is.code),
        ...gradesSaid(standard, said, grade),
        ...(is.class !== undefined && { class: of('class')(is.class) }),
        ...(is.exercise !== undefined && { exercise: of('exercise')(is.exercise) }),
        ...(is.points && {
          points: Object.fromEntries(Object.entries(is.points).map(([code, value]) => [grade(code), value])),
        }),
        ...(is.measured && { measured: { ...is.measured, bands: bands(is.measured.bands) } }),
      })),
    })),
    limits: places('limit', standard.limits).map((is) => ({
      ...is,
      scope: scope(is.scope),
      measure: measure(is.measure),
      effect: 'grade' in is.effect ? { ...is.effect, grade: grade(is.effect.grade) } : is.effect,
    })),
    caps: places('cap', standard.caps).map((is) => ({
      ...is,
      items: is.items.map(item),
      grades: is.grades.map(grade),
    })),
    requirements: standard.requirements.map((is) =>
      is.kind === 'exercise' ? { ...is, exercise: of('exercise')(is.exercise) } : is,
    ),
    exercises: standard.exercises.map((is) => ({
      ...is,
      code: of('exercise')(is.code),
      ...(is.items && { items: is.items.map(item) }),
      ...(is.next && { next: is.next.map(of('exercise')) }),
      ...(is.looks && { looks: places('look', is.looks).map((look) => ({ ...look, item: item(look.item) })) }),
    })),
    ...(standard.course?.leaving && {
      course: { leaving: { ...standard.course.leaving, item: item(standard.course.leaving.item) } },
    }),
    questions: standard.questions.map((is) => ({ ...is, item: item(is.item) })),
    options: places('option', standard.options).map((is) => ({
      ...is,
      chosen: `choice ${is.choices.findIndex(({ code }) => code === is.chosen)}`,
      choices: places('choice', is.choices).map((choice) => ({
        ...choice,
        ...(choice.sets && { sets: choice.sets.map(setting) }),
      })),
    })),
    ...(standard.briefing && {
      briefing: places('step', standard.briefing).map((is) => {
        if (is.kind === 'questions') return { ...is, items: is.items.map(item) };
        if (is.kind !== 'checklist' && is.kind !== 'calls') return is;
        const parts = is.parts.map((part) => (part.item === undefined ? part : { ...part, item: item(part.item) }));
        return { ...is, parts };
      }),
    }),
  });
}

/** The grades of an item in their order; said only where they are not all there are. */
function gradesSaid(
  { grades }: Standard,
  said: readonly string[] | undefined,
  renamed: (grade: string) => string,
): { readonly grades?: readonly string[] } {
  const all = grades.map(({ code }) => code);
  return said && said.length < all.length ? { grades: all.filter((code) => said.includes(code)).map(renamed) } : {};
}

/** Every number and rule as if the school had set it. */
function numbersOfSchool<T>(value: T): T {
  if (Array.isArray(value)) return value.map(numbersOfSchool) as T;
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value as Record<string, unknown>).map(([name, entry]) => [
    name,
    name === 'provenance' ? bySchool : numbersOfSchool(entry),
  ]);
  return Object.fromEntries(entries) as T;
}
