import { useState } from 'react';

/** A number that survives a reload of the page, where the browser keeps anything. */
export function useKept(key: string): readonly [number, (value: number) => void] {
  const [value, setValue] = useState(() => {
    try {
      return Number(sessionStorage.getItem(key)) || 0;
    } catch {
      return 0;
    }
  });
  const keep = (next: number) => {
    setValue(next);
    try {
      sessionStorage.setItem(key, String(next));
    } catch {
      // Then the next reload begins at the first direction.
    }
  };
  return [value, keep];
}
