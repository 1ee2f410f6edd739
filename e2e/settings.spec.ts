import { t as accountWords } from '@jasperwren/words/account';
import { t as deskWords } from '@jasperwren/words/desk';
import { t as shell } from '@jasperwren/words/shell';
import { addLearner, allSaved, expect, minutes, press, signIn, signInByForm, startDrive, test } from './fixtures';

test('single keys can be switched off, and the desk then leaves them alone', async ({ page, school }) => {
  await signIn(page, school);
  await page.getByRole('link', { name: shell('account') }).click();
  await page.getByRole('switch', { name: accountWords('keyboardShortcutsOnTheMarkingScreen') }).click();
  await addLearner(page, 'Olga Learner');
  await startDrive(page);
  await press(page, 'j', 'o', '1', ' ');
  await expect(
    page.getByText(deskWords('leftOfAllowedLeft', { left: '15', allowed: '15' }), { exact: true }),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: deskWords('noPins') })).toBeVisible();
  await page.getByRole('button', { name: 'Junctions' }).click();
  await page.getByRole('button', { name: 'Observation: driving fault' }).focus();
  await press(page, 'Enter');
  await expect(
    page.getByText(deskWords('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true }),
  ).toBeVisible();
});

test('the theme that was chosen stays, whatever the device says', async ({ page, school }) => {
  await signIn(page, school);
  await page.getByRole('link', { name: shell('account') }).click();
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const day = await ground();
  await page.getByRole('radio', { name: accountWords('night') }).click();
  await expect.poll(ground).not.toBe(day);
  await page.reload();
  await expect(page.getByRole('radio', { name: accountWords('night') })).toBeChecked();
  await expect.poll(ground).not.toBe(day);
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
  await expect(page.getByText(deskWords('savedHereWaitingNotSent', { waiting: '1' }))).toBeVisible();
  await page.goto('/account');
  await page.getByRole('button', { name: accountWords('signOut') }).click();
  await expect(page.getByText(accountWords('countedNotBeenSent', { counted: '1 change has' }))).toBeVisible();
  await page.getByRole('button', { name: accountWords('signOutAnyway') }).click();
  await expect(page.getByRole('button', { name: accountWords('signIn') })).toBeVisible();
  await page.unroute('**/events');
  await signInByForm(page, school);
  await minutes(page, 1);
  await page.goto(desk);
  await expect(page.getByText(deskWords('allSaved'))).toBeVisible();
  await expect(
    page.getByText(deskWords('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true }),
  ).toBeVisible();
  expect(new URL(desk).origin).toBe(server.address);
});

test('a second tab and the first mark the same drive without losing anything', async ({ page, school, context }) => {
  await signIn(page, school);
  await addLearner(page, 'Quin Learner');
  await startDrive(page);
  await press(page, 'j', 'o', '1');
  await expect(page.getByText(deskWords('allSaved'))).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(
    other.getByText(deskWords('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true }),
  ).toBeVisible();
  await press(other, 'r', 'l', '1');
  await press(page, 'k', 'g', '1');
  await expect(other.getByText(deskWords('allSaved'))).toBeVisible();
  await expect(page.getByText(deskWords('allSaved'))).toBeVisible();
  await page.reload();
  await expect(
    page.getByText(deskWords('leftOfAllowedLeft', { left: '12', allowed: '15' }), { exact: true }),
  ).toBeVisible();
});
