import type { Choice, Item, Standard } from '../standard';

/** A change of a standard, as a function from what it was to what it is to be. */
export type Change = (standard: Standard) => Standard;

/** The lists of a standard whose entries have a code. */
export type CodedList = 'grades' | 'categories' | 'classes' | 'limits' | 'caps' | 'exercises' | 'options' | 'briefing';
/** Those whose entries are told by their place. */
export type PlacedList = 'requirements' | 'questions' | 'endings';
export type EditedList = CodedList | PlacedList;
export type EntryOf<L extends EditedList> = NonNullable<Standard[L]>[number];

type Coded = { readonly code: string };

/** A code that none of these has: own-1, own-2, … */
export function freeCode(entries: readonly Coded[] = []): string {
  const taken = new Set(entries.map(({ code }) => code));
  let n = 1;
  while (taken.has(`own-${n}`)) n += 1;
  return `own-${n}`;
}

/** Sets a field of an entry. Nothing, no text or an empty list takes it out, so that a field is there or says something. */
export function withField<T, F extends keyof T>(field: F, value: T[F] | undefined): (entry: T) => T {
  const empty = value === undefined || value === '' || (Array.isArray(value) && value.length === 0);
  return (entry) => {
    const { [field]: before, ...others } = entry;
    return (empty ? others : { ...others, [field]: value }) as T;
  };
}

const entriesOf = <L extends EditedList>(standard: Standard, list: L) =>
  (standard[list] ?? []) as readonly EntryOf<L>[];
const withEntries = <L extends EditedList>(standard: Standard, list: L, entries: readonly EntryOf<L>[]): Standard => ({
  ...standard,
  [list]: entries,
});

/** Adds an entry at the end of a list. */
export const added =
  <L extends EditedList>(list: L, entry: EntryOf<L>): Change =>
  (standard) =>
    withEntries(standard, list, [...entriesOf(standard, list), entry]);

/** Changes the entry with this code in one of the lists. */
export const inList =
  <L extends CodedList>(list: L, code: string, change: (entry: EntryOf<L>) => EntryOf<L>): Change =>
  (standard) =>
    withEntries(
      standard,
      list,
      entriesOf(standard, list).map((entry) => ((entry as Coded).code === code ? change(entry) : entry)),
    );

/** Takes the entry with this code out of one of the lists; what refers to it stays. */
export const without =
  (list: CodedList, code: string): Change =>
  (standard) =>
    withEntries(
      standard,
      list,
      entriesOf(standard, list).filter((entry) => (entry as Coded).code !== code),
    );

/** Changes the entry at a place of one of the lists, or takes it out. */
export const atPlace =
  <L extends PlacedList>(list: L, place: number, entry: EntryOf<L> | undefined): Change =>
  (standard) => {
    const entries = entriesOf(standard, list);
    return withEntries(standard, list, entry ? entries.with(place, entry) : entries.toSpliced(place, 1));
  };

/** A list with one of it where another is. */
export function movedTo<T extends Coded>(entries: readonly T[], from: string, to: string): readonly T[] {
  const at = (code: string) => entries.findIndex((entry) => entry.code === code);
  const [start, end] = [at(from), at(to)];
  return start < 0 || end < 0 ? entries : entries.toSpliced(start, 1).toSpliced(end, 0, entries[start]!);
}

/** Moves an entry of one of the lists to where another one is. */
export const moved =
  (list: 'grades' | 'categories' | 'exercises' | 'briefing', from: string, to: string): Change =>
  (standard) =>
    withEntries(standard, list, movedTo(entriesOf(standard, list), from, to));

/** The standard with these limits; a choice that set one of those that are gone no longer does. */
export const withLimits = (standard: Standard, limits: Standard['limits']): Standard => ({
  ...standard,
  limits,
  options: standard.options.map((option) => ({
    ...option,
    choices: option.choices.map((choice) =>
      withField<Choice, 'sets'>(
        'sets',
        choice.sets?.filter((setting) => setting.kind !== 'limit' || limits.some(({ code }) => code === setting.limit)),
      )(choice),
    ),
  })),
});

/** Every item of a standard, in its order. */
export const itemsOf = ({ categories }: Pick<Standard, 'categories'>): readonly Item[] =>
  categories.flatMap(({ items }) => items);
