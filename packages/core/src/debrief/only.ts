/** Some fields of an object by name, those that it has: whatever is given away is named like this. */
export function only<T extends object, K extends keyof T>(of: T, ...names: readonly K[]): Pick<T, K> {
  return Object.fromEntries(names.flatMap((name) => (of[name] === undefined ? [] : [[name, of[name]]]))) as Pick<T, K>;
}
