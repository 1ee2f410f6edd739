/** Sooner or later the page rests; it is fetched then, and no later than so many milliseconds from now. */
const latestMs = 3000;

/**
 * Fetches what a mock test leads to while there is a network: its panels, its result and its debrief open without one.
 * A touch comes first: it waits until the page has nothing else to do.
 * @returns calls it off
 */
export function fetchAhead(): () => void {
  // Not every browser says when it rests.
  if (typeof requestIdleCallback === 'undefined') {
    const timer = setTimeout(fetchAll, latestMs);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(fetchAll, { timeout: latestMs });
  return () => cancelIdleCallback(asked);
}

function fetchAll(): void {
  void Promise.allSettled([
    import('../verdict/VerdictPage'),
    import('../debrief/DebriefPage'),
    import('./panels/QuestionsPanel'),
    import('../questions/QuestionToAsk'),
    import('../yard/SensorsPanel'),
    import('../yard/SensorReader'),
    import('../yard/YardConsole'),
  ]);
}
