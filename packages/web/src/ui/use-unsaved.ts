import { useCallback, useRef } from 'react';
import { useBlocker, type Blocker } from 'react-router';

/** Keeps a page with changes from being left unasked; `letGo` is for the moment it was saved. */
export function useUnsaved(changed: boolean): { readonly blocker: Blocker; readonly letGo: () => void } {
  const free = useRef(false);
  const blocker = useBlocker(useCallback(() => changed && !free.current, [changed]));
  const letGo = useCallback(() => {
    free.current = true;
  }, []);
  return { blocker, letGo };
}
