import type { Item } from '@jasperwren/core/marking/standard';

/** The key of each item on the console: its own letter, for the first item that has it; none for the others. */
export function tileKeys(items: readonly Item[]): ReadonlyMap<string, string> {
  const taken = new Set<string>();
  return new Map(
    items.flatMap(({ code, letter }) => {
      if (taken.has(letter)) return [];
      taken.add(letter);
      return [[code, letter] as const];
    }),
  );
}
