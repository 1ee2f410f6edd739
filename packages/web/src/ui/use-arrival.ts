import { useEffect, useRef, type RefObject } from 'react';

/** Whether a page was shown before: the first one is read from its beginning. */
let arrivedBefore = false;

/** The heading of a page, which takes the focus that was lost with the page before. */
export function useArrival(): RefObject<HTMLHeadingElement | null> {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (arrivedBefore && document.activeElement === document.body) heading.current?.focus({ preventScroll: true });
    arrivedBefore = true;
  }, []);
  return heading;
}
