import { startTransition, useEffect, useState } from 'react';
import { painted } from './after-paint';
import { store, type RootState } from './store';

/**
 * What the store held when the screen last showed what was touched: what follows from a touch is worked out a frame after
 * it is painted, and never before. What is done reads the store itself, and is never late.
 * @param select the same function for as long as the component lives
 */
export function useSettledSelector<T>(select: (state: RootState) => T): T {
  const [value, setValue] = useState(() => select(store.getState()));
  useEffect(() => {
    let seen: T | undefined;
    let waits = false;
    let gone = false;
    const look = () => {
      if (waits || select(store.getState()) === seen) return;
      waits = true;
      void painted().then(() => {
        waits = false;
        if (gone) return;
        const now = select(store.getState());
        seen = now;
        startTransition(() => setValue(() => now));
      });
    };
    look();
    const leave = store.subscribe(look);
    return () => {
      gone = true;
      leave();
    };
  }, [select]);
  return value;
}
