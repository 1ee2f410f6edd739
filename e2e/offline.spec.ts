import { t as account } from '@jasperwren/words/account';
import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import { t as shell } from '@jasperwren/words/shell';
import { t as today } from '@jasperwren/words/today';
import {
  addLearner,
  endDrive,
  expect,
  goOffline,
  holdBack,
  minutes,
  press,
  signedHeaders,
  signIn,
  test,
} from './fixtures';

test.describe('without a network', () => {
  test.use({ serviceWorkers: 'allow' });

  test('the application opens, runs a whole test, and sends it later', async ({ page, school, context }) => {
    await page.clock.install();
    await signIn(page, school);
    await addLearner(page, 'Odo Learner');
    await goOffline(page);
    await page.goto('/drive');
    await page.getByRole('combobox', { name: drives('learner') }).fill('Odo');
    await page.getByRole('option', { name: 'Odo Learner' }).click();
    await page.getByRole('button', { name: drives('startMockTest') }).click();
    await page.getByRole('timer').waitFor();
    await minutes(page, 5);
    await press(page, 'j', 'o', '1', '/');
    await minutes(page, 20);
    await page.reload();
    await expect(page.getByRole('button', { name: /Junctions: observation, driving fault, 5:0\d/ })).toBeVisible();
    await press(page, '/');
    await minutes(page, 15);
    await endDrive(page);
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Pass: 1 of 15 driving faults');
    await expect(page.getByText('not sent yet')).toBeVisible();
    await page.getByRole('link', { name: shell('account') }).click();
    await page.getByRole('button', { name: account('signOut') }).click();
    await expect(page.getByRole('dialog', { name: /changes not been sent|have not been sent/ })).toBeVisible();
    await page.getByRole('button', { name: account('keepEditing') }).click();
    await page.getByRole('link', { name: shell('today') }).click();
    await expect(
      page.getByText(/Odo Learner: mock test saved on this device only, \d+ changes not sent/),
    ).toBeVisible();
    await context.setOffline(false);
    await page.clock.runFor(60_000);
    await page.reload();
    await expect(page.getByText(/Odo Learner: mock test saved on this device only/)).toHaveCount(0);
    await expect(page.getByRole('listitem').filter({ hasText: 'Odo Learner' }).last()).toContainText(
      'Pass: 1 of 15 driving faults',
    );
  });
});

test.describe('after one visit', () => {
  test.use({ serviceWorkers: 'allow' });

  test('the day is there without a network: the next lesson, its learner by address, and from when all of it is', async ({
    page,
    school,
    context,
  }) => {
    await signIn(page, school);
    await addLearner(page, 'Una Learner');
    const learner = page.url();
    const id = learner.split('/').at(-1)!;
    const lesson = {
      start: `${new Date(Date.now() + 24 * 3600_000).toISOString().slice(0, 10)}T10:00`,
      minutes: 60,
      goals: [],
    };
    const booked = await page.request.put(`/api/learners/${id}/lessons`, {
      headers: await signedHeaders(page),
      data: { lessons: [lesson], version: 0 },
    });
    expect(booked.ok()).toBe(true);
    // Another device, which sees the school for the first time.
    const cookies = await context.cookies();
    const other = await page
      .context()
      .browser()!
      .newContext({ baseURL: new URL(learner).origin, serviceWorkers: 'allow' });
    await other.addCookies(cookies);
    const phone = await other.newPage();
    await phone.goto('/');
    await phone.getByText(/^Ready for driving without a network, as of \d\d:\d\d\.$/).waitFor();
    await other.setOffline(true);
    await phone.goto(learner);
    await expect(phone.getByRole('heading', { level: 1, name: 'Una Learner' })).toBeVisible();
    await expect(phone.getByText(/^No connection\. What you see is from \d+ \w+ \d{4}, \d\d:\d\d\./)).toBeVisible();
    await phone.goto('/');
    const next = phone.locator('section', { has: phone.getByRole('heading', { name: today('nextLesson') }) });
    await expect(next.getByRole('link', { name: 'Una Learner' })).toBeVisible();
    await expect(phone.getByText(/^No connection\. What you see is from/)).toBeVisible();
    await other.setOffline(false);
    await expect(phone.getByText(/^No connection/)).toHaveCount(0);
    await other.close();
  });
});

test('a device that keeps nothing says so, and marks and sends all the same', async ({ page, school, context }) => {
  await page.clock.install();
  await context.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('Denied', 'SecurityError');
    };
  });
  await signIn(page, school);
  await addLearner(page, 'Nell Learner');
  const learner = page.url();
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  const letGo = await holdBack(page, '**/events');
  await page.getByRole('button', { name: drives('startMockTest') }).click();
  await page.getByRole('timer').waitFor();
  await press(page, 'j', 'o', '1');
  // The start and the fault.
  await expect(
    page.getByText(desk('notSavedOnThisDevicePart', { part: desk('keepThisPageOpenWaitingTo', { waiting: 2 }) })),
  ).toBeVisible();
  letGo();
  await page.clock.runFor(5000);
  await expect(page.getByText(desk('notSavedOnThisDevicePart', { part: desk('everythingIsSent') }))).toBeVisible();
  await page.goto(learner);
  await page.getByRole('link', { name: /\d{4}$/ }).click();
  await expect(page.getByRole('button', { name: /Junctions: observation, driving fault/ })).toBeVisible();
});

test('a device with little room left says so before it matters', async ({ page, school, context }) => {
  await context.addInitScript(() => {
    StorageManager.prototype.estimate = () => Promise.resolve({ usage: 95_000_000, quota: 100_000_000 });
  });
  await signIn(page, school);
  await addLearner(page, 'Mona Learner');
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByRole('button', { name: drives('startMockTest') }).click();
  await expect(page.getByText(desk('storageNearlyFullLeftMBMBLeft', { leftMB: '4' }))).toBeVisible();
});

test('durations stay right when the clock of the device is changed in the middle', async ({ page, school }) => {
  await page.clock.install({ time: new Date('2026-11-20T10:00:00Z') });
  await signIn(page, school);
  await addLearner(page, 'Liv Learner');
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByRole('button', { name: drives('startMockTest') }).click();
  await page.getByRole('timer').waitFor();
  await minutes(page, 10);
  await press(page, '/');
  // Somebody sets the wall clock back by a day; the clock of the page goes on.
  await page.clock.setSystemTime(new Date('2026-11-19T09:00:00Z'));
  await minutes(page, 16);
  await press(page, 'j', 'o', '1', '/');
  await page.clock.setSystemTime(new Date('2027-01-01T00:00:00Z'));
  await minutes(page, 14);
  await expect(page.getByRole('timer')).toContainText(/^40:0/);
  await endDrive(page);
  await expect(page.getByText('40 min driven, 16 min independent.')).toBeVisible();
  await expect(page.getByRole('listitem', { name: /Junctions: observation, driving fault, 26:0\d/ })).toBeVisible();
});

test('two tabs of one device write into the same drive, and nothing is lost or doubled', async ({
  page,
  school,
  context,
}) => {
  await signIn(page, school);
  await addLearner(page, 'Kit Learner');
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByRole('button', { name: drives('startMockTest') }).click();
  await page.getByRole('timer').waitFor();
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByRole('timer').waitFor();
  await press(page, 'j', 'o', '1');
  await expect(
    other.getByText(desk('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true }),
  ).toBeVisible();
  await press(other, 'm', 'b', '1');
  await expect(page.getByText(desk('leftOfAllowedLeft', { left: '13', allowed: '15' }), { exact: true })).toBeVisible();
  await press(page, 'i', 'd', '1');
  await expect(
    other.getByText(desk('leftOfAllowedLeft', { left: '12', allowed: '15' }), { exact: true }),
  ).toBeVisible();
  await page.getByText(desk('allSaved')).waitFor();
  await other.getByText(desk('allSaved')).waitFor();
  const id = /drive\/([^/]+)/.exec(page.url())![1]!;
  const { events } = await page.evaluate(
    async (address) => (await (await fetch(address)).json()) as { events: { id: string; type: string; seq: number }[] },
    `/api/drives/${id}`,
  );
  expect(events.filter(({ type }) => type === 'mark')).toHaveLength(3);
  expect(new Set(events.map(({ seq }) => seq)).size).toBe(events.length);
});
