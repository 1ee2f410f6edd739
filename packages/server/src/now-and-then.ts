/** What goes on and on is told so often at most, in milliseconds. */
const everyMs = 1000;

/**
 * Tells of each key at once, and what comes soon after that once, when the time is over: estimates that are made one after the
 * other do not have their list made anew with each of them.
 */
export function nowAndThen(tell: (key: string) => void, ms = everyMs): (key: string) => void {
  const resting = new Map<string, boolean>();
  const rest = (key: string) => {
    resting.set(key, false);
    setTimeout(() => {
      const again = resting.get(key);
      resting.delete(key);
      if (!again) return;
      tell(key);
      rest(key);
    }, ms).unref();
  };
  return (key) => {
    if (resting.has(key)) return void resting.set(key, true);
    tell(key);
    rest(key);
  };
}
