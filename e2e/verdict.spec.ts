import { t as desk } from '@jasperwren/words/desk';
import { t as result } from '@jasperwren/words/result';
import { readFileSync } from 'node:fs';
import { addLearner, endDrive, expect, minutes, press, signIn, startDrive, test } from './fixtures';
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
  await expect(heading).toHaveText('Fail: one serious fault.');
  await expect(page.getByText('One serious fault, where none is allowed.')).toBeVisible();
  await expect(page.getByText(/Decided at 20:0\d by Signs and lights: traffic lights\./)).toBeVisible();

  await page.getByRole('button', { name: 'Strike Signs and lights: traffic lights' }).click();
  await expect(page.getByRole('button', { name: result('strikeIt') })).toBeDisabled();
  await page.getByLabel(result('reason')).fill('The light was green: I looked at the other one.');
  await page.getByRole('button', { name: result('strikeIt') }).click();
  await expect(heading).toHaveText('Pass with one driving fault; 14 more would still have passed.');
  await expect(page.getByText('Struck: The light was green: I looked at the other one.')).toBeVisible();

  await minutes(page, 1);
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: result('saveTheRecord') }).click();
  const file = await (await saving).path();
  expect(readFileSync(file, 'utf8')).toContain('"jasperwren-drive"');
  expect(runCli(server.dataDir, 'judge', file)).toContain('Pass with one driving fault');

  await page.goto(learner);
  const row = page.getByRole('listitem').filter({ hasText: 'driving fault' });
  await expect(row).toContainText('pass: one driving fault; 14 more would still have passed.');
  await row.getByRole('link').click();
  await page.getByRole('button', { name: 'Put back Signs and lights: traffic lights' }).click();
  await expect(heading).toHaveText('Fail: one serious fault.');
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
  await expect(heading).toContainText('Pass with four driving faults');
  await expect(page.getByText('Mirrors: before signalling, 4 times on one drive.')).toBeVisible();
  await page.getByRole('button', { name: result('makeTheLastOneAGrade', { grade: 'serious fault' }) }).click();
  await expect(heading).toHaveText('Fail: one serious fault.');
});

test('a short drive has no verdict, and says what is missing', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Levi Learner');
  await startDrive(page);
  await minutes(page, 12);
  await press(page, ' ', 'End');
  await expect(page.getByText('It will stay without a verdict: 12 min driven, 30 min needed')).toBeVisible();
  await page.getByRole('button', { name: desk('breakItOff') }).click();
  await page.getByRole('button', { name: desk('weatherOrRoad') }).click();
  await page.getByRole('button', { name: desk('unsafeWeather') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'No verdict yet: the drive was broken off, one pin is not settled',
  );
  await expect(page.getByText('Broken off: Unsafe weather.')).toBeVisible();
  await page.getByRole('link', { name: result('settleThePin') }).click();
  await page.getByRole('timer').waitFor();
  await press(page, ';', 'p', 'l', '1');
  await page.getByRole('link', { name: desk('theDriveHasEndedSeeThe') }).click();
  await expect(page.getByRole('heading', { name: result('marksInOrder') })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Speed: over the limit' })).toContainText(/12:0\d/);
});
