import { t as account } from '@jasperwren/words/account';
import { t as learners } from '@jasperwren/words/learners';
import { t as readiness } from '@jasperwren/words/readiness';
import { t as shell } from '@jasperwren/words/shell';
import { expect, signInByForm, test } from './fixtures';
import { startDemoServer } from './demo-server';
import { password } from './server';

test('an answer of before the sign-in that comes after it does not undo it', async ({ page, school }) => {
  let letGo = (): void => undefined;
  const gone = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  // The first question who is signed in is answered at once by the server, and arrives late.
  let first = true;
  await page.route('**/api/session', async (route) => {
    if (route.request().method() !== 'GET' || !first) return route.continue();
    first = false;
    const answer = await route.fetch();
    await gone;
    return route.fulfill({ response: answer });
  });
  await page.goto('/sign-in');
  await page.getByLabel(account('eMail')).fill(school.email);
  await page.getByLabel(account('password')).fill(password);
  const signedIn = page.waitForResponse((response) => response.request().method() === 'POST' && response.ok());
  await page.getByRole('button', { name: account('signIn') }).click();
  await signedIn;
  letGo();
  await expect(page.getByRole('navigation', { name: shell('main') })).toBeVisible();
});

test('a wrong password is refused in words, the right one opens Today', async ({ page, school }) => {
  let asked = 0;
  page.on('request', (request) => {
    if (new URL(request.url()).pathname === '/api/session') asked++;
  });
  await page.goto('/learners');
  await expect(page).toHaveURL(/sign-in/);
  await page.waitForLoadState('networkidle');
  expect(asked).toBe(1);
  await page.getByLabel(account('eMail')).fill('not an address');
  await page.getByLabel(account('password')).fill('wrong');
  await page.getByRole('button', { name: account('signIn') }).click();
  await expect(page.getByText('Enter your e-mail address')).toBeVisible();
  await page.getByLabel(account('eMail')).fill(school.email);
  await page.getByRole('button', { name: account('signIn') }).click();
  await expect(page.getByRole('alert')).toHaveText('Wrong email or password.');
  await page.getByLabel(account('password')).fill('three grey kettles');
  await page.getByRole('button', { name: account('signIn') }).click();
  await expect(page).toHaveURL(/learners$/);
  await expect(page.getByText(readiness('noLearnersYet'))).toBeVisible();
});

test('signing out closes every page', async ({ page, school }) => {
  await signInByForm(page, school);
  await page.getByRole('link', { name: shell('account') }).click();
  await page.getByRole('button', { name: account('signOut') }).click();
  await expect(page.getByRole('button', { name: account('signIn') })).toBeVisible();
  await page.goto('/');
  await expect(page).toHaveURL(/sign-in/);
});

test('sign-in details are on the page in demo mode only', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: account('signIn') })).toBeVisible();
  await expect(page.getByText('This is a demo')).toHaveCount(0);

  const demo = await startDemoServer();
  try {
    await page.goto(`${demo.address}/sign-in`);
    await page.getByRole('button', { name: 'brisa@ysmer-road.example' }).click();
    await page.getByRole('button', { name: account('signIn'), exact: true }).click();
    await page.getByRole('link', { name: learners('learners') }).click();
    await expect(page.getByText('12 learners')).toBeVisible();
    await page.getByRole('link', { name: 'Lenka Brathmoor' }).click();
    await expect(page.getByText('Most faults:')).toBeVisible();
    await expect(
      page
        .getByRole('img', { name: /Most faults/ })
        .locator('svg')
        .first(),
    ).toBeVisible();
  } finally {
    await demo.remove();
  }
});
