import { t as editor } from '@jasperwren/words/editor';
import { t as sentences } from '@jasperwren/words/editor-sentences';
import { t as yard } from '@jasperwren/words/yard';
import { beginBlank, type Editing } from './editing';
import {
  endDrive,
  expect,
  expectNoHarmDayAndNight,
  failParallelPark,
  minutes,
  press,
  publishStandard,
  signIn,
  startDrive,
  startOrEnd,
  test,
  testUnder,
} from './fixtures';

const every = (what: string) => editor('ofEvery', { what });
const of = (what: string, name: string) => editor('ofNamed', { what, name });

/** What both yards begin with: a course of exercises that all have to be driven. */
async function beginYard(editing: Editing, exercises: readonly string[]): Promise<void> {
  await editing.choose(editor('orderOfExercises'), sentences('inOrder'));
  await editing.click(editing.button(editor('addExercise')));
  await editing.check(...exercises);
  await editing.choose(every(editor('forAWholeTest')), sentences('required'));
}

/** Opens a fault type, says something of it, and closes it again. */
async function takeOut(editing: Editing, item: string, area: string): Promise<void> {
  const opened = await editing.open(item, area);
  await editing.click(opened.getByRole('button', { name: editor('removeName', { name: item }) }));
}

/** Lets the gravest grade be the only one of some fault types. */
async function onlyEver(editing: Editing, grade: string, ...names: readonly string[]): Promise<void> {
  await editing.click(editing.button(editor('makeOnly', { grade })));
  await editing.check(...names);
}

test('an attempts yard is built from nothing in under 90 touches, and a test is judged by it', async ({
  page,
  school,
}) => {
  await page.clock.install();
  await signIn(page, school);
  const editing = await beginBlank(page, 'Harbour yard');
  await beginYard(editing, [
    'Alley dock left',
    'Alley dock right',
    'Parallel park left',
    'Parallel park right',
    'Incline start',
    'Left turn',
    'Turn in the road',
  ]);
  await editing.write(every(editor('attempts')), '2');
  for (const name of ['Incline start', 'Left turn', 'Turn in the road'])
    await editing.write(of(editor('attempts'), name), '1');
  for (const name of ['Parallel park left', 'Parallel park right', 'Turn in the road'])
    await editing.write(of(editor('movements'), name), '3');

  await editing.click(editing.button(editor('addCatalogueAreas')));
  await editing.check('Set-up');
  await editing.search(
    editor('addToEveryExercise'),
    'All-round observation (Reversing)',
    'Engine stopped (Yard)',
    'Dry steering',
    'Line touched',
    'Marker touched',
  );
  for (const area of ['Incline start', 'Left turn']) await takeOut(editing, 'Dry steering', area);
  await editing.search(editor('addTo', { area: 'Incline start' }), 'Roll-back');
  await editing.search(editor('addTo', { area: 'Left turn' }), 'No signal');

  await editing.write(editor('one'), 'penalty point');
  await editing.write(of(editor('several'), 'penalty point'), 'penalty points');
  await editing.write(of(editor('worth'), 'penalty point'), '1');
  await onlyEver(editing, 'failing fault', 'Line touched', 'Marker touched');
  await editing.click(editing.button(editor('makeOnly', { grade: 'penalty point' })));
  await editing.click(page.getByRole('menuitem', { name: editor('allOfThem') }));
  await editing.check('Incline start: roll-back');

  await editing.choose(of(editor('whatCounts'), 'Minor faults'), 'points');
  await editing.allow('Minor faults', 20);
  await editing.write(editor('limit'), 'Penalty points', editing.limit('Minor faults'));
  await expect(page.getByText('no limit says how many failed exercises fail the test')).toBeVisible();
  await editing.click(editing.button(editor('mendAddLimit')));

  await editing.click(editing.button(editor('addStep')));
  await editing.check('Documents', 'Walk-round', 'Cockpit drill');
  for (const cause of ['learner', 'safety'] as const)
    await editing.choose(editor(`ended-${cause}`), sentences('outcome-fail'));
  await editing.click(editing.button(editor('addLookToEach')));
  await editing.check('All-round observation');
  expect(editing.touches + 2).toBeLessThan(90);
  await expectNoHarmDayAndNight(page, 'an attempts yard in the editor');
  await publishStandard(page);

  await testUnder(page, 'Hedda Learner', 'Harbour yard');
  await startDrive(page);
  await failParallelPark(page);
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 failed exercise.');
});

test('a timed yard is built from nothing: clocks, bands, an order of leaving, and a test judged by them', async ({
  page,
  school,
}) => {
  await page.clock.install();
  await signIn(page, school);
  const editing = await beginBlank(page, 'Quarry yard');
  const exercises = ['Slope', 'Emergency brake', 'Angle bay at 60 degrees', 'Garage bay at 90 degrees', 'Parallel bay'];
  await beginYard(editing, exercises);
  await editing.write(editor('wholeTest'), '20');
  await editing.write(editor('extraForARepeat'), '300');
  for (const [i, seconds] of [90, 90, 120, 180, 300].entries())
    await editing.write(of(editor('clock'), exercises[i]!), String(seconds));

  await editing.search(editor('addToEveryExercise'), 'Line touched');
  await editing.search(editor('addTo', { area: 'Slope' }), 'Roll-back', 'All-round observation (Moving off)');
  await editing.search(editor('addTo', { area: 'Emergency brake' }), 'Speed reached', 'Reaction');
  for (const area of exercises.slice(2))
    await editing.search(editor('addTo', { area }), 'All-round observation (Reversing)', 'Dry steering', 'Shunt');
  await editing.click(editing.button(editor('addArea')));
  await editing.write(editor('area'), 'Whole yard', editing.area(editor('newArea')));
  await editing.search(
    editor('addTo', { area: 'Whole yard' }),
    'Engine stopped (Yard)',
    'Seat belts',
    'Finishing order',
  );

  // Rolled back: over 15 cm a demerit, from 30 cm it fails.
  const rolled = await editing.open('Roll-back', 'Slope');
  await editing.click(rolled.getByRole('button', { name: editor('measureOf', { item: 'Roll-back' }) }));
  await editing.write(editor('whatIsMeasured'), 'distance rolled back', rolled);
  await editing.write(editor('bandFrom', { nth: 1 }), '15', rolled);
  await editing.click(rolled.getByRole('button', { name: editor('addBand') }));
  await editing.choose(editor('bandGrade', { nth: 2 }), 'failing fault', rolled);

  await editing.write(editor('one'), 'demerit');
  await editing.write(of(editor('several'), 'demerit'), 'demerits');
  await editing.write(of(editor('worth'), 'demerit'), '1');
  await onlyEver(editing, 'failing fault', 'Line touched', 'Emergency brake: reaction');
  await editing.click(editing.button(editor('makeOnly', { grade: 'demerit' })));
  await editing.check('All-round observation', 'Dry steering');

  // More than five points in an exercise fail it, and so does one failing fault.
  await editing.choose(of(editor('whatCounts'), 'Minor faults'), 'points');
  await editing.choose(of(editor('appliesTo'), 'Minor faults'), sentences('scope-exercise'));
  await editing.choose(of(editor('whenExceeded'), 'Minor faults'), sentences('effect-fail-exercise'));
  await editing.allow('Minor faults', 5);
  await editing.write(editor('limit'), 'Demerits', editing.limit('Minor faults'));
  await editing.click(editing.button(editor('mendAddLimit')).first());
  await expect(page.getByText('no limit says how many failed exercises fail the test')).toHaveCount(0);
  await editing.click(editing.button(editor('addLimit')));
  const whole = 'New limit 4';
  await editing.choose(of(editor('whatCounts'), whole), 'seconds');
  await editing.allow(whole, 1200);
  await editing.write(editor('limit'), 'Time in all', editing.limit(whole));
  await editing.click(editing.phrase(editor('leavingTheCar')));
  await editing.check('Parking brake on', 'Neutral or park', 'Belt off', 'Door open');
  await editing.choose(editor('otherwiseIs'), 'Whole yard: finishing order');

  // The trial says what comes of it while it is built: a demerit over the slope of 91 s.
  const trial = page.getByRole('complementary', { name: editor('tryIt') });
  await editing.click(trial.getByRole('button', { name: editor('addAttempts') }));
  await editing.click(page.getByRole('menuitem', { name: editor('allOfThem') }));
  await editing.leave();
  await expect(trial.getByText(/^Pass/)).toBeVisible();
  await editing.write(of(editor('clock'), 'Slope'), '91', trial);
  await expect(trial.getByText('Fail: 1 failed exercise.')).toBeVisible();
  await publishStandard(page);

  await testUnder(page, 'Ivo Learner', 'Quarry yard');
  await startDrive(page);
  await startOrEnd(page);
  await page.getByRole('button', { name: /^Roll-back/ }).click();
  await press(page, '1', '6');
  await page.getByRole('button', { name: yard('record', { value: '16', unit: 'cm', grade: 'demerit' }) }).click();
  await startOrEnd(page);
  await startOrEnd(page);
  await minutes(page, 1);
  await startOrEnd(page);
  // One second over the clock of the angle bay.
  await startOrEnd(page);
  await minutes(page, 121 / 60);
  await expect(page.getByRole('alert').filter({ hasText: /^This exercise is failed, / })).toContainText(
    '120 s allowed',
  );
  await startOrEnd(page);
  for (let i = 0; i < 2; i++) {
    await startOrEnd(page);
    await minutes(page, 1);
    await startOrEnd(page);
  }
  await page.getByRole('button', { name: yard('leftInOrder') }).click();
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fail: 1 failed exercise.');
});
