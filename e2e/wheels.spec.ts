import { t as shell } from '@jasperwren/words/shell';
import { t as wheels } from '@jasperwren/words/motion';
import { t as stopping } from '@jasperwren/words/stopping';
import { t as yard } from '@jasperwren/words/yard-pages';
import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import DxfParser from 'dxf-parser';
import { expect, expectNoHarm, signIn, test } from './fixtures';

const choose = async (page: Page, label: string, option: string) => {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
};

test('a car is measured, its bay planned, driven by keys under two standards, and set out', async ({
  page,
  school,
}) => {
  await signIn(page, school);
  await page.getByRole('link', { name: shell('yard'), exact: true }).click();
  await page.getByRole('link', { name: yard('wheels') }).click();
  await expect(page.getByText(/^1 movement, .*Nearest: \d+ cm/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Bay, reversing in seen from above/ })).toBeVisible();
  await expect(page.getByText(/^(Ends with .*)?May be \d+ cm short or \d+ cm far\.$/).first()).toBeVisible();
  await expectNoHarm(page, 'the plan of an exercise');

  // A circle that no hatchback has is questioned; a larger one than usual is planned with.
  await page.getByText(wheels('measures')).click();
  await page.getByLabel(wheels('circle')).fill('7.1');
  await expect(page.getByText(/This gives a circle of 7\.1 m; 9 to 12 m is usual/)).toBeVisible();
  await page.getByLabel(wheels('circle')).fill('11.8');
  await expect(page.getByText(/is usual for the class/)).toHaveCount(0);
  await expect(page.getByText(/movements?, .*Nearest/)).toBeVisible();

  // A gap that is too short says how much more would do.
  await choose(page, wheels('exercise'), wheels('parallel'));
  await page.getByLabel('Gap between cars (m)').fill('4.2');
  await expect(page.getByText(/Gap between cars: \d\.\d\d m would do, \d+ cm more\./)).toBeVisible({
    timeout: 60_000,
  });
  await page.getByLabel('Gap between cars (m)').fill('2');
  await expect(page.getByRole('alert')).toContainText('Gap between cars: from 4.05');

  // By keys: the wheel turned standing still, then back over the line of the bay.
  await choose(page, wheels('exercise'), wheels('bay-reverse'));
  await page.getByRole('link', { name: wheels('driveIt') }).click();
  await expect(page.getByText(wheels('nothingTouched'))).toBeVisible();
  const turned = page.getByRole('definition').nth(1);
  await page.keyboard.down('ArrowRight');
  await expect(turned).toHaveText('once');
  await page.keyboard.down('ArrowDown');
  await expect(page.getByText(/touched a line after/).first()).toBeVisible();
  await page.keyboard.up('ArrowDown');
  await page.keyboard.up('ArrowRight');
  const faults = (standard: string) => page.getByText(standard, { exact: true }).locator('..');
  await expect(faults('Timed yard')).toContainText('Garage bay: wheel turned standing still, demerit');
  await expect(faults('Timed yard')).toContainText('Garage bay: line touched');
  await expect(faults('Attempts yard')).toContainText('Alley dock right: wheel turned standing still, penalty point');
  await page.getByRole('button', { name: wheels('startAgain') }).click();
  await expect(page.getByText(wheels('nothingTouched'))).toBeVisible();
  await expect(turned).toHaveText('0 times');

  await page.getByRole('link', { name: wheels('setOut') }).click();
  await expect(page.getByText(/^Base line from A to D: 4\.70 m/)).toBeVisible();
  await expect(page.getByRole('row', { name: /^C / })).toContainText('2.80 m left');
  await page.getByLabel(wheels('groundWidth'), { exact: true }).fill('5');
  await expect(page.getByText(/of width missing/)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: wheels('saveDxf') }).click();
  const drawing = new DxfParser().parseSync(await readFile(await (await download).path(), 'utf8'));
  expect(drawing?.entities.filter(({ type }) => type === 'CIRCLE')).toHaveLength(4);
  await expectNoHarm(page, 'the set-out');
});

test('a speed says how far it takes to stop, and what pressing the clutch first costs', async ({ page, school }) => {
  await signIn(page, school);
  // The Highway Code (Great Britain), rule 126; from memory: 9 and 14 m at 30 mph.
  await page.goto('/yard/stopping?speed=30&unit=mph');
  await expect(
    page.getByText('At 30 mph on a dry road the car goes 23 m before it stands: 9 m thinking, 14 m braking.'),
  ).toBeVisible();
  await choose(page, stopping('surface'), stopping('wet'));
  await expect(page.getByText(/on a wet road the car goes 36 m/)).toBeVisible();
  await page.getByRole('slider', { name: stopping('clutchFirst') }).press('End');
  await expect(page.getByText(/^Pressing the clutch first costs 26\.8 m/)).toBeVisible();
  await page.getByLabel(stopping('single')).check();
  await expect(page.getByText(/Oncoming drivers need half of it/)).toBeVisible();
  await expectNoHarm(page, 'stopping');
});
