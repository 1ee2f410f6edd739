import type * as known from '@jasperwren/core/marking/edit/known';
import { useEffect, useState } from 'react';

type Known = typeof known;

/** What the shipped standards have ready to be added; it comes after the page, since all of them come with it. */
export function useKnown(): Known | undefined {
  const [known, setKnown] = useState<Known>();
  useEffect(() => {
    let here = true;
    // Without it everything can still be added by hand.
    import('@jasperwren/core/marking/edit/known').then(
      (module) => here && setKnown(module),
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, []);
  return known;
}
