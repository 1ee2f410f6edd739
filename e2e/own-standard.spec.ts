import { t as testResults } from '@jasperwren/words/test-results';
import { t as desk } from '@jasperwren/words/desk';
import { t as common } from '@jasperwren/words/common';
import { t as editor } from '@jasperwren/words/editor';
import { t as sentences } from '@jasperwren/words/editor-sentences';
import { t as standards } from '@jasperwren/words/standards';
import { beginBlank, Editing } from './editing';
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
  const editing = new Editing(page);
  await editing.click(editing.button(editor('addArea')));
  await expect(page.getByText('New area has no fault types.')).toBeVisible();
  await editing.write(editor('area'), 'Planning', editing.area('New area'));
  await editing.write(editor('letter'), 'b', editing.area('Planning'));
  await editing.search(editor('addTo', { area: 'Planning' }), 'Planning ahead');
  const item = await editing.open('Planning ahead', 'Planning');
  await editing.write(editor('ofNamed', { what: editor('letter'), name: 'Planning ahead' }), 'z', item);
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
  const editing = await beginBlank(page, 'Bridge test');
  await editing.click(editing.button(editor('addArea')));
  await editing.write(editor('area'), 'Crossroads');
  await editing.write(editor('letter'), 'c');
  await editing.search(editor('addTo', { area: 'Crossroads' }), 'Giving way');
  const trial = page.getByRole('complementary', { name: editor('tryIt') });
  await trial.getByLabel(testResults('areaFaultAndGrade')).click();
  await page.keyboard.type('cg1');
  await expect(page.getByText('Pass: 1 of 15 minor faults.')).toBeVisible();
  // What is no number is said where it is typed, and changes nothing.
  await editing.click(editing.phrase('Allowed, Minor faults'));
  await page.keyboard.type('none');
  await expect(page.getByText(common('aNumber0OrMore'))).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('Pass: 1 of 15 minor faults.')).toBeVisible();
  await editing.allow('Minor faults', 0);
  await expect(page.getByText('Fail: 1 minor fault.')).toBeVisible();
  await editing.click(editing.button(editor('addGrade')));
  await expect(page.getByRole('group', { name: editor('gradeName', { name: 'new grade' }) })).toBeVisible();
  await page.getByRole('button', { name: editor('removeName', { name: 'new grade' }) }).click();
  const item = await editing.open('Giving way', 'Crossroads');
  await item.getByRole('button', { name: editor('measureOf', { item: 'Giving way' }) }).click();
  await item.getByRole('button', { name: editor('addBand') }).click();
  await editing.write(editor('bandTo', { nth: 1 }), '30', item);
  // A limit that allows more than a cap leaves is said beside it, with what mends it.
  await editing.click(editing.button(editor('addCap')));
  await editing.allow('Minor faults', 7);
  await expect(page.getByText('no effect, caps let at most 1 of these faults count')).toBeVisible();
  await page.getByRole('button', { name: editor('toSortOut', { count: 1 }) }).click();
  await expect(page.getByRole('button', { name: editor('mendSetTo', { value: 0 }) })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText(editor('notSavedYet'))).toBeVisible();
  await publishStandard(page);
  await expect(page.getByRole('heading', { level: 1, name: 'Bridge test' })).toBeVisible();
  await expect(page.getByText(/over 10 and below 30 cm/)).toBeVisible();
});

test('a choice where opinions differ sets the number it stands for', async ({ page, school }) => {
  await signIn(page, school);
  await beginStandard(page, 'Timed yard', 'Lenient yard');
  const editing = new Editing(page);
  await expect(editing.limit('Engine stopped')).toContainText(sentences('byOption', { n: 2 }));
  await editing.choose('Engine stopped in the yard', 'More than three fail');
  await expect(editing.limit('Engine stopped')).toContainText(sentences('byOption', { n: 3 }));
  // An option of one's own: its second choice, once chosen, sets how long the slope may take.
  await editing.click(editing.button(editor('addOption')));
  const own = page.getByRole('group', { name: editor('newOption'), exact: true });
  await own.getByRole('button', { name: editor('moreOf', { name: editor('newOption') }) }).click();
  const second = own.getByRole('group', { name: editor('choiceNth', { nth: 2 }) });
  await second.getByRole('button', { name: editor('adds-limit') }).click();
  await expect(editing.phrase(editor('limit'), second)).toHaveText('Time of the slope');
  await editing.write(editor('allowed'), '77', second);
  await editing.choose(editor('newOption'), editor('choiceNth', { nth: 2 }), own);
  // It is said where the exercise says what it allows, and nothing there contradicts it.
  await expect(page.getByRole('group', { name: 'Slope', exact: true })).toContainText(
    sentences('byOption', { n: sentences('inSeconds', { n: 77 }) }),
  );
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
