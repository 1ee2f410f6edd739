import { t } from '@jasperwren/words/common';
import { useEffect } from 'react';

/** Names the page in the browser's own places: its tab, its history, what is read out as it opens. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = t('titleJasperwren', { title });
  }, [title]);
}
