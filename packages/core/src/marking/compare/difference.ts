import type { Sourced } from '../provenance';
import type { Standard } from '../standard';

/** One thing that differs between two versions of a standard. */
export interface Difference {
  /** Where, from the outside in, such as the field `limits`, the entry "Driving faults", the field `allowed`. */
  readonly where: readonly Place[];
  readonly kind: 'added' | 'removed' | 'changed' | 'moved';
  readonly before?: string | Sourced;
  readonly after?: string | Sourced;
}

/** A step from the outside of a standard in: one of its fields, or an entry of a list by its name. */
export type Place = { readonly field: string } | { readonly name: string };

/** Said by the version itself, not a difference between versions. */
const ignored = new Set(['id', 'version', 'basedOn']);

/** What differs from one version of a standard to another, in the order of the standard. */
export function differencesBetween(before: Standard, after: Standard): readonly Difference[] {
  return compareObjects(before, after, []);
}

type Fields = Readonly<Record<string, unknown>>;

function compareObjects(before: object, after: object, where: readonly Place[]): readonly Difference[] {
  const [a, b] = [before as Fields, after as Fields];
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
    (key) => where.length > 0 || !ignored.has(key),
  );
  return keys.flatMap((key) => compare(a[key], b[key], [...where, { field: key }]));
}

function compare(before: unknown, after: unknown, where: readonly Place[]): readonly Difference[] {
  if (JSON.stringify(before) === JSON.stringify(after)) return [];
  if (before === undefined) return [{ where, kind: 'added', after: isSourced(after) ? after : words(after) }];
  if (after === undefined) return [{ where, kind: 'removed', before: isSourced(before) ? before : words(before) }];
  if (isNamedList(before) && isNamedList(after)) return compareLists(before, after, where);
  if (isSourced(before) && isSourced(after)) return [{ where, kind: 'changed', before, after }];
  if (isPlain(before) && isPlain(after)) return compareObjects(before, after, where);
  return [{ where, kind: 'changed', before: words(before), after: words(after) }];
}

type Named = { readonly code: string; readonly name: string };

function compareLists(
  before: readonly Named[],
  after: readonly Named[],
  where: readonly Place[],
): readonly Difference[] {
  const old = new Map(before.map((entry) => [entry.code, entry]));
  const now = new Map(after.map((entry) => [entry.code, entry]));
  const kept = after.filter(({ code }) => old.has(code));
  const keptBefore = before.filter(({ code }) => now.has(code));
  const moved = kept.some((entry, i) => entry.code !== keptBefore[i]!.code);
  return [
    ...before.flatMap((entry): readonly Difference[] => {
      const next = now.get(entry.code);
      return next
        ? compareObjects(entry, next, [...where, { name: next.name }])
        : [{ where: [...where, { name: entry.name }], kind: 'removed' }];
    }),
    ...after
      .filter(({ code }) => !old.has(code))
      .map((entry): Difference => ({ where: [...where, { name: entry.name }], kind: 'added' })),
    ...(moved ? [{ where, kind: 'moved', before: names(keptBefore), after: names(kept) } as const] : []),
  ];
}

const names = (entries: readonly Named[]) => entries.map(({ name }) => name).join(', ');

function isPlain(value: unknown): value is object {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isNamedList(value: unknown): value is readonly Named[] {
  return Array.isArray(value) && value.every((entry) => isPlain(entry) && 'code' in entry && 'name' in entry);
}

function isSourced(value: unknown): value is Sourced {
  return isPlain(value) && 'value' in value && 'provenance' in value;
}

/** A value as a person would read it. */
function words(value: unknown): string {
  if (typeof value === 'string') return value;
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  if (isSourced(value)) return String(value.value);
  if (isNamedList(value)) return names(value);
  if (Array.isArray(value)) return value.map(words).join(', ');
  if (isPlain(value)) return Object.values(value).map(words).join(' ');
  return '';
}
