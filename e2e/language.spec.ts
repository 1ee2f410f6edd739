import type { Page } from '@playwright/test';
import { shippedVehicles } from '../packages/core/src/safety-questions/vehicles';
import { expect, test } from './fixtures';
import { startDemoServer } from './demo-server';

/** What a page shows or names that neither came from the words package nor from an answer of the server. */
async function strays(page: Page, answers: readonly string[]): Promise<readonly string[]> {
  const shown = await page.evaluate(() => {
    const found = new Set<string>();
    const visible = (element: Element | null) => element?.checkVisibility({ visibilityProperty: true }) ?? false;
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if (visible(node.parentElement) && !node.parentElement?.closest('script, style, noscript'))
        found.add(node.textContent ?? '');
    for (const name of ['aria-label', 'title', 'placeholder', 'alt'])
      for (const element of document.querySelectorAll(`[${name}]`))
        if (visible(element)) found.add(element.getAttribute(name) ?? '');
    return [...found];
  });
  const known = answers.join('\n').toLowerCase();
  // Data may come with a count or a letter before it.
  const isKnown = (part: string) =>
    known.includes(
      JSON.stringify(part.replace(/^(\d+|[A-Z]) /, ''))
        .slice(1, -1)
        .toLowerCase(),
    );
  return shown
    .map((text) => text.trim())
    .filter((text) => /[a-z]{2}/i.test(text) && !/[⟦⟧]/.test(text))
    .filter((text) => !isDate(text) && !ofTheDatePicker.test(text) && !text.split(', ').every(isKnown));
}

/** The library of the date fields brings these itself. */
const ofTheDatePicker =
  /^(Day|Month|Year|MMMM|YYYY|DD|January|February|March|April|May|June|July|August|September|October|November|December)$|^Choose date/;
const month = 'Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec';
const isDate = (text: string) => new RegExp(`\\d (${month})|^(Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day`).test(text);

test('every main screen takes its words from the words package', async ({ browser }) => {
  const demo = await startDemoServer();
  try {
    // The pseudo-language sets brackets about every sentence of the package.
    const context = await browser.newContext({ locale: 'en-XA', baseURL: demo.address });
    const page = await context.newPage();
    // Texts of the trade that are data: the cars that ship.
    const answers: string[] = ['jasperwren', JSON.stringify(shippedVehicles)];
    page.on('response', (response) => {
      if (response.url().includes('/api/'))
        void response.text().then(
          (text) => answers.push(text),
          () => undefined,
        );
    });
    await page.goto('/sign-in');
    await page.getByRole('button', { name: 'brisa@ysmer-road.example' }).click();
    await page.locator('form').getByRole('button').last().click();
    await page.getByRole('navigation').waitFor();
    const learner = await page.request.get('/api/learners');
    const learners = (await learner.json()) as readonly { readonly id: string; readonly name: string }[];
    const tavi = learners.find(({ name }) => name === 'Tavi Ormsund')!.id;
    const drives = (await (await page.request.get(`/api/learners/${tavi}/drives`)).json()) as readonly { id: string }[];
    const drive = drives[0]!.id;
    const found: string[] = [];
    for (const path of [
      '/',
      '/routes',
      '/routes/new?plan=1',
      '/learners',
      '/learners/ready',
      `/learners/${tavi}`,
      `/learners/${tavi}/readiness`,
      `/learners/${tavi}/plan`,
      `/learners/${tavi}/edit`,
      `/learners/${tavi}/sheet`,
      '/drive',
      `/drive/${drive}`,
      `/drive/${drive}/debrief`,
      `/drive/${drive}/compare`,
      '/yard',
      '/yard/wheels',
      '/yard/wheels?exercise=parallel&way=rule',
      '/yard/wheels?way=draw',
      '/yard/stopping',
      '/checks',
      '/standards',
      '/standards/tally',
      '/account',
      '/school',
    ]) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.getByRole('progressbar')).toHaveCount(0);
      for (const text of await strays(page, answers)) found.push(`${path}: ${text}`);
    }
    expect(found).toEqual([]);
  } finally {
    await demo.remove();
  }
});
