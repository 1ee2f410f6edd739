import { whyWords } from '@jasperwren/words/why';
import { t as account } from '@jasperwren/words/account';
import { t as briefing } from '@jasperwren/words/briefing';
import { t as compare } from '@jasperwren/words/compare';
import { t as debrief } from '@jasperwren/words/debrief';
import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import { t as learn } from '@jasperwren/words/learn';
import { t as learners } from '@jasperwren/words/learners';
import { t as questions } from '@jasperwren/words/questions';
import { t as readinessWords } from '@jasperwren/words/readiness';
import { t as result } from '@jasperwren/words/result';
import { t as standardsWords } from '@jasperwren/words/standards';
import { t as rehearsalWords } from '@jasperwren/words/rehearsal';
import { t as routesWords } from '@jasperwren/words/routes';
import { t as tracesWords } from '@jasperwren/words/traces';
import { t as today } from '@jasperwren/words/today';
import { t as yardWords } from '@jasperwren/words/yard';
import { t as yardPages } from '@jasperwren/words/yard-pages';
/**
 * Takes one picture of each main view from the demo data, for docs/screenshots.
 * Run: npm run build && npm run pictures
 */
import { mkdirSync } from 'node:fs';
import { chromium, type Browser, type Page } from '@playwright/test';
import { makeServer, runCli } from './server';

const folder = 'docs/screenshots';
const desktop = { width: 1280, height: 800 };

async function signedIn(browser: Browser, address: string, colorScheme: 'light' | 'dark'): Promise<Page> {
  const page = await browser.newPage({ viewport: desktop, colorScheme, locale: 'en-GB', baseURL: address });
  await page.clock.install();
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'brisa@ysmer-road.example' }).click();
  await page.getByRole('button', { name: account('signIn'), exact: true }).click();
  await page.getByRole('heading', { name: today('upcomingDrivingTests') }).waitFor();
  return page;
}

async function take(page: Page, name: string): Promise<void> {
  await page.clock.runFor(1500);
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: `${folder}/${name}.png` });
}

async function standards(page: Page): Promise<void> {
  await page.goto('/standards');
  await page.getByRole('link', { name: 'Tarnavel board test' }).waitFor();
  await page.getByRole('link', { name: 'Tarnavel board test' }).click();
  await page.getByRole('heading', { name: standardsWords('whatFailsTheTest') }).waitFor();
  await page.getByRole('link', { name: standardsWords('edit') }).click();
  await page.getByRole('listitem', { name: 'Limit Driving faults' }).waitFor();
  await take(page, 'standard-editor');
}

async function routes(page: Page): Promise<void> {
  await page.goto('/routes');
  await page.getByRole('link', { name: 'Lower Quay loop' }).click();
  await page.getByRole('heading', { name: routesWords('wants') }).waitFor();
  await take(page, 'route');
  await page.getByRole('link', { name: routesWords('rehearse') }).click();
  await page.getByLabel(rehearsalWords('fromJunction')).click();
  await page.getByRole('option').nth(3).click();
  await page.getByRole('button', { name: rehearsalWords('play') }).waitFor();
  await take(page, 'rehearsal');
}

/** Where a mock test went, and where all of them had their faults. */
async function traces(page: Page): Promise<void> {
  await page.goto('/routes/places');
  await page.getByRole('button', { name: /Lower Quay into Amber Road/ }).click();
  await page.getByRole('button', { name: tracesWords('practise') }).waitFor();
  await take(page, 'places');
  await page
    .getByRole('list', { name: tracesWords('theDrives') })
    .getByRole('link')
    .first()
    .click();
  await page.getByRole('heading', { name: tracesWords('faults') }).waitFor();
  await page.getByRole('img', { name: tracesWords('speedChart') }).waitFor();
  await take(page, 'road');
}

/** A run with its values, and the console in the middle of an exercise. */
async function yard(page: Page): Promise<void> {
  await page.goto('/yard');
  await page.getByRole('link', { name: 'First time round the course' }).click();
  await page.getByRole('img', { name: yardPages('stripOf') }).waitFor();
  await page.getByRole('heading', { name: yardPages('strip') }).evaluate((heading) => heading.scrollIntoView());
  await take(page, 'yard-run');
  await page.goto('/learners');
  await page.getByRole('link', { name: 'Dagny Ostwick' }).click();
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByRole('button', { name: drives('startMockTest') }).click();
  await page.getByRole('timer').first().waitFor();
  for (const [seconds, keys] of [
    [70, ['r']],
    [52, []],
    [81, ['h']],
  ] as const) {
    await page.keyboard.press('Home');
    await page.clock.fastForward(seconds * 1000);
    for (const key of keys) await page.keyboard.press(key);
    const value = page.getByRole('textbox', { name: /^Distance rolled back/ });
    if (await value.isVisible()) {
      await value.fill('18');
      await page.keyboard.press('Enter');
    }
    await page.keyboard.press('Home');
  }
  await page.keyboard.press('Home');
  await page.clock.fastForward(98_000);
  await page.getByRole('button', { name: yardWords('seenLook', { look: 'All round before reversing' }) }).click();
  await page.keyboard.press('x');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await take(page, 'yard');
}

/** The way with the fewest movements through an exercise. */
async function wheels(page: Page): Promise<void> {
  await page.goto('/yard/wheels?vehicle=van&exercise=angle-bay');
  await page
    .getByText(/Tolerance: stop \d+ cm early/)
    .first()
    .waitFor();
  await take(page, 'wheels');
}

/** Waits until the server has worked out every estimate. */
async function estimated(page: Page): Promise<void> {
  for (let pending = 1; pending > 0;)
    ({ pending } = (await (await page.request.get('/api/readiness')).json()) as { pending: number });
}

async function readiness(page: Page): Promise<void> {
  await page.goto('/learners/ready');
  await page.getByRole('heading', { name: readinessWords('allLearners') }).waitFor();
  await page.getByRole('link', { name: 'Tavi Ormsund' }).click();
  await page.getByText(/^From \d+ of 20 on/).waitFor();
  await take(page, 'readiness');
  await page.getByRole('link', { name: readinessWords('lessonPlan') }).click();
  await page.getByRole('button', { name: readinessWords('suggestLessons') }).click();
  await page
    .getByText(/^(Keep the date|Move the test)/)
    .first()
    .waitFor();
  await take(page, 'plan');
  await page.getByRole('button', { name: readinessWords('saveLessons') }).click();
  await page.getByRole('link', { name: readinessWords('calendarFile') }).waitFor();
}

async function checks(page: Page): Promise<void> {
  await page.goto('/checks');
  await page.getByText('Missed most: ').waitFor();
  await take(page, 'checks');
  await page.getByRole('link', { name: 'Harkin Lowmayne' }).click();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('button', { name: learn('practiseFor10Minutes') }).click();
  const find = page.getByText('where is the control');
  for (let i = 0; i < 17 && !(await find.isVisible()); i++) await passOver(page);
  await page.getByRole('button', { name: 'foot of the middle panel' }).click();
  await take(page, 'drill-phone');
  await page.setViewportSize(desktop);
}

/** Answers a card of the drill somehow, to reach the next. */
async function passOver(page: Page): Promise<void> {
  const show = page.getByRole('button', { name: questions('showTheAnswer') });
  const typed = page.getByLabel(questions('yourAnswerInAFewWords'));
  if (await show.isVisible()) {
    await show.click();
    await page.getByRole('button', { name: questions('iSaidAllOfIt') }).click();
    return;
  }
  if (await typed.isVisible()) {
    await typed.fill('.');
    await page.getByRole('button', { name: questions('checkAnswer') }).click();
  } else {
    for (const step of await page.locator('article ol button').all()) await step.click();
  }
  await page.getByRole('button', { name: desk('continue') }).click();
}

async function pictures(browser: Browser, address: string): Promise<void> {
  const page = await signedIn(browser, address, 'light');
  await estimated(page);
  await routes(page);
  await traces(page);
  await standards(page);
  await checks(page);
  await readiness(page);
  await yard(page);
  await wheels(page);
  await page.goto('/');
  await page.getByRole('heading', { name: today('upcomingDrivingTests') }).waitFor();
  await take(page, 'today');
  await page.getByRole('link', { name: learners('learners') }).click();
  await page.getByRole('heading', { level: 1, name: learners('learners') }).waitFor();
  await page.getByRole('link', { name: 'Tavi Ormsund' }).waitFor();
  await page.getByRole('link', { name: 'Tavi Ormsund' }).click();
  await page.getByText('Most faults:').waitFor();
  await take(page, 'learner');
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByRole('button', { name: drives('startWithBriefing') }).click();
  await page.getByRole('heading', { name: briefing('briefing') }).waitFor();
  await page.getByRole('button', { name: briefing('moveOff') }).click();
  await page.getByRole('button', { name: whyWords({ because: 'no-time' }) }).click();
  await page.getByRole('timer').waitFor();
  for (const [minutes, keys] of [
    [3, 'mb1'],
    [4, 'rl1'],
    [3, 'jo1'],
    [2, '/'],
    [3, ' '],
    [5, 'jo1'],
    [2, 'rs1'],
  ] as const) {
    await page.clock.fastForward(minutes * 60_000);
    for (const key of keys) await page.keyboard.press(key);
  }
  await page.clock.fastForward(60_000);
  await page.keyboard.press('j');
  await take(page, 'desk');
  await page.keyboard.press('Escape');
  await page.setViewportSize({ width: 390, height: 844 });
  await take(page, 'desk-phone');
  await page.setViewportSize(desktop);
  await page.clock.fastForward(9 * 60_000);
  for (const key of '/ll2') await page.keyboard.press(key);
  await page.clock.fastForward(5 * 60_000);
  for (const key of ';gt1') await page.keyboard.press(key);
  await page.keyboard.press('End');
  await page.getByRole('button', { name: desk('endAndSeeResult') }).click();
  await page.getByRole('link', { name: result('downloadRecord') }).waitFor();
  await take(page, 'verdict');
  await page.getByRole('link', { name: result('compareStandards') }).click();
  await page.getByRole('heading', { name: compare('underEveryStandard') }).waitFor();
  await page.getByRole('link', { name: 'Graded marks' }).click();
  await page.getByRole('region', { name: 'Graded marks' }).waitFor();
  await page.evaluate(() => window.scrollTo(0, 0));
  await take(page, 'comparison');
  await page.goto('/learners');
  await page.getByRole('link', { name: 'Yselle Quarrick' }).click();
  await page
    .getByRole('link', { name: /\d{4}$/ })
    .first()
    .click();
  await page.getByRole('link', { name: result('debrief') }).click();
  await page.getByText(debrief('comparedWithEarlierMockTests')).waitFor();
  await page.getByRole('slider', { name: tracesWords('moment') }).waitFor();
  await take(page, 'debrief');
}

mkdirSync(folder, { recursive: true });
const server = await makeServer({ JASPERWREN_DEMO: '1' });
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox'],
});
try {
  runCli(server.dataDir, 'demo', 'demo');
  await server.start();
  await pictures(browser, server.address);
} finally {
  await browser.close();
  await server.remove();
}
