import { t as common } from '@jasperwren/words/common';
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
  await expect(
    page.getByText(/Tolerance: stop \d+ cm( or more)? early to \d+ cm( or more)? late; steering wheel/).first(),
  ).toBeVisible();

  // At the end of the last step the rear cones of the bay are in the mirrors, and on the learner's page.
  await page.getByRole('button', { name: /^Wheels straight, back 2/ }).click();
  await expect(page.getByRole('heading', { name: wheels('youSeeAfter', { step: 3 }) })).toBeVisible();
  await page.getByRole('slider', { name: wheels('mirrorsDown') }).press('End');
  await expect(page.getByRole('img', { name: /^Left mirror: / }).first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const sheet = page.getByRole('article');
  await expect(sheet.getByRole('heading', { name: 'Bay, reversing in, on the right: Hatchback' })).toBeVisible();
  // Three steps, three mirrors each.
  await expect(sheet.getByRole('img', { name: /mirror/i })).toHaveCount(9);
  await page.emulateMedia({ media: 'screen' });
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
  await expect(page.getByText(/Gap between cars must be at least \d\.\d\d m \(\d+ cm more\)\./)).toBeVisible({
    timeout: 180_000,
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
  const recorded = page.waitForEvent('download');
  await page.getByRole('button', { name: wheels('saveRun') }).click();
  const run = await readFile(await (await recorded).path());
  await page.getByRole('slider', { name: wheels('lookBack') }).press('Home');
  await expect(page.getByRole('slider', { name: wheels('lookBack') })).toHaveAttribute('aria-valuetext', '0.0 m');
  await page.getByRole('button', { name: wheels('startAgain') }).click();
  await expect(page.getByText(wheels('nothingTouched'))).toBeVisible();
  await expect(turned).toHaveText('0 times');
  await choose(page, wheels('beside'), wheels('besideBefore'));

  await page.getByRole('link', { name: wheels('setOut') }).click();
  await expect(page.getByText(/^Base line from p\d to p\d: 4\.70 m/)).toBeVisible();
  // The cone stands 15 cm outside the bay, whose other side is chalked at its width.
  await expect(page.getByRole('row', { name: /^C cone/ })).toContainText('2.65 m left');
  await expect(page.getByRole('row', { name: /^p\d line end/ }).filter({ hasText: '2.50 m left' })).toHaveCount(2);
  await choose(page, wheels('tapeReads'), wheels('inFeet'));
  await expect(page.getByRole('row', { name: /^C cone/ })).toContainText('8 ft 8¼ in left');
  await choose(page, wheels('tapeReads'), wheels('inMetres'));
  await page.getByLabel(wheels('groundWidth'), { exact: true }).fill('5');
  await expect(page.getByText(/of width missing/)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: wheels('saveDxf') }).click();
  const drawing = new DxfParser().parseSync(await readFile(await (await download).path(), 'utf8'));
  expect(drawing?.entities.filter(({ type }) => type === 'CIRCLE')).toHaveLength(4);
  // To scale only at the width that the drawing gives itself.
  const [shown, own] = await page
    .getByRole('img', { name: /its points and base line, to scale/ })
    .evaluate((picture: HTMLImageElement) => [picture.getBoundingClientRect().width, picture.naturalWidth] as const);
  expect(Math.abs(shown - own)).toBeLessThan(1);
  await expectNoHarm(page, 'the set-out');

  // As a run of the yard the drive is laid on its ground again: where it went wrong, and until when it could have been saved.
  await page.goto('/yard');
  await page.getByLabel(yard('addFile')).setInputFiles({ name: 'bench.csv', mimeType: 'text/csv', buffer: run });
  await page.getByRole('link', { name: yard('wheelsOf', { exercise: 'Garage bay' }) }).click();
  await expect(page.getByText(/^The .* touched .* after \d\.\d m\.$/)).toBeVisible();
  await expect(page.getByText(/^Until \d\.\d m before, steering alone would have saved it:$/)).toBeVisible({
    timeout: 180_000,
  });
  await expectNoHarm(page, 'a run on its ground');
});

test('a rule of thumb is tried on a ground of the school’s own, in a vehicle that the school keeps', async ({
  page,
  school,
}) => {
  await signIn(page, school);
  await page.goto('/yard/wheels?vehicle=van&exercise=bay-reverse&bayM=2.8&aisleM=8&depthM=6&way=draw');
  const picture = page.getByRole('img', { name: /seen from above/ });
  await expect(picture).toBeVisible();
  await page.getByRole('button', { name: wheels('addCone') }).click();
  const cone = page.getByRole('button', { name: wheels('coneNamed', { id: 'E' }), exact: true });
  await expect(cone).toHaveAttribute('aria-pressed', 'true');
  // Dragged to the side of the aisle, then to the exact place by its figures and the arrow keys.
  const box = (await cone.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 90, box.y - 40, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByLabel(wheels('xM'))).not.toHaveValue('0');
  await page.getByLabel(wheels('xM')).fill('5.4');
  await page.getByLabel(wheels('yM')).fill('7.2');
  await expect(page.getByLabel(wheels('yM'))).toHaveValue('7.2');
  await cone.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel(wheels('xM'))).toHaveValue('5.45');
  // What is drawn is not lost by a look elsewhere.
  await page.getByRole('link', { name: wheels('planIt'), exact: true }).click();
  await page.getByRole('button', { name: common('keepEditing') }).click();
  await expect(page.getByLabel(wheels('xM'))).toHaveValue('5.45');
  await page.getByLabel(wheels('openLayout')).setInputFiles({
    name: 'torn.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"markers": []}'),
  });
  await expect(page.getByRole('alert')).toContainText('does not have required property');
  await page.getByLabel(wheels('keepName')).first().fill('Yard with a turning cone');
  await page
    .getByRole('button', { name: wheels('keep') })
    .first()
    .click();
  await expect(page.getByRole('combobox', { name: wheels('exercise') })).toHaveText('Yard with a turning cone');

  await page.getByRole('link', { name: wheels('ruleOfThumb') }).click();
  await choose(page, wheels('vehicle'), wheels('car'));
  await choose(page, wheels('ruleThing'), 'E');
  await expect(page.getByText(/^This rule works here\. Nearest: \d+ cm/)).toBeVisible();
  await choose(page, wheels('vehicle'), wheels('van'));
  await expect(page.getByText(/^This rule does not work here/)).toBeVisible();
  await expect(page.getByText(/^It would work with part 1 ended 1\d\d cm earlier\.$/)).toBeVisible();
  await expectNoHarm(page, 'a rule of thumb');

  // Kept, it is there for the whole school, and gone once it is deleted.
  await page.getByText(wheels('keptHere')).click();
  await page.getByLabel(wheels('keepName')).fill('Shoulder at the cone, van');
  await page.getByRole('button', { name: wheels('keep') }).click();
  await page.goto('/yard/wheels');
  await page.getByText(wheels('keptHere')).click();
  await page.getByRole('link', { name: 'Shoulder at the cone, van' }).click();
  // The whole answer: what is kept stands below it, and moves down as its last sentence comes.
  await expect(page.getByText(/^It would work with part 1 ended/)).toBeVisible();
  await page.getByRole('button', { name: wheels('dropKept', { name: 'Shoulder at the cone, van' }) }).click();
  await expect(page.getByRole('link', { name: 'Shoulder at the cone, van' })).toHaveCount(0);
  await page.getByRole('button', { name: wheels('undoDrop') }).click();
  await expect(page.getByRole('link', { name: 'Shoulder at the cone, van' })).toBeVisible();
});

test('a speed says how far it takes to stop, and what pressing the clutch first costs', async ({ page, school }) => {
  await signIn(page, school);
  // The Highway Code (Great Britain), rule 126; from memory: 9 and 14 m at 30 mph.
  await page.goto('/yard/stopping?speed=30&unit=mph');
  await expect(
    page.getByText(
      'At 30 mph on a dry road the car goes 23 m (75 ft) before it stands: 9 m (30 ft) thinking, 14 m (45 ft) braking.',
    ),
  ).toBeVisible();
  await choose(page, stopping('surface'), stopping('wet'));
  await expect(page.getByText(/on a wet road the car goes 36 m/)).toBeVisible();
  await page.getByRole('slider', { name: stopping('clutchFirst') }).press('End');
  await expect(page.getByText(/^Pressing the clutch first costs 27 m/)).toBeVisible();
  await page.getByLabel(stopping('single')).check();
  await expect(page.getByText(/Oncoming drivers need half of it/)).toBeVisible();
  await expectNoHarm(page, 'stopping');
});
