import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import type { Browser } from '@playwright/test';
import { addLearner, addPerson, endDrive, expect, press, signIn, test } from './fixtures';

const observer = 'Una Observer';

/** A second person of the same school, on a device of their own, whose clock is an hour fast. */
async function secondDevice(browser: Browser, email: string) {
  const context = await browser.newContext();
  await context.addInitScript(() => {
    const hourMs = 3_600_000;
    const Right = Date;
    globalThis.Date = class extends Right {
      constructor(...at: [] | [number]) {
        if (at.length === 0) super(Right.now() + hourMs);
        else super(...at);
      }
      static override now = () => Right.now() + hourMs;
    } as DateConstructor;
  });
  const page = await context.newPage();
  await signIn(page, { email });
  return { page, context };
}

test('two devices mark one drive: both logs merge, who marked what is kept, and doubles are settled', async ({
  page,
  school,
  browser,
}) => {
  await signIn(page, school);
  const email = `una-${school.email}`;
  await addPerson(page, observer, email);
  await addLearner(page, 'Bram Learner');
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByLabel(drives('secondMarker')).fill('Una');
  await page.getByRole('option', { name: observer }).click();
  await page.getByRole('button', { name: drives('startMockTest') }).click();
  await page.getByRole('timer').waitFor();
  await page.getByText(desk('allSaved')).waitFor();

  const { page: back, context } = await secondDevice(browser, email);
  await back.getByRole('link', { name: /^Continue: Bram Learner/ }).click();
  await back.getByRole('timer').waitFor();
  await back.reload();
  await back.getByRole('timer').waitFor();
  // The observer's clock is the drive's, whatever the two devices think of the time.
  const seconds = async (on: typeof page) => {
    const [min, s] = /^(\d+):(\d\d)/
      .exec(await on.getByRole('timer').innerText())!
      .slice(1)
      .map(Number);
    return min! * 60 + s!;
  };
  // An hour is what the device is out by; what the reading takes and the news was under way is seconds.
  await expect.poll(async () => Math.abs((await seconds(page)) - (await seconds(back)))).toBeLessThan(60);

  await press(page, 'l', 'l', '1');
  await press(back, 'l', 'l', '2', 'c', 'p', '1');
  await expect(page.getByRole('button', { name: desk('toSortOut', { n: 1 }) })).toBeVisible();
  // One fault seen by two, the graver for the time being, and one seen by the observer alone.
  await expect(page.getByText(desk('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true })).toBeVisible();
  await expect(page.getByText(desk('overTheLimit'))).toBeVisible();
  await press(page, ';');
  await page.getByRole('button', { name: desk('toSortOut', { n: 1 }) }).click();
  const double = page.getByRole('listitem').filter({ hasText: 'same fault recorded twice?' });
  await expect(double).toContainText('by you');
  await expect(double).toContainText(`by ${observer}`);
  await double.getByRole('button', { name: /^Keep the driving of/ }).click();
  await expect(page.getByText(desk('leftOfAllowedLeft', { left: '13', allowed: '15' }), { exact: true })).toBeVisible();
  await expect(back.getByText(desk('leftOfAllowedLeft', { left: '13', allowed: '15' }), { exact: true })).toBeVisible();
  await endDrive(page);
  await expect(page.getByRole('listitem', { name: /^Clearance:/ })).toContainText(`by ${observer}`);
  await context.close();
});
