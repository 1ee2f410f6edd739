import type { NewYardCar } from '@jasperwren/contract/yard';
import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import { t as editor } from '@jasperwren/words/editor';
import { t as result } from '@jasperwren/words/result';
import { t as shell } from '@jasperwren/words/shell';
import { whyWords } from '@jasperwren/words/why';
import { t as yard } from '@jasperwren/words/yard';
import { t as pages } from '@jasperwren/words/yard-pages';
import { timedYard } from '@jasperwren/core/marking/testing-standards';
import { randomPlan, simulateRun } from '@jasperwren/core/yard/simulate-run';
import { writeRunCsv } from '@jasperwren/core/yard/telemetry-csv';
import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { Editing } from './editing';
import { openFeed } from './feed';
import {
  beginStandard,
  endDrive,
  expect,
  expectNoHarm,
  failParallelPark,
  minutes,
  press,
  publishStandard,
  signedHeaders,
  signIn,
  startDrive,
  startOrEnd,
  test,
  testUnder,
} from './fixtures';

const counter = (page: Page, what: string) => page.getByRole('button', { name: yard('countOne', { what }) });

test('a timed yard by hand: clocks, demerits, measured values, looks and the order of leaving the car', async ({
  page,
  school,
}) => {
  await page.clock.install();
  await signIn(page, school);
  await testUnder(page, 'Yara Learner', 'Timed yard');
  await startDrive(page);
  await expect(page.getByRole('heading', { name: yard('next', { name: 'Slope' }) })).toBeVisible();
  await expect(page.getByText('Please drive onto the slope', { exact: false })).toBeVisible();
  await startOrEnd(page);
  // 16 cm by keypad is a demerit by its band.
  await press(page, 'r');
  // The field has the focus as it opens: what is typed goes there, and no key passes through it.
  await press(page, '1', '5');
  await expect(page.getByRole('textbox', { name: 'Distance rolled back, cm' })).toHaveValue('15');
  await expect(page.getByRole('button', { name: yard('within', { value: '15', unit: 'cm' }) })).toBeDisabled();
  await page.getByRole('button', { name: yard('clear') }).click();
  // Half by touch, half by key, with the focus on a button.
  await page.getByRole('button', { name: '1', exact: true }).click();
  await press(page, '6');
  await expect(
    page.getByRole('button', { name: yard('record', { value: '16', unit: 'cm', grade: 'demerit' }) }),
  ).toBeEnabled();
  await press(page, 'Enter');
  await expect(page.getByRole('textbox', { name: 'Distance rolled back, cm' })).toHaveCount(0);
  await minutes(page, 76 / 60);
  await expect(page.getByText(/^\d+ seconds left$/)).toBeVisible();
  await startOrEnd(page);

  await startOrEnd(page);
  await expect(page.getByRole('heading', { name: 'Emergency brake' })).toBeVisible();
  await minutes(page, 1);
  await startOrEnd(page);

  // One second too many fails the exercise at once, without anything being touched.
  await startOrEnd(page);
  await minutes(page, 121 / 60);
  await expect(page.getByRole('alert').filter({ hasText: /^This exercise is failed, / })).toContainText(
    '120 s allowed',
  );
  await expectNoHarm(page, 'the console with a failed exercise');
  await startOrEnd(page);

  await startOrEnd(page);
  await page.getByRole('button', { name: yard('seenLook', { look: 'All round before reversing' }) }).click();
  await page.getByRole('button', { name: yard('missedLook', { look: 'Over the shoulder before leaving' }) }).click();
  await press(page, 'x', 'x');
  const room = page.getByRole('listitem').filter({ hasText: 'Demerits in one exercise' });
  await expect(room).toContainText(yard('usedOf', { used: 5, allowed: 5 }));
  await press(page, 'd');
  await expect(room).toContainText(yard('usedOf', { used: 6, allowed: 5 }));
  // What was touched by mistake is taken back, and the exercise stands.
  await press(page, 'Backspace');
  await expect(room).toContainText(yard('usedOf', { used: 5, allowed: 5 }));
  await startOrEnd(page);

  // It survives a reload in the middle of an exercise: the clock goes on from its start.
  await startOrEnd(page);
  await minutes(page, 3);
  await page.reload();
  await expect(page.getByRole('timer', { name: yard('timer') })).toContainText(/3:0\d/);
  await startOrEnd(page);

  await expect(page.getByRole('heading', { name: yard('all') })).toBeVisible();
  await page.getByRole('button', { name: yard('leftOtherwise') }).click();
  await expect(page.getByText(yard('leavingDone'))).toBeVisible();
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 failed exercise.');
  const rolled = page.getByRole('listitem', { name: /^Slope: rolled back/ });
  // The table of the course comes after its page, and moves what stands below it.
  await expect(page.getByRole('columnheader', { name: 'Exercise' })).toBeVisible();
  await rolled.getByLabel('Distance rolled back, cm').fill('34');
  await rolled.getByRole('button', { name: drives('setGrade') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 2 failed exercises.');
});

test('an attempts yard on both sides: a fourth movement fails the attempt, the last attempt the exercise', async ({
  page,
  school,
}) => {
  await page.clock.install();
  await signIn(page, school);
  await testUnder(page, 'Zora Learner', 'Attempts yard');
  await startDrive(page);
  await failParallelPark(page);
  await startOrEnd(page);
  // No third attempt: the course goes on with the other side.
  await expect(page.getByRole('heading', { name: yard('next', { name: 'Parallel park right' }) })).toBeVisible();
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 failed exercise.');
  await expect(
    page.getByText('Parallel park left: 2 failed attempts (Failed attempts at parallel park left). 1 allowed.'),
  ).toBeVisible();
});

test('a reversing area: two pull-forwards pass and the third fails', async ({ page, school }) => {
  await signIn(page, school);
  await testUnder(page, 'Rhea Learner', 'Reversing area');
  await startDrive(page);
  await startOrEnd(page);
  await press(page, 's', 's');
  await counter(page, yard('walks')).click();
  const pulls = page.getByRole('listitem').filter({ hasText: 'Pull-forwards' });
  await expect(pulls).toContainText(yard('usedOf', { used: 2, allowed: 2 }));
  await expect(page.getByRole('alert')).toHaveCount(0);
  await press(page, 's');
  await expect(page.getByRole('alert').filter({ hasText: /^This exercise is failed/ })).toContainText(
    yard('testFailed'),
  );
  await press(page, 'Backspace');
  await expect(page.getByRole('alert').filter({ hasText: /^This exercise is failed/ })).toHaveCount(0);
  // All faults are one touch away, for what belongs to no exercise.
  await page.getByRole('button', { name: desk('viewAllFaults') }).click();
  await page.getByRole('button', { name: /^At the end/ }).click();
  await page.getByRole('button', { name: desk('viewExercises') }).click();
  await startOrEnd(page);
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Pass: 2 of 5 faults.');
});

test('a timed yard by the stand-in, from its start to the result without a hand on it', async ({
  page,
  school,
  server,
}) => {
  test.setTimeout(180_000);
  await signIn(page, school);
  await testUnder(page, 'Sela Learner', 'Timed yard');
  await startDrive(page);
  await press(page, '=');
  await page.getByRole('button', { name: desk('sensorsTile'), exact: true }).click();
  await page.getByRole('button', { name: yard('careful') }).click();
  await expect(page.getByText(yard('sending', { car: yard('simulatedCar') }))).toBeVisible();
  const console = page.getByRole('region', { name: yard('exerciseNow') });
  await expect(console.getByRole('heading', { name: 'Slope', exact: true })).toBeVisible();
  // In the middle of an exercise: a reload, and a server that is gone for a while.
  await page.reload();
  await expect(console.getByRole('heading', { name: 'Emergency brake', exact: true })).toBeVisible();
  await server.kill();
  await expect(page.getByText(yard('connecting', { car: yard('simulatedCar') }))).toBeVisible();
  await server.start();
  await expect(console.getByRole('heading', { name: 'Parallel bay', exact: true })).toBeVisible({ timeout: 90_000 });
  await expect(console.getByRole('heading', { name: yard('ended') })).toBeVisible({ timeout: 60_000 });
  await expect(console).toContainText('Pass: no faults.');
  await page.getByText(desk('allSaved')).waitFor();
  await page.getByRole('link', { name: yard('seeResult'), exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Pass: no faults.');
  // Each exercise stands there once, with its time, however often it was read.
  const course = page.getByRole('row').filter({ hasText: 'of 180 s' });
  await expect(course).toContainText('passed');
  await expect(course.getByText('of 180 s')).toHaveCount(1);
  await page.getByRole('link', { name: result('showSensorValues') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(yard('careful'));
  await expect(page.getByText('Pass: no faults.')).toBeVisible();
  await expect(page.getByRole('img', { name: pages('stripOf') })).toBeVisible();
  await expectNoHarm(page, 'the values of a run');
});

test('a run from a file is judged, shown around its faults, kept as a mock test and given back as the same file', async ({
  page,
  school,
}) => {
  await signIn(page, school);
  await testUnder(page, 'Fia Learner', 'Timed yard');
  const csv = writeRunCsv(
    simulateRun(timedYard, {
      ...randomPlan(timedYard, 5, 0),
      exercises: timedYard.exercises.map(({ code }) => ({
        exercise: code,
        slips: code === 'slope' ? [{ sign: 'roll-back', value: 16 }] : code === 'garage-bay' ? [{ sign: 'line' }] : [],
      })),
    }),
  );
  await page.getByRole('link', { name: shell('yard') }).click();
  await expect(page.getByText(pages('noRuns'))).toBeVisible();
  const add = page.getByLabel(pages('addFile'), { exact: true });
  await add.setInputFiles({ name: 'torn.csv', mimeType: 'text/csv', buffer: Buffer.from('speed_kmh\n5\n') });
  await expect(page.getByRole('alert').filter({ hasText: '“at_ms”' })).toBeVisible();
  await add.setInputFiles({ name: 'morning.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(page.getByRole('heading', { level: 1, name: 'morning.csv' })).toBeVisible();
  await expect(page.getByText('Fail: 1 failed exercise.')).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'Slope' })).toContainText('Rolled back, demerit, 16 cm');
  await page.getByRole('button', { name: /^Show the ten seconds around: Line touched/ }).click();
  await expect(page.getByRole('combobox', { name: pages('part') })).toHaveText(pages('aroundFault'));
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: pages('download') }).click();
  expect(await readFile(await (await download).path(), 'utf8')).toBe(`${csv}\r\n`);
  await page.getByRole('button', { name: pages('keep') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 failed exercise.');
  await expect(page.getByRole('link', { name: 'Fia Learner' })).toBeVisible();
  await page
    .getByRole('link', { name: result('seenBySensors') })
    .first()
    .click();
  await expect(page.getByRole('combobox', { name: pages('part') })).toHaveText(pages('aroundFault'));
  await page.getByRole('button', { name: pages('deleteRun') }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: pages('deleteRun') })
    .click();
  await expect(page.getByText(pages('noRuns'))).toBeVisible();
});

test('a course with branches, read from a car: a fault is shown with its values and removed, and the timer warns by sound', async ({
  page,
  school,
  server,
}) => {
  await page.addInitScript(() => {
    const heard: number[] = ((globalThis as { heard?: number[] }).heard = []);
    const start = Reflect.get<OscillatorNode, 'start'>(OscillatorNode.prototype, 'start');
    OscillatorNode.prototype.start = function (at?: number) {
      heard.push(this.frequency.value);
      start.call(this, at);
    };
  });
  await page.clock.install();
  await signIn(page, school);
  await beginStandard(page, 'Timed yard', 'Forked yard');
  const editing = new Editing(page);
  const slope = page.getByRole('group', { name: 'Slope', exact: true });
  await editing.click(slope.getByRole('button', { name: editor('moreOf', { name: 'Slope' }) }));
  await editing.click(editing.phrase(editor('ofNamed', { what: editor('comesNext'), name: 'Slope' }), slope));
  await editing.check('Garage bay at 90 degrees', 'Parallel bay');
  await publishStandard(page);
  await testUnder(page, 'Nia Learner', 'Forked yard');
  await startDrive(page);

  const added = await page.request.post('/api/yard/cars', {
    headers: await signedHeaders(page),
    data: { name: 'Car 3' },
  });
  const car = await openFeed(server.address, ((await added.json()) as NewYardCar).token);
  const plan = randomPlan(timedYard, 5, 0);
  const [columns, ...rows] = writeRunCsv(
    simulateRun(timedYard, {
      ...plan,
      exercises: [
        { exercise: 'slope', slips: [{ sign: 'roll-back', value: 16 }] },
        { exercise: 'garage-bay', slips: [] },
      ],
    }),
  ).split('\r\n');
  await car.ask({ run: 'forked', columns });
  await car.ask({ from: 0, rows: rows.slice(0, 20) });
  await press(page, '=');
  await page.getByRole('button', { name: desk('sensorsTile'), exact: true }).click();
  await page.getByRole('button', { name: 'Car 3' }).click();
  await expect(page.getByText(yard('sending', { car: 'Car 3' }))).toBeVisible();
  // As far as the way to the garage bay.
  const left = rows.findIndex((row, i) => i > 0 && rows[i - 1]!.includes('slope') && !row.includes('slope'));
  await page.clock.fastForward(left * 50);
  await car.ask({ from: 20, rows: rows.slice(20, left + 20) });
  await page.getByRole('button', { name: /^Slope: rolled back, demerit/ }).click();
  await expect(page.getByRole('img', { name: pages('stripOf') })).toBeVisible();
  await expectNoHarm(page, 'the values around a fault, on the console');
  await page.getByRole('button', { name: desk('removeFault') }).click();
  await page.getByRole('button', { name: whyWords({ because: 'misread' }) }).click();
  await expect(page.getByRole('button', { name: /^Slope: rolled back, demerit, .*removed$/ })).toBeVisible();
  car.close();

  // Either bay may come next; the one that is not taken is not asked for any more.
  const next = page.getByRole('group', { name: yard('nextOneOf') });
  await expect(next.getByRole('button')).toHaveText([/Garage bay/, /Parallel bay/]);
  await next.getByRole('button', { name: /Parallel bay/ }).click();
  await startOrEnd(page);
  await minutes(page, 286 / 60);
  await expect(page.getByText(/^1?\d seconds left$/)).toBeVisible();
  await expect.poll(() => page.evaluate(() => (globalThis as { heard?: number[] }).heard)).toContain(1320);
});
