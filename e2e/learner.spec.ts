import { t as learn } from '@jasperwren/words/learn';
import { t as learners } from '@jasperwren/words/learners';
import { t as refusals } from '@jasperwren/words/refusals';
import { t as questions } from '@jasperwren/words/questions';
import type { Page } from '@playwright/test';
import { addLearner, expect, signIn, test, fromMore } from './fixtures';

/** A learner's own device, signed in by a code that the instructor reads out. */
async function letIn(page: Page, device: Page): Promise<void> {
  await fromMore(page, learners('safetyQuestions'));
  await page.getByRole('button', { name: questions('createCode') }).click();
  const code = await page.getByRole('status').filter({ hasText: '/learn' }).locator('b').innerText();
  await device.goto('/learn');
  await device.getByLabel(learn('code')).fill(code.toLowerCase());
  await device.getByRole('button', { name: learn('signIn') }).click();
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
    await device.getByRole('heading', { name: learn('helloFirstName', { firstName: 'Tilda' }) }).waitFor();
    await expect(device.getByText('Tilda Learner')).toHaveCount(0);
    await device.waitForLoadState('networkidle');

    await context.setOffline(true);
    await device.reload();
    await device.getByRole('button', { name: learn('practiseFor10Minutes') }).click();
    for (let i = 0; i < 2; i++) {
      await device.getByRole('button', { name: questions('showTheAnswer') }).click();
      await device.getByRole('button', { name: questions('iSaidAllOfIt') }).click();
    }
    await device.getByRole('button', { name: questions('showTheAnswer') }).click();
    await device.getByRole('button', { name: questions('iDidNotKnow') }).click();
    await device.getByRole('button', { name: questions('stop') }).click();
    await expect(device.getByText(learn('countedSavedOnThisDeviceUntil', { counted: '3 answers are' }))).toBeVisible();
    const sent = device.waitForResponse(
      (answer) => answer.url().endsWith('/api/me/reviews') && answer.request().method() === 'POST',
    );
    await context.setOffline(false);
    await device.reload();
    expect((await sent).ok()).toBe(true);
    await expect(device.getByText(/saved on this device until/)).toHaveCount(0);
    await page.goto('/checks');
    await expect(page.getByRole('listitem').filter({ hasText: 'Tilda Learner' })).toContainText(
      questions('unseenOfQuestionsNotSeen', { unseen: '18', questions: '21' }),
    );

    await device.getByRole('button', { name: learn('quickNumbers') }).click();
    await device.getByRole('article').getByRole('button').first().click();
    await device.getByRole('button', { name: questions('continue') }).click();
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
  await expect(device.getByRole('button', { name: learn('signIn') })).toBeVisible();
  await device.goto('/learn/debriefs');
  await expect(device.getByText('No debriefs yet.')).toBeVisible();
  await page.getByRole('button', { name: questions('signNameOutEverywhere', { name: 'Udo' }) }).click();
  await page.getByText(questions('nameIsSignedOutEverywhere', { name: 'Udo' })).waitFor();
  await device.goto('/learn');
  await expect(device.getByLabel(learn('code'))).toBeVisible();
  await device.getByLabel(learn('code')).fill('AAAA-BBBB');
  await device.getByRole('button', { name: learn('signIn') }).click();
  await expect(device.getByText(refusals('codeNotKnown'))).toBeVisible();
  await context.close();
});
