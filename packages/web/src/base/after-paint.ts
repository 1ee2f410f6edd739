/** Longer than a frame takes; a page in the background paints none. */
const longestWaitMs = 100;
let last: Promise<void> = Promise.resolve();

/** Does something once the screen shows what was done; one after the other, in the order in which they were asked. */
export function afterPaint<T>(work: () => Promise<T>): Promise<T> {
  const turn = Promise.all([last, painted()]);
  const done = turn.then(work);
  last = done.then(
    () => undefined,
    () => undefined,
  );
  return done;
}

/** Waits until the screen shows what was done. */
export function painted(): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(resolve, longestWaitMs);
    if (typeof requestAnimationFrame === 'undefined') return;
    requestAnimationFrame(() => {
      clearTimeout(timer);
      // A frame's callbacks run before it is painted.
      setTimeout(resolve);
    });
  });
}
