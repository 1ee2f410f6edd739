import { whyWords } from '@jasperwren/words/why';
import { t as desk } from '@jasperwren/words/desk';
import { t as result } from '@jasperwren/words/result';
import { t as short } from '@jasperwren/words/short-test';
import { readFileSync } from 'node:fs';
import { addLearner, endDrive, expect, minutes, press, signIn, startDrive, test, testUnder } from './fixtures';
import { runCli } from './server';

test('striking a mark turns a fail into a pass, here and in the history', async ({ page, school, server }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Jonas Learner');
  const learner = page.url();
  await startDrive(page);
  await press(page, '/');
  await minutes(page, 20);
  await press(page, 'l', 'l', '2', 'j', 'o', '1');
  await minutes(page, 15);
  await endDrive(page);
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText('Fail: 1 serious fault.');
  await expect(page.getByText('1 serious fault. None allowed.')).toBeVisible();
  await expect(page.getByText(/At 20 min: Signs and lights: traffic lights/)).toBeVisible();

  await page.getByRole('button', { name: 'Remove Signs and lights: traffic lights' }).click();
  await expect(page.getByRole('button', { name: result('removeFault') })).toBeDisabled();
  await page.getByLabel(result('reason')).fill('The light was green: I looked at the other one.');
  await page.getByRole('button', { name: result('removeFault') }).click();
  await expect(heading).toHaveText('Pass: 1 of 15 driving faults.');
  await expect(page.getByText('Removed: The light was green: I looked at the other one.')).toBeVisible();

  await minutes(page, 1);
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: result('downloadRecord') }).click();
  const file = await (await saving).path();
  expect(readFileSync(file, 'utf8')).toContain('"jasperwren-drive"');
  expect(runCli(server.dataDir, 'judge', file)).toContain('Pass: 1 of 15 driving faults');

  await page.goto(learner);
  const row = page.getByRole('listitem').filter({ hasText: 'driving fault' });
  await expect(row).toContainText('1 of 15 driving faults');
  await row.getByRole('link').click();
  await page.getByRole('button', { name: 'Restore Signs and lights: traffic lights' }).click();
  await expect(heading).toHaveText('Fail: 1 serious fault.');
});

test('a habit is asked about, and only a person makes it serious', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Kira Learner');
  await startDrive(page);
  await press(page, '/');
  for (let i = 0; i < 4; i++) {
    await minutes(page, 9);
    await press(page, 'i', 's', '1');
  }
  await endDrive(page);
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toContainText('Pass: 4 of 15 driving faults');
  await expect(page.getByText('Mirrors: before signalling, 4 times in one test.')).toBeVisible();
  await page.getByRole('button', { name: result('changeLastOneToGrade', { grade: 'serious fault' }) }).click();
  await expect(heading).toHaveText('Fail: 1 serious fault.');
});

test('a short drive has no verdict, and says what is missing', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Levi Learner');
  await startDrive(page);
  await minutes(page, 12);
  await press(page, ' ', 'End');
  await expect(page.getByText('No result yet: 12 of 30 minutes driven')).toBeVisible();
  await page.getByRole('button', { name: desk('stopEarly') }).click();
  await page.getByRole('button', { name: desk('weatherOrRoad') }).click();
  await page.getByRole('button', { name: whyWords({ because: 'weather' }) }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('No result yet: stopped early, 1 pin to name');
  await expect(page.getByText('Stopped early: Unsafe weather.')).toBeVisible();
  await page.getByRole('link', { name: result('namePin') }).click();
  await page.getByRole('timer').waitFor();
  await press(page, ';', 'p', 'l', '1');
  await page.getByRole('link', { name: desk('theMockTestHasEndedSee') }).click();
  await expect(page.getByRole('heading', { name: result('faultsInOrder') })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Speed: over the limit' })).toContainText(/12:0\d/);
});

test('the limit of a part of the test is said as it is used up and crossed, and a short test gets a result', async ({
  page,
  school,
}) => {
  await page.clock.install();
  await signIn(page, school);
  await testUnder(page, 'Mads Learner', 'Strikes');
  const learner = page.url();
  await startDrive(page);
  const limits = page.getByRole('complementary', { name: desk('limitsAndQuickButtons') });
  const receipt = page.getByRole('status').filter({ hasText: /Strike:/ });
  await press(page, 'm', 'b', '1');
  await expect(receipt).toContainText('Missed observation checks: 1 of 2 left.');
  await press(page, 'i', 'b', '1', 'j', 'o', '1');
  await expect(receipt).toContainText('Missed observation checks: 3, 2 allowed. Fails the test.');
  await expect(limits).toContainText('Fail: 3 strikes (2 allowed).');
  await page.keyboard.press('Backspace');
  await expect(limits).toContainText('So far: would pass');
  await expect(limits).toContainText('0 of 2 left');
  await minutes(page, 11);
  await press(page, 'End');
  await expect(page.getByText(/No result yet: 11 of 30 minutes driven\./)).toContainText(
    'So far: would pass, 2 strikes (nearest limit: missed observation checks, 2 of 2).',
  );
  await page.getByRole('button', { name: desk('endAndSeeResult') }).click();

  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toContainText('No result yet: 11 of 30 minutes driven. So far: would pass, 2 strikes');
  await page.getByRole('button', { name: short('meantShort') }).click();
  await page.getByRole('button', { name: whyWords({ because: 'short-lesson' }) }).click();
  await expect(heading).toHaveText(
    'Pass: 2 strikes (nearest limit: missed observation checks, 2 of 2) (short mock test).',
  );
  await expect(page.getByText('Short mock test: short lesson.')).toBeVisible();
  await page.goto(learner);
  await expect(page.getByRole('listitem').filter({ hasText: 'strikes' })).toContainText('(short mock test)');
});
