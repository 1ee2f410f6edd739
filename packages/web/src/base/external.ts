/** A value that lives outside of the pages, for React's external store. */
export function external<T>(first: T) {
  let value = first;
  const listeners = new Set<() => void>();
  return {
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    now: (): T => value,
    set: (to: T): void => {
      if (to === value) return;
      value = to;
      listeners.forEach((listener) => listener());
    },
  };
}
