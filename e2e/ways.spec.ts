import { t as briefing } from '@jasperwren/words/briefing';
import { t as drives } from '@jasperwren/words/drives';
import { t as find } from '@jasperwren/words/find';
import { t as shell } from '@jasperwren/words/shell';
import { addLearner, expect, signIn, test } from './fixtures';

test('anything is found by a few letters, by keyboard alone', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Ola Learner');
  await page.goto('/standards');
  await page.getByRole('navigation', { name: shell('main') }).waitFor();
  await page.keyboard.press('Control+k');
  const box = page.getByRole('combobox', { name: find('findALearnerTest') });
  await box.fill('xyz');
  await expect(page.getByText(find('nothingFound'))).toBeVisible();
  await box.fill('ola');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Ola Learner' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.keyboard.press('Escape');
  await expect(box).toHaveCount(0);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('the bar leads to four sections and, by More, to the rest', async ({ page, school }) => {
    await signIn(page, school);
    await page.goto('/');
    const bar = page.getByRole('navigation', { name: shell('main') });
    await expect(bar.getByRole('link')).toHaveText(
      [shell('today'), shell('learners'), shell('mockTest'), shell('routes')],
      { useInnerText: true },
    );
    await bar.getByRole('button', { name: shell('more') }).tap();
    await page.getByRole('menuitem', { name: shell('standards') }).tap();
    await expect(page).toHaveURL(/standards$/);
  });
});

test('whoever is tested soonest is next, and one touch begins', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Late Learner', '2099-06-30');
  await addLearner(page, 'Soon Learner', '2099-06-01');
  await addLearner(page, 'Undated Learner');
  await page.goto('/drive');
  await expect(page.getByRole('button', { name: /^Start mock test with/ })).toHaveCount(2);
  await page.getByRole('button', { name: drives('startMockTestWithName', { name: 'Soon' }) }).click();
  await expect(page.getByRole('heading', { name: briefing('briefing') })).toBeVisible();
  await expect(page.getByText(/Soon Learner/)).toBeVisible();
});
