/** Waits for a state that comes by itself, asking 10,000 times at most: on a busy machine that is well within a minute. */
export async function until(condition: () => boolean | Promise<boolean>): Promise<void> {
  for (let tries = 0; !(await condition()); tries++) {
    if (tries === 10_000) throw new Error('What was waited for did not come.');
    await new Promise((resolve) => setTimeout(resolve, 2));
  }
}
