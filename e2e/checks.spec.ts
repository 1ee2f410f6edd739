import { t as ask } from '@jasperwren/words/ask';
import { t as shell } from '@jasperwren/words/shell';
import { t as desk } from '@jasperwren/words/desk';
import { t as learners } from '@jasperwren/words/learners';
import { t as questions } from '@jasperwren/words/questions';
import { addLearner, allSaved, endDrive, expect, press, signIn, startDrive, test, fromMore } from './fixtures';

test('a question is drawn on the desk, ticked, and its result is in the log of the drive', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Rosa Learner');
  await startDrive(page);
  await press(page, "'");
  await page.getByRole('button', { name: ask('askRule', { rule: 'Show question' }) }).click();
  await expect(page.getByText(/^When it is safe, /)).toBeVisible();
  // Nothing ticked: the first try is wrong, the second may still save it.
  await page.getByRole('button', { name: questions('markAnswer') }).click();
  await expect(page.getByText(/^Not correct yet: \d+ required points? (is|are) missing\. 1 more try\.$/)).toBeVisible();
  await page.getByRole('checkbox', { name: /^Work it:/ }).check();
  await page.getByRole('button', { name: questions('iGaveAHint') }).click();
  await page.getByRole('button', { name: questions('markLastAnswer') }).click();
  await expect(page.getByText('Wrong: a hint was given.')).toBeVisible();
  await expect(page.getByText(desk('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true })).toBeVisible();
  await allSaved(page);
  const id = /drive\/([^/]+)/.exec(page.url())![1]!;
  const { events } = await page.evaluate(
    async (address) =>
      (await (await fetch(address)).json()) as { events: { type: string; right?: boolean; question?: string }[] },
    `/api/drives/${id}`,
  );
  const answers = events.filter(({ type }) => type === 'answer');
  expect(answers.map(({ right }) => right)).toEqual([false, false]);
  expect(answers[0]?.question).toMatch(/^show\./);
  await press(page, 'Escape');
  await endDrive(page);
  await expect(page.getByText(/Show question: 0 right, 1 wrong\./)).toBeVisible();
});

test('a learner is asked aloud, drilled, and the board says how it stands', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Silva Learner');
  await fromMore(page, learners('safetyQuestions'));
  await page.getByLabel(questions('car')).click();
  await page.getByRole('option', { name: 'Tarrel hatchback' }).click();
  await page.getByLabel(questions('question'), { exact: true }).click();
  await page.getByRole('option', { name: 'Rear fog lamps' }).click();
  // The answer speaks of the learner's own car.
  await expect(page.getByRole('checkbox', { name: /turn the ring behind its end/ })).toBeVisible();
  await page.getByRole('checkbox', { name: /turn the ring behind its end/ }).check();
  await page.getByRole('checkbox', { name: /100 m or less/ }).check();
  await page.getByRole('button', { name: questions('markAnswer') }).click();
  await expect(page.getByText('Correct: all required points.')).toBeVisible();
  await page.getByRole('button', { name: questions('practiseFor10Minutes') }).click();
  for (let i = 1; i <= 3; i++) {
    await expect(page.getByText(new RegExp(`^${i} of \\d+$`))).toBeVisible();
    await page.getByRole('button', { name: questions('showTheAnswer') }).click();
    await page.getByRole('button', { name: questions('iSaidAllOfIt') }).click();
  }
  await page.getByRole('button', { name: questions('stop') }).click();
  await page.getByRole('link', { name: shell('questions'), exact: true }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Silva Learner' });
  await expect(row).toContainText(questions('unseenOfQuestionsNotSeen', { unseen: '17', questions: '21' }));
});

test('a question is edited, drilled in its new words, taken out of use, and every version is kept', async ({
  page,
  school,
}) => {
  await signIn(page, school);
  await page.goto('/checks');
  await page.getByRole('link', { name: questions('allQuestions') }).click();
  await page.getByRole('link', { name: 'Oil level' }).click();
  await expect(page.getByText(/^Asked by .*Tally/)).toBeVisible();
  await page.getByRole('link', { name: questions('edit') }).click();
  await page.getByLabel(questions('question'), { exact: true }).fill('Show me where the oil is checked in this car.');
  for (const box of await page.getByRole('checkbox', { name: questions('required2') }).all()) await box.uncheck();
  await page.getByRole('button', { name: questions('saveAsNewVersion') }).click();
  await expect(page.getByText(/Mark at least one key point as required/)).toBeVisible();
  await page
    .getByRole('checkbox', { name: questions('required2') })
    .first()
    .check();
  await page.getByRole('button', { name: questions('saveAsNewVersion') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Show me where the oil is checked in this car.');
  await expect(page.getByText(questions('versionVersion', { version: '2' }), { exact: true })).toBeVisible();
  await expect(page.getByText(questions('asItShips'))).toBeVisible();
  await page.getByRole('button', { name: questions('retire') }).click();
  await expect(page.getByText(questions('retiredNotAskedAnyMore'))).toBeVisible();
  await page.getByRole('button', { name: questions('restore') }).click();
  await expect(page.getByText(/^Asked by/)).toBeVisible();

  await page.goto('/checks/questions/new');
  await page.getByLabel(questions('topic')).fill('Reserve bulb');
  await page.getByLabel(questions('question'), { exact: true }).fill('Where are the spare bulbs?');
  await page.getByRole('textbox', { name: questions('keyPointI', { i: '1' }) }).fill('In the glove box.');
  await page.getByRole('button', { name: questions('addQuestion') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Where are the spare bulbs?');
});

test('a car is added by touching where things are', async ({ page, school }) => {
  await signIn(page, school);
  await page.goto('/checks/cars/new');
  await page.getByRole('button', { name: questions('addCar') }).click();
  await expect(page.getByText('Name the car.')).toBeVisible();
  await page.getByLabel(questions('name')).fill('The red one');
  await page.getByLabel(questions('how'), { exact: true }).nth(2).fill('press it twice');
  await expect(
    page.getByText(questions('tapWhereTheControlNamesIs', { controlNames: 'rear fog lamps' })),
  ).toBeVisible();
  await page.getByRole('button', { name: 'top of the middle panel' }).click();
  await page.getByRole('button', { name: questions('addCar') }).click();
  await expect(page.getByRole('region', { name: 'The red one' })).toContainText(
    'stalk, top of the middle panel: press it twice',
  );
});

test('the moment to act is picked, and judged with reasons', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await page.goto('/checks/safe');
  const drive = async (title: string) => {
    await page.getByRole('button', { name: `Drive: ${title}` }).click();
    await page.getByRole('button', { name: questions('start') }).click();
  };
  // The side road lies 30 m ahead: at once is no moment.
  await drive('A village street with a side road');
  await page.clock.runFor(300);
  await page.keyboard.press(' ');
  await expect(page.getByText(/Not a safe moment: a junction was too near/)).toBeVisible();
  await page.getByRole('button', { name: questions('stop') }).click();
  await drive('A village street with a side road');
  await page.clock.runFor(6000);
  await page.keyboard.press('m');
  await page.clock.runFor(500);
  await expect(page.getByText(questions('mirrorClearBehind'))).toBeVisible();
  await page.keyboard.press(' ');
  await expect(page.getByText(/Good moment/)).toBeVisible();
  await page.getByRole('button', { name: questions('nextRoad') }).click();
  await page.getByRole('button', { name: questions('start') }).click();
  await page.clock.runFor(30_000);
  await expect(page.getByText(/You let every safe moment pass/)).toBeVisible();
});
