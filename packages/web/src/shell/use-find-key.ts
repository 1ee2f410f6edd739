import { useEffect } from 'react';

/** Opens the quick find by Ctrl K, or Command K where that is usual, wherever there is something to find. */
export function useFindKey(active: boolean, open: (opened: true) => void): void {
  useEffect(() => {
    if (!active) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey || event.shiftKey)
        return;
      event.preventDefault();
      open(true);
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [active, open]);
}
