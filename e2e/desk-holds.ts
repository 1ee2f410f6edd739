import type { Page } from '@playwright/test';
import { expect } from './fixtures';

/** Phones lying in their holder and standing, low laptops, tablets, a desk. */
const sizes = [
  [844, 390],
  [667, 375],
  [640, 400],
  [640, 360],
  [740, 360],
  [932, 430],
  [960, 540],
  [1024, 600],
  [1280, 650],
  [1366, 625],
  [1024, 768],
  [1280, 800],
  [390, 844],
  [360, 800],
] as const;

/** From this width on, where it is low, the buttons of the desk are 56 px at least. */
const isLying = (width: number, height: number) => width >= 640 && height <= 700;

interface Found {
  readonly scrolls: boolean;
  /** Buttons that are not wholly on the screen, that something lies over, or that are too small. */
  readonly outside: readonly string[];
  readonly covered: readonly string[];
  readonly small: readonly string[];
  /** Where the first area stands. */
  readonly top: number | undefined;
}

/** Measures every button of the desk that can be touched, but for those in a list that is meant to scroll. */
const measure = (page: Page, least: number): Promise<Found> =>
  page.evaluate((smallest) => {
    const inList = (button: Element) => button.closest('nav[aria-label] ol') !== null;
    const buttons = [...document.querySelectorAll<HTMLButtonElement>('main button:not(:disabled)')].filter(
      (button) => button.offsetParent && !inList(button),
    );
    const name = (button: HTMLElement) => button.getAttribute('aria-label') ?? button.textContent;
    const outside = buttons.filter((button) => {
      const { left, top, right, bottom } = button.getBoundingClientRect();
      return left < -0.5 || top < -0.5 || right > innerWidth + 0.5 || bottom > innerHeight + 0.5;
    });
    const covered = buttons.filter((button) => {
      if (outside.includes(button)) return false;
      const { left, top, width, height } = button.getBoundingClientRect();
      return [0.1, 0.5, 0.9].some((x) =>
        [0.15, 0.5, 0.85].some((y) => !button.contains(document.elementFromPoint(left + x * width, top + y * height))),
      );
    });
    // Marks on the ribbon and the pins in the header have keys and larger twins; they are not where marks are made.
    const marking = buttons.filter((button) => button.matches('nav button, section [role=group] button, aside button'));
    const small = marking.filter((button) => Math.min(button.offsetWidth, button.offsetHeight) < smallest);
    return {
      scrolls: document.documentElement.scrollHeight > innerHeight,
      outside: outside.map(name),
      covered: covered.map(name),
      small: small.map((button) => `${name(button)} ${button.offsetWidth}x${button.offsetHeight}`),
      top: document.querySelector('main nav button')?.getBoundingClientRect().top,
    };
  }, least);

/** Measures a state of the desk at every size. */
export async function holds(
  page: Page,
  state: string,
  least: (lying: boolean) => number,
): Promise<readonly (number | undefined)[]> {
  const tops: (number | undefined)[] = [];
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height });
    // Twice painted: what is measured is what is seen.
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    const { top, ...found } = await measure(page, least(isLying(width, height)));
    tops.push(top);
    expect(found, `${state} at ${width} by ${height}`).toEqual({ scrolls: false, outside: [], covered: [], small: [] });
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  return tops;
}
