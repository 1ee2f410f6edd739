import type { Page } from '@playwright/test';

declare global {
  interface Window {
    frameTimes: number[];
  }
}

/** Milliseconds from frame to frame while something is done. */
export async function framesOf(page: Page, act: (page: Page) => Promise<void>): Promise<readonly number[]> {
  // As text: the page knows nothing of what a compiler adds to named functions.
  await page.evaluate(`{
    window.frameTimes = [];
    let last = performance.now();
    requestAnimationFrame(function next(now) {
      window.frameTimes.push(now - last);
      last = now;
      requestAnimationFrame(next);
    });
  }`);
  await act(page);
  return (await page.evaluate(() => window.frameTimes)).slice(1);
}

function quantile(times: readonly number[], q: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.ceil(q * sorted.length) - 1)]!;
}

/** What was measured, row by row. */
export const tableOfFrames = (rows: Readonly<Record<string, readonly number[]>>) =>
  Object.entries(rows).map(([what, frames]) => ({
    what,
    frames: frames.length,
    'a second': (1000 / (frames.reduce((sum, ms) => sum + ms, 0) / frames.length)).toFixed(0),
    'median, ms': quantile(frames, 0.5).toFixed(1),
    'p95, ms': quantile(frames, 0.95).toFixed(1),
    'longest, ms': Math.max(...frames).toFixed(1),
  }));
