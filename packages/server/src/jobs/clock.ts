/** What the wall clock shows. */
export type Clock = () => Date;

const lookEveryMs = 10_000;
/** What a clock is put right by in small steps is no jump. */
const jumpMs = 2000;

/**
 * Tells when the wall clock has jumped against the time that passed: it was put right, or wrong.
 * @returns stops watching
 */
export function watchClock(clock: Clock, jumped: () => void, everyMs = lookEveryMs): () => void {
  let [wall, passed] = [clock().getTime(), performance.now()];
  const timer = setInterval(() => {
    const [nowWall, nowPassed] = [clock().getTime(), performance.now()];
    if (Math.abs(nowWall - wall - (nowPassed - passed)) > jumpMs) jumped();
    [wall, passed] = [nowWall, nowPassed];
  }, everyMs).unref();
  return () => clearInterval(timer);
}
