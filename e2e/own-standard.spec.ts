import { t as testResults } from '@jasperwren/words/test-results';
import { t as desk } from '@jasperwren/words/desk';
import { t as editor } from '@jasperwren/words/editor';
import { t as standards } from '@jasperwren/words/standards';
import {
  addPerson,
  beginStandard,
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

test('a category and an item of the catalogue are added, and marked on the desk', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await beginStandard(page, 'Minor and major', 'Longer list');
  await page.getByRole('button', { name: editor('addArea') }).click();
  await expect(page.getByText('New area has no fault types.')).toBeVisible();
  await page
    .getByRole('textbox', { name: editor('area') })
    .last()
    .fill('Planning');
  await page.getByRole('button', { name: editor('countFaultTypesOfName', { count: 0, name: 'Planning' }) }).click();
  await page.getByLabel(editor('addFromCatalogue')).fill('Planning ahead');
  await page.getByRole('option', { name: /^Planning ahead:/ }).click();
  await page.getByRole('group', { name: 'Planning ahead' }).getByLabel(editor('letter')).fill('Z');
  await expect(page.getByText(editor('notSavedYet'))).toBeVisible();
  await publishStandard(page);
  await testUnder(page, 'Xeni Learner', 'Longer list');
  await startDrive(page);
  await press(page, 'b', 'z', '2');
  await minutes(page, 31);
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 major.');
  await expect(page.getByRole('listitem', { name: /^Planning: planning ahead, major/ })).toBeVisible();
});

test('a standard is made from nothing, and a trial test shows the result as the numbers change', async ({
  page,
  school,
}) => {
  await signIn(page, school);
  await page.goto('/standards');
  await page.getByRole('button', { name: standards('newStandard') }).click();
  await page.getByLabel(standards('name')).fill('Bridge test');
  await page.getByRole('button', { name: standards('createDraft') }).click();
  await page.getByRole('button', { name: editor('addArea') }).click();
  await page
    .getByRole('textbox', { name: editor('area') })
    .last()
    .fill('Crossroads');
  await page.getByRole('button', { name: editor('countFaultTypesOfName', { count: 0, name: 'Crossroads' }) }).click();
  await page.getByLabel(editor('addFromCatalogue')).fill('Giving way');
  await page
    .getByRole('option', { name: /^Giving way:/ })
    .first()
    .click();
  const trial = page.getByRole('region', { name: testResults('faults') });
  await trial.getByLabel(testResults('areaFaultAndGrade')).fill('bg1');
  await expect(page.getByText('Pass: 1 of 15 minor faults.')).toBeVisible();
  await page.getByRole('listitem', { name: 'Limit Minor faults' }).getByLabel('Limit, faults').fill('0');
  await expect(page.getByText('Fail: 1 minor fault.')).toBeVisible();
  await page.getByRole('button', { name: editor('addGrade') }).click();
  await expect(page.getByRole('listitem', { name: editor('gradeName', { name: 'new grade' }) })).toBeVisible();
  await page.getByRole('button', { name: editor('removeName', { name: 'new grade' }) }).click();
  await page.getByRole('button', { name: editor('measureOf', { item: 'Giving way' }) }).click();
  await page.getByText(editor('measuredAs', { quantity: 'distance', unit: 'cm' })).click();
  await page.getByRole('button', { name: editor('addBand') }).click();
  const first = page.getByRole('group', { name: editor('bandNth', { nth: 1 }) });
  await first.getByLabel(editor('bandTo', { nth: 1 })).fill('30');
  await publishStandard(page);
  await expect(page.getByRole('heading', { level: 1, name: 'Bridge test' })).toBeVisible();
  await expect(page.getByText(/over 10 and below 30 cm/)).toBeVisible();
});

test('a choice where opinions differ sets the number it stands for', async ({ page, school }) => {
  await signIn(page, school);
  await beginStandard(page, 'Timed yard', 'Lenient yard');
  await expect(page.getByRole('listitem', { name: 'Limit Engine stopped' })).toContainText(
    editor('setByAnOptionBelow'),
  );
  await page.getByRole('combobox', { name: 'Engine stopped in the yard' }).click();
  await page.getByRole('option', { name: 'More than three fail' }).click();
  // An option of one's own: its second choice, once chosen, sets how long the slope may take.
  await page.getByRole('button', { name: editor('addOption') }).click();
  const own = page.getByRole('listitem', { name: editor('newOption') });
  await own.getByText(editor('choicesAndWhatTheySet')).click();
  const second = own.getByRole('group', { name: editor('choiceNth', { nth: 2 }) });
  await second.getByRole('button', { name: editor('setsALimit') }).click();
  await expect(second.getByRole('combobox', { name: editor('limit') })).toHaveText('Time of the slope');
  await second.getByRole('textbox', { name: new RegExp(`^${editor('allowed')}`) }).fill('77');
  await own.getByRole('combobox', { name: editor('newOption') }).click();
  await page.getByRole('option', { name: editor('choiceNth', { nth: 2 }) }).click();
  await publishStandard(page);
  await expect(page.getByText('77 s', { exact: false }).first()).toBeVisible();
  await expect(page.getByText('Fail: more than 3 demerits (engine stopped) in the whole test.')).toBeVisible();
  await page.getByRole('link', { name: /^timed-yard version \d+$/ }).click();
  await expect(page.getByText('Fail: more than 2 demerits (engine stopped) in the whole test.')).toBeVisible();
});

test('a standard that learners are waiting for is not retired, and an instructor only reads', async ({
  page,
  school,
  browser,
  baseURL,
}) => {
  await signIn(page, school);
  await testUnder(page, 'Abel Learner', 'Strikes');
  await page.goto('/standards/strikes');
  await page.getByRole('button', { name: standards('retire') }).click();
  await expect(page.getByText('1 learner is still to be tested under it.')).toBeVisible();
  const email = `reader-${Date.now()}@reading.example`;
  await addPerson(page, 'Rea Reader', email);
  const context = await browser.newContext(baseURL ? { baseURL } : {});
  const reader = await context.newPage();
  await signIn(reader, { email });
  await reader.goto('/standards/strikes');
  await expect(reader.getByText('Fail: more than 2 strikes in observation checks.')).toBeVisible();
  await expect(reader.getByRole('link', { name: standards('export') })).toBeVisible();
  await expect(reader.getByRole('button', { name: standards('copyAndEdit') })).toHaveCount(0);
  await expect(reader.getByRole('button', { name: standards('retire') })).toHaveCount(0);
  await context.close();
});

test('the desk and the sheet offer the grades that the chosen options leave', async ({ page, school }) => {
  await signIn(page, school);
  await testUnder(page, 'Cato Learner', 'Reversing area');
  const learner = page.url();
  await startDrive(page);
  await page.getByRole('button', { name: desk('viewAllFaults') }).click();
  await press(page, 'v');
  const row = page.getByRole('group', { name: 'Pull-forward' });
  await expect(row.getByRole('button', { name: 'Pull-forward: fault' })).toBeVisible();
  await expect(row.getByRole('button', { name: 'Pull-forward: note' })).toHaveCount(0);
  await press(page, 's', '1');
  await expect(page.getByText(desk('itemHasNoGradeDigit', { item: 'Pull-forward', digit: '1' }))).toBeVisible();
  await page.goto(`${learner}/sheet`);
  await page.getByLabel('Area, fault and grade').fill('vs');
  await expect(page.getByRole('listitem', { name: 'Reverse into the bay: pull-forward, fault: 1' })).toBeVisible();
});
