/** How often each key comes, by key; safe for keys such as `constructor`. */
export function countBy<T>(list: Iterable<T>, key: (one: T) => string): Readonly<Record<string, number>> {
  const counts = new Map<string, number>();
  for (const one of list) counts.set(key(one), (counts.get(key(one)) ?? 0) + 1);
  return Object.fromEntries(counts);
}
