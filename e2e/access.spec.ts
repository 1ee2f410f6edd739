import { t as account } from '@jasperwren/words/account';
import { t as briefing } from '@jasperwren/words/briefing';
import { t as compare } from '@jasperwren/words/compare';
import { t as debrief } from '@jasperwren/words/debrief';
import { t as drives } from '@jasperwren/words/drives';
import { t as editor } from '@jasperwren/words/editor';
import { t as learn } from '@jasperwren/words/learn';
import { t as learners } from '@jasperwren/words/learners';
import { t as questions } from '@jasperwren/words/questions';
import { t as readiness } from '@jasperwren/words/readiness';
import { t as result } from '@jasperwren/words/result';
import { t as schoolPage } from '@jasperwren/words/school';
import { t as shell } from '@jasperwren/words/shell';
import { t as standards } from '@jasperwren/words/standards';
import { t as today } from '@jasperwren/words/today';
import { Editing } from './editing';
import {
  addLearner,
  endDrive,
  expect,
  expectNoHarmDayAndNight,
  minutes,
  press,
  signIn,
  startDrive,
  test,
} from './fixtures';

test('every screen is accessible by day and by night', async ({ page, school }) => {
  test.setTimeout(600_000);
  await page.clock.install();
  await page.goto('/sign-in');
  await page.getByRole('button', { name: account('signIn') }).waitFor();
  await expectNoHarmDayAndNight(page, 'sign-in');
  await signIn(page, school);
  await page.getByText('No learners yet.').waitFor();
  await expectNoHarmDayAndNight(page, 'Today, empty');
  await press(page, 'Tab');
  await expect(page.getByRole('button', { name: shell('skipToContent') })).toBeFocused();
  await press(page, 'Enter', 'Tab');
  await expect(page.getByRole('main').getByRole('link')).toBeFocused();
  await page.goto('/learners/new');
  await page.getByRole('button', { name: learners('addLearner') }).click();
  await page.getByText('Enter the learner’s name.').waitFor();
  await expectNoHarmDayAndNight(page, 'a learner with errors');
  await addLearner(page, 'Mona Learner');
  await expectNoHarmDayAndNight(page, 'a learner without drives');
  const learner = page.url();
  await page.goto('/drive');
  await page.getByRole('button', { name: drives('startMockTest') }).click();
  await expectNoHarmDayAndNight(page, 'starting a drive');
  await page.goto(learner);
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByRole('button', { name: drives('startWithBriefing') }).click();
  await page.getByRole('heading', { name: briefing('briefing') }).waitFor();
  await page.getByRole('button', { name: briefing('skipStep', { step: 'Documents' }) }).click();
  await page.getByRole('button', { name: briefing('couldNotReadIt') }).click();
  await expectNoHarmDayAndNight(page, 'the briefing');
  await page.getByRole('button', { name: briefing('endTheTest') }).click();
  await page.getByRole('heading', { name: result('faultsInOrder') }).waitFor();
  await page.goto(learner);
  await startDrive(page);
  await minutes(page, 3);
  await press(page, 'j', 'o', '1', 'r', 'l', '2', 'k', 'c', '3', ' ', '/');
  await expectNoHarmDayAndNight(page, 'the desk, likely now');
  await press(page, 'k');
  await expectNoHarmDayAndNight(page, 'the desk, a category');
  await press(page, 'Escape', ';');
  await expectNoHarmDayAndNight(page, 'the desk, settling');
  await page.getByRole('button', { name: /^Junctions: observation, driving fault/ }).click();
  await expectNoHarmDayAndNight(page, 'the desk, a mark');
  await press(page, '-');
  await expectNoHarmDayAndNight(page, 'the desk, the adviser');
  await press(page, '?');
  await expectNoHarmDayAndNight(page, 'the desk, keys');
  await press(page, '=');
  await expectNoHarmDayAndNight(page, 'the desk, exercises and more');
  await press(page, "'");
  await expectNoHarmDayAndNight(page, 'the desk, questions');
  await press(page, 'Escape', ';', 'g', 't', '1');
  await minutes(page, 35);
  await endDrive(page);
  await page
    .getByRole('button', { name: /^Suggest grade/ })
    .first()
    .click();
  await expectNoHarmDayAndNight(page, 'the verdict');
  await minutes(page, 1);
  await page.getByRole('link', { name: result('debrief') }).click();
  await page.getByRole('button', { name: debrief('shareWithName', { name: 'Mona' }) }).click();
  await page.getByText(debrief('noShareLinks')).waitFor();
  await expectNoHarmDayAndNight(page, debrief('debrief'));
  await page.getByRole('link', { name: debrief('backToTheResult') }).click();
  await page.getByRole('link', { name: result('compareStandards') }).click();
  await page.getByRole('heading', { name: compare('underEveryStandard') }).waitFor();
  await expectNoHarmDayAndNight(page, 'the comparison');
  await page.goto('/standards');
  await page.getByRole('link', { name: 'Timed yard' }).waitFor();
  await expectNoHarmDayAndNight(page, shell('standards'));
  await page.goto('/standards/timed-yard');
  await page.getByRole('button', { name: standards('copyAndEdit') }).click();
  await page.getByRole('button', { name: standards('createDraft') }).click();
  const editing = new Editing(page);
  await editing.open('Rolled back', 'Slope');
  await editing.write(editor('letter'), 'e', editing.area('Slope'));
  await page.getByText('There are two areas').waitFor();
  await expectNoHarmDayAndNight(page, 'the editor');
  await page.goto('/standards/timed-yard');
  await page.getByRole('heading', { name: standards('whatFailsTheTest') }).waitFor();
  await expectNoHarmDayAndNight(page, learners('standardStandard', { standard: 'a' }));
  await page.goto(`${learner}/sheet`);
  await page.getByLabel('Area, fault and grade').fill('la1');
  await page.getByRole('button', { name: /^One driving fault more/ }).waitFor();
  await expectNoHarmDayAndNight(page, 'a result sheet');
  await page.goto('/');
  await page.getByRole('heading', { name: today('recentMockTests') }).waitFor();
  await expectNoHarmDayAndNight(page, shell('today'));
  await page.goto('/learners');
  await page.getByRole('link', { name: 'Mona Learner' }).waitFor();
  await expectNoHarmDayAndNight(page, learners('learners'));
  await page.goto(learner);
  await page.getByText('Most faults:').waitFor();
  await expectNoHarmDayAndNight(page, 'a learner with drives');
  for (const [address, heading] of [
    ['/learners/ready', readiness('allLearners')],
    [`${learner}/readiness`, readiness('whatWouldHelpMost')],
    [`${learner}/plan`, readiness('forecast')],
    ['/school', schoolPage('people')],
    ['/school/audit', schoolPage('activityLog')],
    ['/checks', questions('missedMost')],
    ['/checks/questions/hand.behind-left', questions('keyPoints')],
    ['/checks/questions/new', questions('keyPoints')],
    ['/checks/cars', 'Tarrel hatchback'],
    ['/checks/cars/new', questions('controls')],
    ['/checks/safe', questions('roadsToLearnFrom')],
    [learner.replace('/learners/', '/checks/learners/'), questions('askAloud')],
  ] as const) {
    await page.goto(address);
    await page.getByRole('heading', { name: heading }).waitFor();
    await expectNoHarmDayAndNight(page, address);
  }
  await page.getByRole('button', { name: learn('practiseFor10Minutes') }).click();
  await page.getByRole('button', { name: questions('showTheAnswer') }).click();
  await expectNoHarmDayAndNight(page, 'a card of the drill');
  await page.goto('/account');
  await page.getByRole('heading', { name: account('thisDevice2') }).waitFor();
  await expectNoHarmDayAndNight(page, shell('account'));
});

for (const [name, width, height, least] of [
  ['tablet', 1024, 768, 64],
  ['phone', 390, 844, 44],
] as const) {
  test(`the desk fits one ${name} screen, with targets of ${least} px or more`, async ({ page, school }) => {
    await page.setViewportSize({ width, height });
    await signIn(page, school);
    await addLearner(page, 'Nils Learner');
    await startDrive(page);
    for (const key of [undefined, 'k', 'j', 'v']) {
      if (key) await press(page, 'Escape', key);
      const { scrolls, outside, small } = await page.evaluate((smallest) => {
        const visible = [...document.querySelectorAll<HTMLElement>('main button')].filter(
          (button) => button.offsetParent,
        );
        const name = (button: HTMLElement) => button.getAttribute('aria-label') ?? button.textContent;
        const beyond = (button: HTMLElement) => {
          const box = button.getBoundingClientRect();
          return box.right > innerWidth + 0.5 || box.bottom > innerHeight + 0.5;
        };
        // The way back and the pins in the header have keys and larger twins; they are not where marks are made.
        const marking = visible.filter((button) =>
          button.matches('nav button, section [role=group] button, aside button'),
        );
        return {
          scrolls: document.documentElement.scrollHeight > innerHeight,
          outside: visible.filter(beyond).map(name),
          small: marking.filter((button) => Math.min(button.offsetWidth, button.offsetHeight) < smallest).map(name),
        };
      }, least);
      expect(scrolls).toBe(false);
      expect(outside).toEqual([]);
      expect(small).toEqual([]);
    }
    const side = await page.getByRole('complementary').boundingBox();
    const matrix = await page.locator('section').last().boundingBox();
    expect(side && matrix && (matrix.x + matrix.width <= side.x + 1 || matrix.y + matrix.height <= side.y + 1)).toBe(
      true,
    );
  });
}
