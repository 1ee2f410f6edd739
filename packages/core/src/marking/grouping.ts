/** The entries of a list by key, in their order; keys in the order in which they first come. */
export function groupBy<T>(list: Iterable<T>, key: (one: T) => string): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>();
  for (const one of list) {
    const others = groups.get(key(one));
    if (others) others.push(one);
    else groups.set(key(one), [one]);
  }
  return groups;
}

/** How often each key comes, by key; safe for keys such as `constructor`. */
export function countBy<T>(list: Iterable<T>, key: (one: T) => string): Readonly<Record<string, number>> {
  return Object.fromEntries([...groupBy(list, key)].map(([name, { length }]) => [name, length]));
}
