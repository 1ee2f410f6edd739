import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { extractText, getDocumentProxy } from 'unpdf';
import { addLearner, allSaved, endDrive, expect, minutes, press, signIn, startDrive, test } from './fixtures';

test('a drive is talked through, printed on two sheets, shared by a link and taken back', async ({
  page,
  school,
  browser,
}) => {
  await page.clock.install({ time: Date.now() });
  await signIn(page, school);
  await addLearner(page, 'Cleo Learner');
  const learner = page.url();
  await startDrive(page);
  await press(page, '/');
  await minutes(page, 18);
  await press(page, 'k', 'e', '1', 'l', 'l', '2');
  await minutes(page, 20);
  await endDrive(page);
  await page.getByLabel('For instructors only').fill('Was near tears; go gently.');
  await page.getByRole('button', { name: 'Keep' }).click();
  await page.getByRole('link', { name: 'Talk it through' }).click();

  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: one serious fault.');
  await expect(page.getByText('Without it: pass with one driving fault')).toBeVisible();
  await expect(page.getByRole('listitem', { name: /Signs and lights: traffic lights, serious fault/ })).toContainText(
    'it decided the drive',
  );
  await expect(page.getByText('near tears')).toHaveCount(0);
  await page.getByRole('combobox', { name: 'Work on, first' }).click();
  await page.getByRole('option', { name: 'Controls: engine stopped' }).click();
  await page.getByRole('button', { name: 'Mark as talked through' }).click();
  await minutes(page, 1);

  const pdf = await getDocumentProxy(new Uint8Array(await page.pdf({ preferCSSPageSize: true })));
  expect(pdf.numPages).toBe(2);
  const { text } = await extractText(pdf, { mergePages: true });
  expect(text).toContain('Fail: one serious fault.');
  expect(text).toContain('Controls: engine stopped');
  expect(text).not.toContain('near tears');
  expect(text).not.toContain('Learners');

  await page.getByRole('button', { name: 'Share with Cleo' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const address = await page.getByLabel('Copy it now; it is not shown again').inputValue();
  const stranger = await browser.newContext();
  const reader = await stranger.newPage();
  await reader.goto(address);
  await expect(reader.getByRole('heading', { level: 1 })).toHaveText('Fail: one serious fault.');
  await expect(reader.getByText('near tears')).toHaveCount(0);
  await expect(reader.getByRole('navigation')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText(/taken back/)).toBeVisible();
  await reader.reload();
  await expect(reader.getByRole('heading', { name: 'This link does not lead anywhere any more' })).toBeVisible();
  await stranger.close();

  await page.goto(learner);
  await page.getByRole('link', { name: /\d{4}$/ }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as CSV' }).click();
  // papaparse: an independent reader of RFC 4180.
  const file = readFileSync(await (await saving).path(), 'utf8');
  const { data, errors } = Papa.parse<Record<string, string>>(file.trim(), { header: true });
  expect(errors).toEqual([]);
  expect(data.filter(({ event }) => event === 'mark').map(({ item, grade }) => [item, grade])).toEqual([
    ['Engine stopped', 'driving fault'],
    ['Traffic lights', 'serious fault'],
  ]);
  expect(file).not.toContain('near tears');
});

test('Today names the drive that was not talked through, and forgets it once it was', async ({ page, school }) => {
  await page.clock.install({ time: Date.now() });
  await signIn(page, school);
  await addLearner(page, 'Dora Learner');
  await startDrive(page);
  await press(page, '/');
  await minutes(page, 38);
  await press(page, 'j', 'o', '1', ' ');
  await allSaved(page);
  await endDrive(page);
  await expect(page.getByRole('link', { name: 'Talk it through' })).toHaveCount(0);
  await minutes(page, 1);
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByText(/Dora Learner.*1 pin to settle; until then there is no verdict/)).toBeVisible();
  await page.getByRole('link', { name: 'Settle' }).click();
  await page.getByRole('timer').waitFor();
  await press(page, ';', 'r', 'l', '1');
  await minutes(page, 1);
  await page.getByRole('link', { name: 'The drive has ended: see the verdict' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByText(/Dora Learner.*: not talked through yet/)).toBeVisible();
  await page.getByRole('link', { name: 'Talk it through' }).click();
  await page.getByRole('button', { name: 'Mark as talked through' }).click();
  await minutes(page, 1);
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByText(/not talked through yet/)).toHaveCount(0);
});
