import { t as account } from '@jasperwren/words/account';
import { t as common } from '@jasperwren/words/common';
import { t as learners } from '@jasperwren/words/learners';
import { t as readiness } from '@jasperwren/words/readiness';
import { addLearner, expect, signIn, test, fromMore } from './fixtures';

test('a learner is added, with bad input explained and nothing typed lost', async ({ page, school }) => {
  await signIn(page, school);
  await page.getByRole('link', { name: learners('addLearner') }).click();
  await page.getByLabel(account('eMail')).fill('nowhere');
  await page.getByLabel(learners('notes')).fill('Wears glasses to drive.');
  await page.getByRole('button', { name: learners('addLearner') }).click();
  await expect(page.getByText('Enter the learner’s name.')).toBeVisible();
  await expect(page.getByText('This is not an e-mail address.')).toBeVisible();
  await page.getByRole('link', { name: learners('learners') }).click();
  await expect(page.getByText(common('whatYouWhatIsNotSaved', { what: 'typed' }))).toBeVisible();
  await page.getByRole('button', { name: account('keepEditing') }).click();
  await page.getByLabel(account('eMail')).fill('');
  await page.getByLabel(learners('name')).fill('Cleo Learner');
  await page.getByRole('spinbutton', { name: account('day') }).click();
  await page.keyboard.type('15012031');
  await page.getByRole('button', { name: learners('addLearner') }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Cleo Learner' })).toBeVisible();
  await expect(page.getByText('Wears glasses to drive.')).toBeVisible();
  await expect(page.getByText(/Driving test 15 January 2031/)).toBeVisible();
  await expect(page.getByText('No mock tests yet.')).toBeVisible();
});

test('a learner is edited, archived, and brought back', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Dana Learner');
  await fromMore(page, learners('edit'));
  await page.getByLabel(learners('name')).fill('Dana Renamed');
  await page.getByRole('button', { name: learners('save') }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Dana Renamed' })).toBeVisible();
  await page.getByRole('button', { name: learners('more') }).click();
  await page.getByRole('menuitem', { name: learners('archive') }).click();
  await expect(page.getByText(learners('nameArchivedAllRecordsAreKept', { name: 'Dana Renamed' }))).toBeVisible();
  await page.getByRole('link', { name: learners('learners') }).click();
  await expect(page.getByText(readiness('noLearnersYet'))).toBeVisible();
  await page.getByRole('button', { name: common('undo') }).click();
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
  await signIn(other, await newSchool());
  await other.goto(path);
  await expect(other.getByRole('alert')).toContainText('Learner not found. It may have been removed.');
  for (const address of [`/api${path}`, `/api${path}/drives`])
    expect((await other.request.get(address)).status()).toBe(404);
  await other.goto('/learners');
  await expect(other.getByText(readiness('noLearnersYet'))).toBeVisible();
  await context.close();
});
