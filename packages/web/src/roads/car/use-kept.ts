import { useState } from 'react';

/** A value that survives a reload of the page, where the browser keeps anything. It is kept as JSON. */
export function useKept<T>(key: string, otherwise: T): readonly [T, (value: T) => void] {
  const [value, setValue] = useState(() => {
    try {
      const kept = sessionStorage.getItem(key);
      return kept === null ? otherwise : (JSON.parse(kept) as T);
    } catch {
      return otherwise;
    }
  });
  const keep = (next: T) => {
    setValue(next);
    try {
      sessionStorage.setItem(key, JSON.stringify(next));
    } catch {
      // Then the next reload begins as if nothing had been kept.
    }
  };
  return [value, keep];
}
