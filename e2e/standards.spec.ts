import { problemWords } from '@jasperwren/words/marking/problems';
import { t as account } from '@jasperwren/words/account';
import { t as adviserQuestions } from '@jasperwren/words/adviser-questions';
import { t as common } from '@jasperwren/words/common';
import { t as compare } from '@jasperwren/words/compare';
import { t as desk } from '@jasperwren/words/desk';
import { t as editor } from '@jasperwren/words/editor';
import { t as learners } from '@jasperwren/words/learners';
import { t as questions } from '@jasperwren/words/questions';
import { t as result } from '@jasperwren/words/result';
import { t as standards } from '@jasperwren/words/standards';
import type { Page } from '@playwright/test';
import { Editing } from './editing';
import {
  addLearner,
  beginStandard,
  carry,
  endDrive,
  expect,
  minutes,
  press,
  publishStandard,
  signIn,
  startDrive,
  test,
  testUnder,
} from './fixtures';

const allow = (page: Page, limit: string, n: number) => new Editing(page).allow(limit, n);

test('a template is edited and published; a drive keeps the version it was marked under', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await beginStandard(page, 'Tally', 'Island test');
  await allow(page, 'Driving faults', 2);
  await page.getByRole('button', { name: editor('publish'), exact: true }).click();
  await expect(page.getByRole('dialog')).toContainText('Limits, Driving faults, allowed');
  await expect(page.getByRole('dialog')).toContainText('2 (Set by your school)');
  await page.getByRole('button', { name: editor('publish') }).click();
  await expect(page.getByText('Fail: more than 2 driving faults in the whole test.')).toBeVisible();

  await testUnder(page, 'Una Learner', 'Island test');
  await startDrive(page);
  await expect(page.getByText('Island test v1')).toBeVisible();
  await press(page, '/');
  await minutes(page, 15);
  await press(page, '/', 'l', 'a', '1', 'j', 'o', '1');
  await minutes(page, 25);
  await endDrive(page);
  const verdict = 'Pass: 2 of 2 driving faults.';
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(verdict);
  const drive = page.url();

  await page.goto('/standards');
  await page.getByRole('link', { name: 'Island test' }).click();
  await page.getByRole('link', { name: standards('edit') }).click();
  await allow(page, 'Driving faults', 1);
  await publishStandard(page);
  await expect(page.getByText('Fail: more than 1 driving fault in the whole test.')).toBeVisible();
  await page.goto(drive);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(verdict);
  await expect(page.getByText('Island test v1')).toBeVisible();

  await page.getByRole('link', { name: result('compareStandards') }).click();
  await page.getByLabel(compare('compareWith')).click();
  await page.getByRole('option', { name: 'Island test' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'Island test' }).last()).toContainText(
    'Fail: 2 driving faults (1 allowed).',
  );
  await expect(page.getByText(/^The results differ: Pass under .*; Fail under Island test\.$/)).toBeVisible();
  await page.goto('/standards');
  await page.getByRole('link', { name: 'Island test' }).click();
  await page.getByRole('link', { name: standards('whatChanged') }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Driving faults, allowed' })).toContainText(
    '1 (Set by your school',
  );
});

test('a contradiction is named and stands in the way of publishing, until the draft is deleted', async ({
  page,
  school,
}) => {
  await signIn(page, school);
  await beginStandard(page, 'Tally', 'Odd test');
  const editing = new Editing(page);
  await editing.write(editor('letter'), 's');
  await expect(
    page.getByText(problemWords({ path: '', is: { code: 'twice', list: 'categories', field: 'letter', value: 'S' } })),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: editor('publish'), exact: true })).toBeDisabled();
  await page.getByRole('button', { name: editor('saveDraft') }).click();
  await expect(page.getByText(editor('draftSaved'))).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: editor('toSortOut', { count: 1 }) })).toBeVisible();
  await editing.write(editor('letter'), 'q');
  await allow(page, 'Driving faults', 99);
  await expect(page.getByText(editor('notSavedYet'))).toBeVisible();
  await page.getByRole('link', { name: learners('learners') }).click();
  await expect(page.getByText(common('whatYouWhatIsNotSaved', { what: 'changed' }))).toBeVisible();
  await page.getByRole('button', { name: account('keepEditing') }).click();
  await expect(editing.phrase('Allowed, Driving faults')).toHaveText('99');
  // It is deleted with what was not saved, once it was asked.
  await page.getByRole('button', { name: editor('deleteDraft') }).click();
  const question = page.getByRole('dialog', { name: editor('deleteDraftAsk') });
  await expect(question).toContainText(editor('deleteOnlyDraftMeans'));
  await question.getByRole('button', { name: editor('deleteDraft') }).click();
  await expect(page).toHaveURL('/standards');
  await expect(page.getByRole('link', { name: 'Tally', exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Odd test' })).toHaveCount(0);
});

test('categories are put in order by mouse and by keyboard', async ({ page, school }) => {
  await signIn(page, school);
  await beginStandard(page, 'Tally', 'Ordered test');
  const names = () =>
    page
      .getByRole('button', { name: /^Area: / })
      .evaluateAll((all) => all.slice(0, 3).map((button) => button.textContent));
  await expect.poll(names).toEqual(['Safety checks', 'Set-up', questions('controls')]);
  const from = page.getByRole('button', { name: 'Move Safety checks', exact: true });
  await from.scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: 'Move Controls', exact: true }).scrollIntoViewIfNeeded();
  const [a, b] = [
    (await from.boundingBox())!,
    (await page.getByRole('button', { name: 'Move Set-up', exact: true }).boundingBox())!,
  ];
  await page.mouse.move(a.x + 20, a.y + 20);
  await page.mouse.down();
  await page.mouse.move(a.x + 20, a.y + 40, { steps: 4 });
  await page.mouse.move(b.x + 20, b.y + 30, { steps: 8 });
  await page.mouse.up();
  await expect.poll(names).toEqual(['Set-up', 'Safety checks', questions('controls')]);
  await carry(page, page.getByRole('button', { name: 'Move Safety checks', exact: true }), 'ArrowUp', [2, 1]);
  await expect.poll(names).toEqual(['Safety checks', 'Set-up', questions('controls')]);
});

test('a standard goes out as a file and comes in again; a broken file changes nothing', async ({ page, school }) => {
  await signIn(page, school);
  await page.goto('/standards/graded');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: standards('export') }).click();
  const file = await (await download).path();
  await page.goto('/standards');
  const input = page.getByLabel(standards('markingStandardFile'));
  await input.setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"jasperwren-standard","formatVersion":1,"standard":{"id":"x"}}'),
  });
  await expect(page.getByRole('alert')).toContainText(
    'broken.json: This file is no marking standard that can be used.',
  );
  await expect(page.getByRole('alert')).toContainText("/standard must have required property 'limits'");
  await expect(page.getByText('None yet. Copy and edit')).toBeVisible();
  await input.setInputFiles(file);
  await expect(page.getByRole('heading', { level: 1, name: 'Graded marks' })).toBeVisible();
  await publishStandard(page);
  await page.getByRole('button', { name: standards('retire') }).click();
  await expect(page.getByText(standards('nameRetiredMockTestsMarkedUnder', { name: 'Graded marks' }))).toBeVisible();
});

test('the adviser proposes with a reason, keeps the answers, and leaves the grade to the person', async ({
  page,
  school,
}) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Vera Learner');
  await startDrive(page);
  await press(page, 'm', 'b', '1', '-');
  await page
    .getByRole('group', { name: adviserQuestions('near') })
    .getByRole('button', { name: adviserQuestions('near.close') })
    .click();
  await expect(page.getByText('Serious fault: someone was close enough to be endangered.')).toBeVisible();
  await press(page, 'Escape', '/');
  await minutes(page, 15);
  await press(page, '/');
  await minutes(page, 25);
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Pass: 1 of 15 driving faults/);
  await expect(page.getByText('Suggested: Serious fault: someone was close enough to be endangered.')).toBeVisible();
  await expect(page.getByText('Good mirrors make the blind-spot check unnecessary.')).toBeVisible();
  await page.getByRole('button', { name: /^Suggest grade for Moving off: blind spot/ }).click();
  await page.getByRole('button', { name: 'Change to serious fault' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 serious fault.');
});

test('the sheet of a real test is typed in, judged anew, and kept with the difference', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Willa Learner');
  await page.getByRole('button', { name: desk('more') }).click();
  await page.getByRole('menuitem', { name: learners('addTestResult') }).click();
  await page.getByRole('spinbutton', { name: account('day') }).click();
  await page.keyboard.type('04052026');
  await page.getByLabel(learners('testCentre')).fill('Quay Street');
  await page.getByLabel('Official result').click();
  await page.getByRole('option', { name: 'Fail' }).click();
  await page.getByLabel('Area, fault and grade').click();
  await page.keyboard.type('la1la1qtzz');
  await expect(page.getByText('No area has the letter Z.')).toBeVisible();
  await expect(page.getByRole('listitem', { name: 'Signs and lights: amber, driving fault: 2' })).toBeVisible();
  await expect(page.getByText('By these faults: Pass: 3 of 15 driving faults')).toBeVisible();
  await expect(page.getByText('The official result is a fail.')).toBeVisible();
  await page.getByRole('button', { name: 'Save result' }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Test result: Fail at Quay Street' });
  await expect(row).toContainText('By these faults: Pass, 3 of 15 driving faults');
  await row.getByRole('link', { name: '4 May 2026' }).click();
  await page.getByLabel('Area, fault and grade').fill('la2');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(row).toContainText('Test result: Fail at Quay Street, 1 serious fault.');
  await row.getByRole('link', { name: '4 May 2026' }).click();
  await page.getByRole('button', { name: 'Delete result' }).click();
  await expect(page.getByText('No mock tests yet.')).toBeVisible();
  await page.getByRole('button', { name: common('undo') }).click();
  await expect(row).toBeVisible();
});
