import type { Page } from '@playwright/test';
import { addLearner, expect, signIn, test } from './fixtures';

/** A learner's own device, signed in by a code that the instructor reads out. */
async function letIn(page: Page, device: Page): Promise<void> {
  await page.getByRole('link', { name: 'Safety questions' }).click();
  await page.getByRole('button', { name: 'Code for now' }).click();
  const code = await page.getByRole('status').filter({ hasText: '/learn' }).locator('b').innerText();
  await device.goto('/learn');
  await device.getByLabel('Code').fill(code.toLowerCase());
  await device.getByRole('button', { name: 'Sign in' }).click();
  await device.getByRole('heading', { level: 1, name: /^Hello/ }).waitFor();
}

test.describe('on a phone', () => {
  test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });

  test('a learner drills alone, without a network too, and the instructor sees it', async ({
    page,
    school,
    browser,
    server,
  }) => {
    await signIn(page, school);
    await addLearner(page, 'Tilda Learner');
    const context = await browser.newContext({
      baseURL: server.address,
      serviceWorkers: 'allow',
      viewport: { width: 390, height: 844 },
    });
    const device = await context.newPage();
    await letIn(page, device);
    await device.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await device.reload();
    await device.getByRole('heading', { name: 'Hello Tilda' }).waitFor();
    await expect(device.getByText('Tilda Learner')).toHaveCount(0);
    await device.waitForLoadState('networkidle');

    await context.setOffline(true);
    await device.reload();
    await device.getByRole('button', { name: 'Drill for ten minutes' }).click();
    for (let i = 0; i < 2; i++) {
      await device.getByRole('button', { name: 'Show the answer' }).click();
      await device.getByRole('button', { name: 'I said everything' }).click();
    }
    await device.getByRole('button', { name: 'Show the answer' }).click();
    await device.getByRole('button', { name: 'I did not know it' }).click();
    await device.getByRole('button', { name: 'Stop here' }).click();
    await expect(device.getByText('3 answers are kept on this device until the server can be reached.')).toBeVisible();
    const sent = device.waitForResponse(
      (answer) => answer.url().endsWith('/api/me/reviews') && answer.request().method() === 'POST',
    );
    await context.setOffline(false);
    await device.reload();
    expect((await sent).ok()).toBe(true);
    await expect(device.getByText(/are kept on this device/)).toHaveCount(0);
    await page.goto('/checks');
    await expect(page.getByRole('listitem').filter({ hasText: 'Tilda Learner' })).toContainText('18 of 21 not seen');

    await device.getByRole('button', { name: 'Numbers, quick-fire' }).click();
    await device.getByRole('article').getByRole('button').first().click();
    await device.getByRole('button', { name: 'Go on' }).click();
    await expect(device.getByText(/^2 of \d+, [01] right$/)).toBeVisible();
    await context.close();
  });
});

test('a learner sees nothing of the school, and loses the sign-in when the instructor ends it', async ({
  page,
  school,
  browser,
  server,
}) => {
  await signIn(page, school);
  await addLearner(page, 'Udo Learner');
  const context = await browser.newContext({ baseURL: server.address });
  const device = await context.newPage();
  await letIn(page, device);
  await device.goto('/learners');
  await expect(device.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await device.goto('/learn/debriefs');
  await expect(device.getByText('Nothing has been shared with you yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Sign Udo out everywhere' }).click();
  await page.getByText('Udo is signed out everywhere.').waitFor();
  await device.goto('/learn');
  await expect(device.getByLabel('Code')).toBeVisible();
  await device.getByLabel('Code').fill('AAAA-BBBB');
  await device.getByRole('button', { name: 'Sign in' }).click();
  await expect(device.getByText(/not known, was used, or has run out/)).toBeVisible();
  await context.close();
});
