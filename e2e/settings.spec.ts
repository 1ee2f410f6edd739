import { addLearner, allSaved, expect, minutes, press, signIn, signInByForm, startDrive, test } from './fixtures';

test('single keys can be switched off, and the desk then leaves them alone', async ({ page, school }) => {
  await signIn(page, school);
  await page.getByRole('link', { name: 'Account' }).click();
  await page.getByRole('switch', { name: 'Single keys on the marking desk' }).click();
  await addLearner(page, 'Olga Learner');
  await startDrive(page);
  await press(page, 'j', 'o', '1', ' ');
  await expect(page.getByText('15 of 15 left')).toBeVisible();
  await expect(page.getByRole('button', { name: 'no pins open' })).toBeVisible();
  await page.getByRole('button', { name: 'Junctions' }).click();
  await page.getByRole('button', { name: 'Looking: driving fault' }).focus();
  await press(page, 'Enter');
  await expect(page.getByText('14 of 15 left')).toBeVisible();
});

test('the theme that was chosen stays, whatever the device says', async ({ page, school }) => {
  await signIn(page, school);
  await page.getByRole('link', { name: 'Account' }).click();
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const day = await ground();
  await page.getByRole('radio', { name: 'Night' }).click();
  await expect.poll(ground).not.toBe(day);
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Night' })).toBeChecked();
  expect(await ground()).not.toBe(day);
});

test('signing out with something unsent warns, and sends it at the next sign-in', async ({ page, school, server }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Pia Learner');
  await startDrive(page);
  await allSaved(page);
  const desk = page.url();
  await page.route('**/events', (route) => route.abort());
  await press(page, 'j', 'o', '1');
  await minutes(page, 1);
  await expect(page.getByText('saved here, 1 waiting to send')).toBeVisible();
  await page.goto('/account');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('1 entry has not been sent')).toBeVisible();
  await page.getByRole('button', { name: 'Sign out all the same' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.unroute('**/events');
  await signInByForm(page, school);
  await minutes(page, 1);
  await page.goto(desk);
  await expect(page.getByText('all saved')).toBeVisible();
  await expect(page.getByText('14 of 15 left')).toBeVisible();
  expect(new URL(desk).origin).toBe(server.address);
});

test('a second tab and the first mark the same drive without losing anything', async ({ page, school, context }) => {
  await signIn(page, school);
  await addLearner(page, 'Quin Learner');
  await startDrive(page);
  await press(page, 'j', 'o', '1');
  await expect(page.getByText('all saved')).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByText('14 of 15 left')).toBeVisible();
  await press(other, 'r', 'l', '1');
  await press(page, 'k', 'g', '1');
  await expect(other.getByText('all saved')).toBeVisible();
  await expect(page.getByText('all saved')).toBeVisible();
  await page.reload();
  await expect(page.getByText('12 of 15 left')).toBeVisible();
});
