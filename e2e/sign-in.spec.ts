import { expect, signInByForm, test } from './fixtures';
import { makeServer, runCli } from './server';

test('a wrong password is refused in words, the right one opens Today', async ({ page, school }) => {
  await page.goto('/learners');
  await expect(page).toHaveURL(/sign-in/);
  await page.getByLabel('E-mail').fill('not an address');
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Write your e-mail address')).toBeVisible();
  await page.getByLabel('E-mail').fill(school.email);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText('The address or the password is not right.');
  await page.getByLabel('Password').fill('three grey kettles');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(/learners$/);
  await expect(page.getByText('Nobody is on the list yet.')).toBeVisible();
});

test('signing out closes every page', async ({ page, school }) => {
  await signInByForm(page, school);
  await page.getByRole('link', { name: 'Account' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.goto('/');
  await expect(page).toHaveURL(/sign-in/);
});

test('sign-in details are on the page in demo mode only', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await expect(page.getByText('This is a demo')).toHaveCount(0);

  const demo = await makeServer({ JASPERWREN_DEMO: '1' });
  try {
    runCli(demo.dataDir, 'demo', 'demo');
    await demo.start();
    await page.goto(`${demo.address}/sign-in`);
    await page.getByRole('button', { name: 'brisa@ysmer-road.example' }).click();
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await page.getByRole('link', { name: 'Learners' }).click();
    await expect(page.getByText('8 learners on your school’s list.')).toBeVisible();
    await page.getByRole('link', { name: 'Lenka Brathmoor' }).click();
    await expect(page.getByText('Most marks:')).toBeVisible();
    await expect(
      page
        .getByRole('img', { name: /Most marks/ })
        .locator('svg')
        .first(),
    ).toBeVisible();
  } finally {
    await demo.remove();
  }
});
