import { whyWords } from '@jasperwren/words/why';
import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import { t as learners } from '@jasperwren/words/learners';
import {
  addLearner,
  allSaved,
  endDrive,
  expect,
  minutes,
  press,
  signIn,
  startDrive,
  test,
  watchForResult,
} from './fixtures';

test('a whole drive by keyboard alone', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Fern Learner');
  await page.goto('/drive');
  await page.getByRole('combobox', { name: drives('learner') }).waitFor();
  // From here on, nothing but keys.
  const tabTo = async (name: string | RegExp) => {
    const wanted = page.getByRole('button', { name }).or(page.getByRole('combobox', { name }));
    for (let i = 0; i < 30; i++) {
      if (await wanted.evaluateAll((all) => all.includes(document.activeElement as HTMLElement))) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`The Tab key does not reach ${String(name)}.`);
  };
  await tabTo(drives('learner'));
  await page.keyboard.type('Fern');
  await press(page, 'ArrowDown', 'Enter');
  await tabTo(drives('startMockTest'));
  await press(page, 'Enter');
  await page.getByRole('timer').waitFor();

  await minutes(page, 5);
  await press(page, 'j', 'o', '1');
  await expect(
    page.getByRole('status').filter({ hasText: /Driving fault: junctions, observation, at 5:0\d/ }),
  ).toBeVisible();
  await press(page, 'j', 'o', '2');
  await press(page, 'Backspace');
  await expect(page.getByText('Undone: fault')).toBeVisible();
  await press(page, 'j', 'z');
  await expect(page.getByText('No Z in Junctions.')).toBeVisible();
  await press(page, 'Escape', ' ');
  await expect(page.getByRole('button', { name: desk('namePins', { count: 1 }) })).toBeVisible();
  await press(page, ',', '.', '/');
  await expect(
    page.getByRole('button', { name: desk('switchSectionNowSection', { section: 'Independent driving' }) }),
  ).toBeVisible();
  await minutes(page, 15);
  await press(page, '0');
  await minutes(page, 4);
  await press(page, '0', ';', 'g', 't', '1');
  await expect(page.getByRole('button', { name: desk('noPins') })).toBeVisible();
  await press(page, '/');
  await minutes(page, 20);
  await expect(page.getByRole('timer')).toContainText('40:0');
  await press(page, 'End');
  await tabTo(desk('endAndSeeResult'));
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Pass: 2 of 15 driving faults.');
  await expect(page.getByText('40 min driven, 15 min independent. 1 prompt. Took control once.')).toBeVisible();
});

test.describe('on a tablet', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('a whole drive by touch alone, two touches a mark', async ({ page, school }) => {
    await page.clock.install();
    await signIn(page, school);
    await addLearner(page, 'Gil Learner');
    await page.getByRole('link', { name: learners('startMockTest') }).tap();
    await page.getByRole('button', { name: drives('startMockTest') }).tap();
    await page.getByRole('timer').waitFor();
    await minutes(page, 4);
    await page.getByRole('button', { name: 'Roundabouts' }).tap();
    await page.getByRole('button', { name: 'Lane: driving fault' }).tap();
    await expect(
      page.getByText(desk('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true }),
    ).toBeVisible();
    await page.getByRole('button', { name: /^Pin/ }).tap();
    await page.getByRole('button', { name: /^Prompt/ }).tap();
    await page.getByRole('button', { name: desk('switchSectionNowSection', { section: 'With directions' }) }).tap();
    await minutes(page, 12);
    await page.getByRole('button', { name: desk('namePins', { count: 1 }) }).tap();
    await page.getByRole('button', { name: desk('discardPin'), exact: true }).tap();
    await page.getByRole('button', { name: whyWords({ because: 'no-fault' }) }).tap();
    await page.getByRole('button', { name: desk('switchSectionNowSection', { section: 'Independent driving' }) }).tap();
    await minutes(page, 16);
    await page.getByRole('button', { name: /Roundabouts: lane, driving fault, 4:0\d/ }).tap();
    await page.getByRole('button', { name: 'serious fault' }).tap();
    await expect(page.getByText(desk('overTheLimit'))).toBeVisible();
    await page.getByRole('button', { name: /^End/ }).tap();
    await page.getByRole('button', { name: desk('endAndSeeResult') }).tap();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 serious fault.');
    await expect(page.getByText('serious fault, first recorded as driving fault')).toBeVisible();
  });
});

test('a drive goes on after a reload, in another tab, and its clock with it', async ({ page, school, context }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Hana Learner');
  await startDrive(page);
  await minutes(page, 6);
  await press(page, 'm', 'b', '1');
  await allSaved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /Moving off: blind spot, driving fault, 6:0\d/ })).toBeVisible();
  await expect(page.getByText(desk('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true })).toBeVisible();
  await minutes(page, 1);
  await expect(page.getByRole('timer')).toContainText(/^7:/);
  const address = page.url();
  await page.close();
  const tab = await context.newPage();
  await tab.goto('/');
  await tab.getByRole('link', { name: /^Continue: Hana Learner/ }).click();
  await expect(tab).toHaveURL(address);
  await expect(tab.getByRole('button', { name: /Moving off: blind spot, driving fault, 6:0\d/ })).toBeVisible();
});

test('a server killed in the middle and started again loses nothing', async ({ page, school, server }) => {
  await page.clock.install();
  const resultFetched = watchForResult(page);
  await signIn(page, school);
  await addLearner(page, 'Ines Learner');
  const learner = page.url();
  await startDrive(page);
  await press(page, 'j', 'o', '1');
  await allSaved(page);
  await resultFetched();
  await server.kill();
  await minutes(page, 10);
  await press(page, '/', 'r', 'l', '1', ' ', 's', 'b', '1');
  await minutes(page, 1);
  await expect(page.getByText(desk('savedHereWaitingNotSent', { waiting: '4' }))).toBeVisible();
  await minutes(page, 20);
  await press(page, 'Backspace', ';', 'k', 'g', '1');
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Pass: 3 of 15 driving faults');
  await expect(page.getByText('not sent yet')).toBeVisible();
  await server.start();
  await minutes(page, 1);
  await expect(page.getByText('not sent yet')).toHaveCount(0);
  await page.evaluate(() => indexedDB.deleteDatabase('jasperwren'));
  await page.goto(learner);
  await page.getByRole('link', { name: /\d{4}$/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Pass: 3 of 15 driving faults');
  await expect(page.getByRole('listitem').filter({ hasText: 'Set-up: seat belts' })).toHaveCount(0);
});
