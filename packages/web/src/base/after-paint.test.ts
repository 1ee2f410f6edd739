import { afterPaint } from './after-paint';

describe('what waits for the screen', () => {
  it('runs in the order in which it was asked, also after a failure', async () => {
    const done: string[] = [];
    const slow = afterPaint(async () => {
      await new Promise((resolve) => setTimeout(resolve, 20));
      done.push('slow');
    });
    const failing = afterPaint(() => Promise.reject(new Error('no room')));
    const last = afterPaint(() => Promise.resolve(done.push('last')));
    expect(done).toEqual([]);
    await expect(failing).rejects.toThrow('no room');
    await Promise.all([slow, last]);
    expect(done).toEqual(['slow', 'last']);
  });

  it('comes after the frame where there are frames, and without one where a page is out of sight', async () => {
    const steps: string[] = [];
    let frame: () => void = () => undefined;
    Object.assign(globalThis, { requestAnimationFrame: (callback: () => void) => (frame = callback) });
    const shown = afterPaint(() => Promise.resolve(steps.push('kept')));
    await Promise.resolve();
    steps.push('painted');
    frame();
    await shown;
    // No frame comes any more.
    await afterPaint(() => Promise.resolve(steps.push('kept out of sight')));
    expect(steps).toEqual(['painted', 'kept', 'kept out of sight']);
    delete (globalThis as { requestAnimationFrame?: unknown }).requestAnimationFrame;
  });
});
