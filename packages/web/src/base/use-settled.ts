import { startTransition, useEffect, useState } from 'react';
import { painted } from './after-paint';

/**
 * A value as it was when the screen last showed it: what follows from it is worked out a frame after what was touched
 * is painted, and never before.
 */
export function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    void painted().then(() => startTransition(() => setSettled(value)));
  }, [value]);
  return settled;
}
