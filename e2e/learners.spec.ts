import { addLearner, expect, signIn, test } from './fixtures';

test('a learner is added, with bad input explained and nothing typed lost', async ({ page, school }) => {
  await signIn(page, school);
  await page.getByRole('link', { name: 'Add a learner' }).click();
  await page.getByLabel('E-mail').fill('nowhere');
  await page.getByLabel('Notes').fill('Wears glasses to drive.');
  await page.getByRole('button', { name: 'Add the learner' }).click();
  await expect(page.getByText('Write the learner’s name.')).toBeVisible();
  await expect(page.getByText('This is not an e-mail address.')).toBeVisible();
  await page.getByRole('link', { name: 'Learners' }).click();
  await expect(page.getByText('What you typed is not saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Stay' }).click();
  await page.getByLabel('E-mail').fill('');
  await page.getByLabel('Name').fill('Cleo Learner');
  await page.getByRole('spinbutton', { name: 'Day' }).click();
  await page.keyboard.type('15012031');
  await page.getByRole('button', { name: 'Add the learner' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Cleo Learner' })).toBeVisible();
  await expect(page.getByText('Wears glasses to drive.')).toBeVisible();
  await expect(page.getByText(/Test on 15 January 2031/)).toBeVisible();
  await expect(page.getByText('Cleo has no drives yet.')).toBeVisible();
});

test('a learner is edited, archived, and brought back', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Dana Learner');
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByLabel('Name').fill('Dana Renamed');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Dana Renamed' })).toBeVisible();
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Archive' }).click();
  await expect(page.getByText('Dana Renamed is archived; every drive is kept.')).toBeVisible();
  await page.getByRole('link', { name: 'Learners' }).click();
  await expect(page.getByText('Nobody is on the list yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Dana Renamed' })).toBeVisible();
});

test('another school finds nothing of ours, on the page and through the API', async ({
  page,
  school,
  newSchool,
  browser,
  baseURL,
}) => {
  await signIn(page, school);
  await addLearner(page, 'Ezra Learner');
  const path = new URL(page.url()).pathname;
  const context = await browser.newContext(baseURL ? { baseURL } : {});
  const other = await context.newPage();
  await signIn(other, newSchool());
  await other.goto(path);
  await expect(other.getByRole('alert')).toContainText('Your school has no such learner.');
  for (const address of [`/api${path}`, `/api${path}/drives`])
    expect((await other.request.get(address)).status()).toBe(404);
  await other.goto('/learners');
  await expect(other.getByText('Nobody is on the list yet.')).toBeVisible();
  await context.close();
});
