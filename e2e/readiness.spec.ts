import { t as account } from '@jasperwren/words/account';
import { t as common } from '@jasperwren/words/common';
import { t as learners } from '@jasperwren/words/learners';
import { t as readiness } from '@jasperwren/words/readiness';
import { t as shell } from '@jasperwren/words/shell';
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import type { Page } from '@playwright/test';
import { addLearner, carry, expect, signIn, test, fromMore } from './fixtures';
import { startDemoServer } from './demo-server';
import type { TestServer } from './server';

test.describe('with the demo school', () => {
  test.describe.configure({ mode: 'serial' });
  let demo: TestServer;
  test.beforeAll(async () => {
    demo = await startDemoServer();
  });
  test.afterAll(() => demo.remove());

  async function open(page: Page, path: string): Promise<void> {
    await page.goto(`${demo.address}/sign-in`);
    await page.getByRole('button', { name: 'brisa@ysmer-road.example' }).click();
    await page.getByRole('button', { name: account('signIn'), exact: true }).click();
    await page.getByRole('navigation', { name: shell('main') }).waitFor();
    await page.goto(`${demo.address}${path}`);
  }

  test('the eight learners get the judgement their story deserves, each with its reason', async ({ page }) => {
    await open(page, '/learners/ready');
    for (const [name, word, reason] of [
      ['Ottilia Fenwarrow', 'Ready', 'Keep the date.'],
      // Four passes in a row: believed, once new roads are shown.
      ['Tavi Ormsund', 'Nearly ready', 'Keep the date if this works out first: Drive a mock test on new roads.'],
      ['Lenka Brathmoor', 'Nearly ready', 'Keep the date if this works out first'],
      ['Pim Odderstane', 'Nearly ready', 'Move the test to a later date. Drive these without a fault'],
      ['Corvin Ashdellow', 'Not ready yet', 'Drive 2 mock tests in a row'],
      ['Yselle Quarrick', 'Not ready yet', 'Drive 2 mock tests in a row'],
      ['Harkin Lowmayne', 'Too early to say', 'more'],
      ['Sunna Veltrey', 'Too early to say', '18 more minutes'],
    ] as const) {
      const row = page
        .getByRole('listitem')
        .filter({ has: page.getByRole('link', { name }) })
        .last();
      await expect(row.getByText(word, { exact: true })).toBeVisible();
      await expect(row).toContainText(reason);
    }
    await expect(
      page.getByText(/^2 test results with an earlier estimate\. Accuracy shows after 18 more/),
    ).toBeVisible();
  });

  test('a calculation that cannot start is said to have failed, and is tried again', async ({ page }) => {
    await page.route(/readiness\.worker/, (route) => route.abort());
    await open(page, '/learners');
    await page.getByRole('link', { name: 'Yselle Quarrick' }).click();
    await fromMore(page, learners('readiness'));
    await expect(page.getByRole('alert')).toContainText('The estimate could not be worked out');
    await page.goto(page.url().replace('readiness', 'plan'));
    await expect(page.getByRole('alert')).toContainText('Forecast could not be worked out');
    await page.unroute(/readiness\.worker/);
    // The first try has a worker that was made ahead, before the network was back.
    await expect(async () => {
      await page.getByRole('button', { name: common('tryAgain') }).click({ timeout: 1000 });
      await expect(page.getByText('No promise:')).toBeVisible({ timeout: 4000 });
    }).toPass();
  });

  test('a figure stands with its interval and its evidence, follows an assumption, and changes its standard', async ({
    page,
  }) => {
    await open(page, '/learners');
    await page.getByRole('link', { name: 'Yselle Quarrick' }).click();
    await fromMore(page, learners('readiness'));
    const figure = page.getByRole('img', { name: /^Would pass \d+ to \d+ of 20 tests$/ });
    await expect(figure).toBeVisible();
    // A high chance that is kept back says why in the same breath.
    await expect(
      page.getByText(
        /^Would pass about \d+ of 20 tests .* Based on 7 mock tests\. Not ready yet all the same: Serious fault/,
      ),
    ).toBeVisible();
    const before = await figure.getAttribute('aria-label');
    await expect(
      page.getByText('Serious fault or dangerous fault in 1 of the last 2 mock tests.').first(),
    ).toBeVisible();
    // The easier known roads are taken to be, the more faults her drives by heart stand for on new ones.
    await page.getByRole('slider', { name: /Familiar roads bring/ }).focus();
    await page.keyboard.press('Home');
    await expect(figure).not.toHaveAttribute('aria-label', before!);
    await page.getByRole('button', { name: readiness('resetToYourSchoolsFigures') }).click();
    await expect(figure).toHaveAttribute('aria-label', before!);
    await page.getByLabel(readiness('markingStandard')).click();
    await page.getByRole('option', { name: 'Graded marks' }).click();
    await expect(page.getByText(/of 3 exercises/).first()).toBeVisible();
    await page.getByRole('button', { name: readiness('learnerView') }).click();
    await expect(page.getByText(/^This is an estimate from a few mock tests, not a promise\./)).toBeVisible();
    await expect(figure).toHaveCount(0);
  });

  test('a plan is proposed, changed, booked and handed to a calendar', async ({ page }) => {
    await open(page, '/learners');
    await page.getByRole('link', { name: 'Tavi Ormsund' }).click();
    await fromMore(page, learners('readiness'));
    await page.getByRole('link', { name: readiness('lessonPlan') }).click();
    await page.getByRole('button', { name: readiness('suggestLessons') }).click();
    const lessons = page.getByRole('listitem', { name: /^\w+day \d+ \w+, \d\d:\d\d$/ });
    const proposed = await lessons.count();
    expect(proposed).toBeGreaterThan(3);
    await expect(page.getByText(/^(Keep the date|Move the test)/).first()).toBeVisible();
    // What the first lesson does goes to the second place, by keyboard.
    const first = await lessons.nth(0).locator('ul').innerText();
    await carry(page, page.getByRole('button', { name: /^Move the aim/ }).first(), 'ArrowDown', [1, 2]);
    await expect(lessons.nth(1).locator('ul')).toHaveText(first.replace(/\n/g, ''));
    // Nobody loses a plan by a touch on the menu.
    await page.getByRole('link', { name: shell('today') }).click();
    await expect(page.getByText(common('whatYouWhatIsNotSaved', { what: readiness('planned') }))).toBeVisible();
    await page.getByRole('button', { name: account('keepEditing') }).click();
    await page.getByRole('button', { name: readiness('saveLessons') }).click();
    await expect(page.getByRole('button', { name: readiness('saveLessons') })).toBeDisabled();
    await page
      .getByRole('button', { name: /^Cancel / })
      .last()
      .click();
    await page.getByRole('button', { name: readiness('saveLessons') }).click();
    await expect(lessons).toHaveCount(proposed - 1);
    const saving = page.waitForEvent('download');
    await page.getByRole('link', { name: readiness('calendarFile') }).click();
    const text = readFileSync(await (await saving).path(), 'utf8');
    // ical.js: an independent reader of RFC 5545.
    const events = new ICAL.Component(ICAL.parse(text) as []).getAllSubcomponents('vevent');
    expect(events).toHaveLength(proposed + 1);
    expect(events.filter((event) => event.getFirstPropertyValue('status') === 'CANCELLED')).toHaveLength(1);
    // What was planned shows on Today, with the learner and where a mock test is begun.
    const aim = page.getByRole('listitem').filter({ hasText: 'Tavi Ormsund' });
    await page.getByRole('link', { name: shell('today') }).click();
    await expect(page.getByRole('heading', { name: /^(Next lesson|Lessons today)$/ })).toBeVisible();
    await expect(aim.first()).toContainText('60 min');
    await aim.first().getByRole('link', { name: 'Tavi Ormsund' }).click();
    await expect(page.getByRole('complementary', { name: learners('nextSteps') })).toContainText('60 min');
  });
});

test('a plan names no day to book where too little was driven', async ({ page, school }) => {
  await signIn(page, school);
  await addLearner(page, 'Neva Learner');
  await fromMore(page, learners('readiness'));
  await page.getByRole('link', { name: readiness('lessonPlan') }).click();
  await expect(page.getByText(/^Too early to say when to take the test\. Drive 3 more full mock tests/)).toBeVisible();
  await expect(page.getByText(/^(Book a test|Keep the date|Move the test)\.$/)).toHaveCount(0);
});

test('a school with nobody says so', async ({ page, school }) => {
  await signIn(page, school);
  await page.goto('/learners/ready');
  await expect(page.getByText(readiness('noLearnersYet'))).toBeVisible();
});
