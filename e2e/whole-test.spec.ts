import { whyWords } from '@jasperwren/words/why';
import { t as ask } from '@jasperwren/words/ask';
import { t as briefing } from '@jasperwren/words/briefing';
import { t as safety } from '@jasperwren/words/questions';
import { t as debrief } from '@jasperwren/words/debrief';
import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import { t as result } from '@jasperwren/words/result';
import type { Page } from '@playwright/test';
import { addLearner, endDrive, expect, minutes, press, signIn, test, testUnder } from './fixtures';

/** A step of the briefing by its name. */
const step = (page: Page, name: string) => page.getByRole('listitem', { name, exact: true });

async function beginWithBriefing(page: Page): Promise<void> {
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByRole('button', { name: drives('startWithBriefing') }).click();
  await page.getByRole('heading', { name: briefing('briefing') }).waitFor();
}

test('a tally test of 40 minutes, from the kerb to the talk-through', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await addLearner(page, 'Wilma Learner');
  await beginWithBriefing(page);
  await expect(page.getByRole('complementary', { name: briefing('whatToSay') })).toContainText('Keep to the left');
  await page.getByRole('button', { name: 'Documents: done' }).click();
  await page.getByRole('button', { name: 'Skip Passengers' }).click();
  await step(page, 'Passengers')
    .getByRole('button', { name: whyWords({ because: 'not-today' }) })
    .click();
  await expect(step(page, briefing('eyesight'))).toContainText(
    'From 20 m (21.9 yd), 20.5 m (22.4 yd) for an older, wider plate',
  );
  await step(page, briefing('eyesight'))
    .getByRole('button', { name: briefing('couldReadItWithGlasses') })
    .click();
  const seat = step(page, 'Cockpit drill');
  await seat.getByRole('button', { name: 'Head restraint' }).click();
  await seat.getByRole('button', { name: 'Cockpit drill: done' }).click();
  const questions = step(page, 'Tell questions');
  // The tell question is drawn; at the second try it is the same, and its key points say whether it was right.
  const drawn = questions.getByRole('combobox', { name: ask('numberOf', { n: 1, of: 1 }) });
  const first = await drawn.innerText();
  await questions.getByRole('button', { name: /: wrong, 1 more try$/ }).click();
  await expect(questions.getByText('wrong once, 1 more try')).toBeVisible();
  await expect(drawn).toHaveText(first);
  await questions.getByRole('checkbox').first().check();
  await questions.getByRole('button', { name: safety('iGaveAHint') }).click();
  await questions.getByRole('button', { name: safety('markLastAnswer') }).click();
  await expect(page.getByText('All steps done.')).toBeVisible();
  // Standing at the kerb costs no time of the test.
  await minutes(page, 7);
  await page.getByRole('button', { name: briefing('moveOff') }).click();
  await expect(page.getByRole('timer')).toContainText(/^0:0/);

  await press(page, 'PageDown');
  await minutes(page, 6);
  await press(page, 'j', 'o', '1');
  await press(page, '/');
  await minutes(page, 8);
  await press(page, "'");
  await expect(page.getByText('Ask only when it is safe')).toBeVisible();
  await page.getByRole('button', { name: /^Show question.*: wrong, 1 more try$/ }).click();
  await page.getByRole('button', { name: /^Show question.*: wrong$/ }).click();
  await press(page, 'Escape');
  await minutes(page, 8);
  await press(page, '/', '=');
  await page.getByRole('button', { name: 'Start Bay park' }).click();
  await press(page, 'ArrowUp', 'ArrowRight', 'ArrowLeft');
  await minutes(page, 3);
  await press(page, '=');
  await page.getByRole('button', { name: desk('endExercise') }).click();
  await press(page, '0');
  await page.getByRole('button', { name: whyWords({ because: 'toilet' }) }).click();
  await minutes(page, 10);
  await press(page, '0');
  await press(page, 'PageUp', 'PageDown');
  await minutes(page, 8);
  await press(page, ' ');
  await minutes(page, 8);
  await press(page, ';', 'r', 'l', '1');
  await expect(page.getByRole('timer')).toContainText(/^41:0/);
  await endDrive(page);

  // Both safety questions together cost one driving fault at most: looking, lane, and one of the two answers.
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toContainText('Pass: 4 of 15 driving faults');
  await expect(page).toHaveTitle(/^Result of /);
  await expect(page.getByText('41 min driven, 16 min independent.')).toBeVisible();
  for (const words of [
    result('briefingDoneOfCountStepsDone', { done: '4', count: 5 }),
    'Passengers skipped: Not needed today.',
    'Eyesight: With glasses or lenses.',
    'Cockpit drill: Missed: Head restraint.',
    '1 pull-up and 2 move-offs counted.',
  ])
    await expect(page.getByText(words)).toBeVisible();
  await expect(page.getByText(/^Bay park: 3 min( \d s)?, 1 movement, 1 correction, 1 look\.$/)).toBeVisible();
  await expect(page.getByText(/^Paused at 25 min for 10 min( \d s)?: toilet stop\.$/)).toBeVisible();

  await page.getByRole('link', { name: result('debrief') }).click();
  await expect(page.getByText(/^Bay park: no fault\.$/)).toBeVisible();
  await expect(page).toHaveTitle(/^Debrief of /);
  await page.getByRole('button', { name: debrief('markAsDebriefed') }).click();
  await expect(page.getByRole('button', { name: debrief('debriefed') })).toBeDisabled();
});

test('failing the eyesight check ends the test before it starts', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Xaver Learner');
  await beginWithBriefing(page);
  await page.getByRole('button', { name: briefing('couldNotReadIt') }).click();
  await page.getByRole('button', { name: briefing('endTheTest') }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Fail');
  await expect(page.getByText(/eyesight/i).first()).toBeVisible();
});

test('a test by graded marks with its oral part: thirteen grade 2 and no grade 3 fail', async ({ page, school }) => {
  await page.clock.install();
  await signIn(page, school);
  await testUnder(page, 'Zora Learner', 'Graded marks');
  await beginWithBriefing(page);
  await page.getByRole('button', { name: 'Documents: done' }).click();
  await page.getByRole('button', { name: briefing('couldReadIt'), exact: true }).click();
  await page.getByRole('button', { name: 'Cockpit drill: all right' }).click();
  // Three wrong answers on rules and signs are free, the fourth costs a mark; one of the six hand signals is wrong.
  const oral = step(page, 'Tell questions');
  const seen = new Set<string>();
  for (const [rule, of, wrong] of [
    ['Rules of the road and signs', 10, 4],
    ['Technical checks', 3, 0],
    ['Hand signals', 6, 1],
  ] as const) {
    const group = oral.getByRole('listitem', { name: new RegExp(`^${rule}`) });
    for (let n = 0; n < of; n++) {
      // The question stands there with its key points, another one each time.
      const question = await group.getByRole('combobox', { name: ask('numberOf', { n: n + 1, of }) }).innerText();
      expect(seen).not.toContain(question);
      seen.add(question);
      await expect(group.getByRole('checkbox').first()).toBeVisible();
      await group.getByRole('button', { name: n < wrong ? /: wrong$/ : /: right$/ }).click();
    }
  }
  await expect(page.getByText('All steps done.')).toBeVisible();
  await page.getByRole('button', { name: briefing('moveOff') }).click();
  await page.getByRole('timer').waitFor();
  for (const [category, item] of ['mo', 'kg', 'jo', 'js', 'rl', 'pl', 'gt', 'ib', 'cp', 'th', 'ad'] as const) {
    await minutes(page, 3);
    await press(page, category!, item!, '2');
  }
  await minutes(page, 8);
  await endDrive(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Fail: 13 grade 2 marks/);
});

for (const [button, reason, outcome] of [
  [desk('iStoppedItForSafety'), whyWords({ because: 'too-much-help' }), 'Fail'],
  [desk('problemWithTheCar'), whyWords({ because: 'breakdown' }), 'No result yet'],
] as const) {
  test(`a test broken off for “${reason}” ends as “${outcome}”`, async ({ page, school }) => {
    await page.clock.install();
    await signIn(page, school);
    await addLearner(page, 'Abel Learner');
    await beginWithBriefing(page);
    await page.getByRole('button', { name: briefing('moveOff') }).click();
    await page.getByRole('button', { name: whyWords({ because: 'no-time' }) }).click();
    await page.getByRole('timer').waitFor();
    await minutes(page, 9);
    await press(page, 'j', 'o', '1', 'End');
    await page.getByRole('button', { name: desk('stopEarly') }).click();
    await page.getByRole('button', { name: button }).click();
    await page.getByRole('button', { name: reason }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(outcome);
    await expect(page.getByText(`Stopped early: ${reason}.`)).toBeVisible();
    await expect(page.getByText('9 min driven, 0 min independent.')).toBeVisible();
  });
}
