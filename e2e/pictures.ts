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
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.getByRole('heading', { name: 'Tests ahead' }).waitFor();
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
  await take(page, 'standards');
  await page.getByRole('link', { name: 'Tarnavel board test' }).click();
  await page.getByRole('heading', { name: 'What fails you' }).waitFor();
  await take(page, 'standard');
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByRole('listitem', { name: 'Limit Driving faults' }).waitFor();
  await take(page, 'standard-editor');
}

async function history(page: Page): Promise<void> {
  await page.goto('/learners');
  await page.getByRole('link', { name: 'Corvin Ashdellow' }).click();
  await page.getByRole('link', { name: 'Enter a real test' }).click();
  await page.getByLabel('Official result').click();
  await page.getByRole('option', { name: 'Fail' }).click();
  await page.getByLabel('Category, item and grade').pressSequentially('la1la1jo1qtrl2m');
  await take(page, 'result-sheet');
}

async function pictures(browser: Browser, address: string): Promise<void> {
  const page = await signedIn(browser, address, 'light');
  await standards(page);
  await history(page);
  await page.goto('/');
  await page.getByRole('heading', { name: 'Tests ahead' }).waitFor();
  await take(page, 'today');
  await page.getByRole('link', { name: 'Learners' }).click();
  await page.getByRole('link', { name: 'Tavi Ormsund' }).waitFor();
  await take(page, 'learners');
  await page.getByRole('link', { name: 'Tavi Ormsund' }).click();
  await page.getByText('Most marks:').waitFor();
  await take(page, 'learner');
  await page.getByRole('link', { name: 'Drive with Tavi' }).click();
  await page.getByRole('button', { name: 'Start the drive' }).waitFor();
  await take(page, 'drive');
  await page.getByRole('button', { name: 'Start the drive' }).click();
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
  await page.keyboard.press('-');
  await page.getByRole('button', { name: 'About, not close' }).click();
  await take(page, 'adviser');
  await page.keyboard.press('Escape');
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.keyboard.press('Escape');
  await take(page, 'desk-tablet-night');
  await page.emulateMedia({ colorScheme: 'light' });
  await page.setViewportSize({ width: 390, height: 844 });
  await take(page, 'desk-phone');
  await page.setViewportSize(desktop);
  await page.clock.fastForward(9 * 60_000);
  for (const key of '/ll2') await page.keyboard.press(key);
  await page.clock.fastForward(5 * 60_000);
  for (const key of ';gt1') await page.keyboard.press(key);
  await page.keyboard.press('End');
  await page.getByRole('button', { name: 'End and see the verdict' }).click();
  await page.getByRole('link', { name: 'Save the record' }).waitFor();
  await take(page, 'verdict');
  await page.getByRole('link', { name: 'Under another standard' }).click();
  await page.getByRole('heading', { name: 'Under every standard' }).waitFor();
  await page.getByRole('link', { name: 'Graded marks' }).click();
  await page.getByRole('region', { name: 'Graded marks' }).waitFor();
  await take(page, 'comparison');
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
