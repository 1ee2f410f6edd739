/**
 * From the key or the touch that makes a mark to the picture that shows it, on the marking desk in Chromium with
 * the processor slowed down four times and a quick hand at work, against a bare page that changes one word. Times are the browser's own
 * (Event Timing API), in steps of 8 ms; what it does not report took less than 16 ms and counts as 16.
 * Run: npm run build && npm run bench desk
 */
import type { Page } from '@playwright/test';
import { addLearner, signInByForm, startDrive } from '../e2e/fixtures';
import { withBrowser } from './with-browser';

const slowDown = 4;
const marks = 30;
/** So many are on the desk before the second half. */
const faults = 100;
/** A quick hand leaves this long between two beats. */
const betweenBeatsMs = 150;
/** And the finger rests this long on the glass. */
const touchMs = 80;
const letters = ['jo1', 'rl1', 'kc1', 'mb1', 'ip1', 'gt1', 'nk1', 'pl2', 'va1', 'xp3'];

declare global {
  interface Window {
    measured: number[];
  }
}

await withBrowser(async (browser, server) => {
  const page = await browser.newPage({ baseURL: server.address, viewport: { width: 1024, height: 768 } });
  await openDesk(page);
  const byKey = (from: number) =>
    measure(page, 'keydown', async (i) => {
      for (const key of letters[(from + i) % letters.length]!) {
        await page.waitForTimeout(betweenBeatsMs);
        await page.keyboard.press(key);
      }
    });
  const byTouch = () =>
    measure(page, 'pointerup', async (i) => {
      await page
        .getByRole('navigation')
        .getByRole('button')
        .nth(i % 19)
        .click();
      await page.waitForTimeout(betweenBeatsMs);
      await page.locator('section [role=group] button').first().click({ delay: touchMs });
    });
  // In turns: the desk with nothing on it yet, and with a hundred faults.
  await slow(page, slowDown);
  const early = { touch: await byTouch(), key: await byKey(0) };
  await slow(page, 1);
  for (let i = 2 * marks; i < faults; i++) await page.keyboard.type(letters[i % letters.length]!, { delay: 30 });
  await slow(page, slowDown);
  const late = { touch: await byTouch(), key: await byKey(0) };
  const bare = await browser.newPage();
  await bare.setContent('<button onclick="this.textContent = Date.now()">now</button>');
  await slow(bare, slowDown);
  const reference = await measure(bare, 'pointerup', () => bare.getByRole('button').click({ delay: touchMs }));

  const rows = {
    'reference: one word on a bare page': reference,
    [`touch, from 0 faults`]: early.touch,
    [`touch, from ${faults} faults`]: late.touch,
    [`keyboard, from ${marks} faults`]: early.key,
    [`keyboard, from ${faults + marks} faults`]: late.key,
  };
  const p95OfReference = quantile(reference, 0.95);
  console.table(
    Object.entries(rows).map(([what, times]) => ({
      what,
      interactions: times.length,
      'median, ms': quantile(times, 0.5),
      'p95, ms': quantile(times, 0.95),
      'p95 of the reference': `${(quantile(times, 0.95) / p95OfReference).toFixed(1)} x`,
    })),
  );
});

async function openDesk(page: Page): Promise<void> {
  await signInByForm(page, { email: 'ada@bench.example' });
  await addLearner(page, 'Bench Learner');
  await startDrive(page);
}

async function slow(page: Page, rate: number): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
}

/** Does something many times and returns how long each last event of a kind took to its paint, in ms. */
async function measure(page: Page, type: string, act: (i: number) => Promise<void>): Promise<readonly number[]> {
  await page.evaluate((wanted) => {
    window.measured = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.name === wanted) window.measured.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  }, type);
  const times: number[] = [];
  for (let i = 0; i < marks; i++) {
    await page.evaluate(() => (window.measured.length = 0));
    await act(i);
    await page.waitForTimeout(2 * betweenBeatsMs);
    times.push((await page.evaluate(() => window.measured)).at(-1) ?? 16);
  }
  return times;
}

function quantile(times: readonly number[], q: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.ceil(q * sorted.length) - 1)]!;
}
