import { t as copyLink } from '@jasperwren/words/copy-link';
import { t as debrief } from '@jasperwren/words/debrief';
import { t as desk } from '@jasperwren/words/desk';
import { t as learners } from '@jasperwren/words/learners';
import { t as notes } from '@jasperwren/words/notes';
import { t as result } from '@jasperwren/words/result';
import { t as shell } from '@jasperwren/words/shell';
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
  await press(page, 'k', 'e', '1', 'l', 'l', '2', '.');
  await minutes(page, 20);
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  // Parked: the red light made it necessary.
  const control = page.getByRole('listitem', { name: /^Took control, 18:/ });
  await control.getByRole('combobox').click();
  await page.getByRole('option', { name: /^Signs and lights: traffic lights/ }).click();
  await page.getByLabel(result('privateNoteInstructorsOnly')).fill('Was near tears; go gently.');
  await page.getByRole('button', { name: result('saveNote') }).click();
  await page.getByRole('link', { name: result('debrief') }).click();

  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 serious fault.');
  await expect(page.getByText('Without that fault: pass, 1 of 15 driving faults.')).toBeVisible();
  await expect(page.getByRole('listitem', { name: /Signs and lights: traffic lights, serious fault/ })).toContainText(
    'this fault failed the test',
  );
  await expect(page.getByText('near tears')).toHaveCount(0);
  await expect(page.getByRole('listitem', { name: /^Took control, 18:/ })).toContainText(
    'Made necessary by: Signs and lights: traffic lights',
  );
  await expect(page.getByText(/^What good looks like: acts on red, green and arrows/)).toBeVisible();
  await page.getByRole('button', { name: /^Add note to Signs and lights: traffic lights/ }).click();
  await page.getByRole('combobox', { name: /^Note to Cleo about/ }).pressSequentially('Name the colour aloud');
  await page.keyboard.press('Enter');
  const note = page.getByRole('combobox', { name: notes('noteTo', { name: 'Cleo' }), exact: true });
  await note.pressSequentially('Well kept calm on the hill.');
  await page.getByLabel(notes('keepPhrase')).check();
  await page.getByRole('button', { name: notes('save') }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Well kept calm on the hill.' })).toBeVisible();
  await page.getByRole('combobox', { name: debrief('workOnPart', { part: 'first' }) }).click();
  await page.getByRole('option', { name: 'Controls: engine stopped' }).click();
  await page.getByRole('button', { name: debrief('markAsDebriefed') }).click();
  await minutes(page, 1);
  await expect(page.getByRole('link', { name: notes('planNextLesson') })).toHaveAttribute('href', /\/plan$/);

  const pdf = await getDocumentProxy(new Uint8Array(await page.pdf({ preferCSSPageSize: true })));
  expect(pdf.numPages).toBe(2);
  const { text } = await extractText(pdf, { mergePages: true });
  expect(text).toContain('Fail: 1 serious fault.');
  expect(text).toContain('Controls: engine stopped');
  expect(text).toContain('Well kept calm on the hill.');
  expect(text).toContain('Made necessary by');
  expect(text).not.toContain('near tears');
  expect(text).not.toContain(learners('learners'));
  expect(text).not.toContain(notes('addNote'));

  await page.getByRole('button', { name: debrief('shareWithName', { name: 'Cleo' }) }).click();
  await page.getByRole('button', { name: debrief('createLink') }).click();
  const address = await page.getByLabel(debrief('copyItNowItIsNot')).inputValue();
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.getByRole('button', { name: copyLink('copyLink') }).click();
  await expect(page.getByText(copyLink('linkCopied'))).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(address);
  const stranger = await browser.newContext();
  const reader = await stranger.newPage();
  await reader.goto(address);
  await expect(reader.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 serious fault.');
  await expect(reader.getByText('near tears')).toHaveCount(0);
  await expect(reader.getByText('Name the colour aloud')).toBeVisible();
  await expect(reader.getByRole('combobox')).toHaveCount(0);
  await expect(reader.getByRole('navigation')).toHaveCount(0);
  await page.getByRole('button', { name: debrief('revokeLink') }).click();
  await expect(page.getByText(/revoked/)).toBeVisible();
  await reader.reload();
  await expect(reader.getByRole('heading', { name: debrief('thisLinkHasExpiredAskYour') })).toBeVisible();
  await stranger.close();

  await page.goto(learner);
  await page.getByRole('link', { name: /\d{4}$/ }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: result('downloadCSV') }).click();
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
  await expect(page.getByRole('link', { name: result('debrief') })).toHaveCount(0);
  await minutes(page, 1);
  await page.getByRole('link', { name: shell('today') }).click();
  await expect(page.getByText(/Dora Learner.*sort out 1 pin to get the result/)).toBeVisible();
  await page.getByRole('link', { name: /^Name pin:/ }).click();
  await page.getByRole('timer').waitFor();
  await press(page, ';', 'r', 'l', '1');
  await minutes(page, 1);
  await page.getByRole('link', { name: desk('theMockTestHasEndedSee') }).click();
  await page.getByRole('link', { name: shell('today') }).click();
  await expect(page.getByText(/Dora Learner.*not debriefed yet/)).toBeVisible();
  await page.getByRole('link', { name: result('debrief') }).click();
  await page.getByRole('button', { name: debrief('markAsDebriefed') }).click();
  await minutes(page, 1);
  await page.getByRole('link', { name: shell('today') }).click();
  await expect(page.getByText(/not debriefed yet/)).toHaveCount(0);
});
