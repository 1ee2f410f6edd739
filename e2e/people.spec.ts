import type { SessionView } from '@jasperwren/contract/accounts';
import { t as account } from '@jasperwren/words/account';
import { t as common } from '@jasperwren/words/common';
import { t as debrief } from '@jasperwren/words/debrief';
import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import { t as learners } from '@jasperwren/words/learners';
import { t as readiness } from '@jasperwren/words/readiness';
import { t as schoolPage } from '@jasperwren/words/school';
import { t as shell } from '@jasperwren/words/shell';
import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { authenticator } from 'otplib';
import {
  addLearner,
  addPerson,
  endDrive,
  expect,
  newDevice,
  press,
  signIn,
  signInByForm,
  startDrive,
  test,
  fromMore,
} from './fixtures';
import { password, runCli } from './server';

test('somebody is invited, works, leaves: learners go to a colleague, and the door is shut at once', async ({
  page,
  school,
  browser,
  baseURL,
}) => {
  await signIn(page, school);
  await page.getByRole('link', { name: shell('account') }).click();
  await page.getByRole('link', { name: account('schoolAndPeople') }).click();
  await page.getByRole('button', { name: schoolPage('inviteSomeone') }).click();
  const form = page.getByRole('form', { name: schoolPage('inviteSomeone') });
  await form.getByLabel(schoolPage('name')).fill('Bo Leaver');
  const email = `bo@${school.name}.example`;
  await form.getByLabel(schoolPage('eMail')).fill(email);
  await form.getByRole('button', { name: schoolPage('invite') }).click();
  const link = page.getByRole('dialog', { name: schoolPage('shareLinkForName', { name: 'Bo Leaver' }) });
  const address = await link.getByLabel(schoolPage('linkToSend')).inputValue();
  await link.getByRole('button', { name: schoolPage('done') }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Bo Leaver' })).toContainText('no password yet');

  const { page: bo, context } = await newDevice(browser, baseURL);
  await bo.goto(address);
  await bo.getByLabel(account('password'), { exact: true }).fill('passwordpassword');
  await bo.getByRole('button', { name: account('save') }).click();
  await expect(bo.getByText(/This password is easily guessed/)).toBeVisible();
  await bo.getByLabel(account('password'), { exact: true }).fill(password);
  await bo.getByRole('button', { name: account('save') }).click();
  await bo.getByRole('button', { name: account('signIn') }).click();
  await bo.getByLabel(schoolPage('eMail')).waitFor();
  await signInByForm(bo, { email });
  await addLearner(bo, 'Lia Learner');
  await expect(bo.getByText(learners('taughtByInstructorName', { instructorName: 'Bo Leaver' }))).toBeVisible();
  await bo.goto('/school');
  await expect(bo.getByText('Only a lead instructor can change this.')).toBeVisible();

  await page.reload();
  const more = page.getByRole('button', { name: schoolPage('moreAboutName', { name: 'Bo Leaver' }) });
  await more.click();
  await page.getByRole('menuitem', { name: 'Hand learners and lessons over' }).click();
  const over = page.getByRole('dialog', { name: schoolPage('handOverFromPerson', { person: 'Bo Leaver' }) });
  await over.getByLabel(schoolPage('whoTakesOver')).click();
  await page.getByRole('option', { name: 'Ada Tester' }).click();
  await over.getByRole('button', { name: schoolPage('handOver') }).click();
  await expect(page.getByText('Ada Tester has 1 learner and 0 lessons of Bo Leaver now.')).toBeVisible();
  await more.click();
  await page.getByRole('menuitem', { name: schoolPage('removeAccess') }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Bo Leaver' })).toContainText('Left on');
  await bo.getByRole('link', { name: learners('learners') }).click();
  await bo.reload();
  await expect(bo.getByRole('button', { name: account('signIn') })).toBeVisible();
  await context.close();

  await page.getByRole('link', { name: schoolPage('activityLog') }).click();
  await expect(page.getByRole('row').filter({ hasText: schoolPage('removedSomeonesAccess') })).toContainText(
    'Bo Leaver',
  );
  await page.getByLabel(schoolPage('what')).click();
  await page.getByRole('option', { name: schoolPage('handedOverLearnersAndLessons') }).click();
  await expect(page.getByRole('row')).toHaveCount(2);
});

test('a lead forgets their password: another makes a link, and alone the machine lets them in', async ({
  page,
  school,
  server,
  browser,
  baseURL,
}) => {
  await signIn(page, school);
  const email = `second@${school.name}.example`;
  await addPerson(page, 'Second Lead', email, 'lead');
  await page.goto('/school');
  await page.getByRole('button', { name: schoolPage('moreAboutName', { name: 'Second Lead' }) }).click();
  await page.getByRole('menuitem', { name: schoolPage('sendPasswordLink') }).click();
  const address = await page.getByLabel(schoolPage('linkToSend')).inputValue();
  const { page: other, context } = await newDevice(browser, baseURL);
  const choose = async (at: string, chosen: string) => {
    await other.goto(at);
    await other.getByLabel(account('password'), { exact: true }).fill(chosen);
    await other.getByRole('button', { name: account('save') }).click();
    await other.getByRole('button', { name: account('signIn') }).click();
    await other.getByLabel(schoolPage('eMail')).waitFor();
  };
  await choose(address, 'five purple kettles');
  await other.getByLabel(schoolPage('eMail')).fill(email);
  await other.getByLabel(account('password')).fill('five purple kettles');
  await other.getByRole('button', { name: account('signIn') }).click();
  await other.getByRole('navigation', { name: shell('main') }).waitFor();

  const told = runCli(server.dataDir, 'recover', school.email);
  await choose(told.trim().split('\n').at(-1)!, password);
  await signInByForm(other, school);
  await context.close();
});

test('a learner asks for everything, then to be erased: nothing is left, on other devices neither', async ({
  page,
  school,
  browser,
  baseURL,
}) => {
  await signIn(page, school);
  await addLearner(page, 'Quenby Vanishing');
  const learner = page.url();
  const { page: tablet, context } = await newDevice(browser, baseURL);
  await signIn(tablet, school);
  await tablet.goto(learner);
  await startDrive(tablet);
  await press(tablet, 'j', 'o', '1');
  await expect(tablet.getByText(desk('allSaved'))).toBeVisible();
  expect(await everythingOn(tablet)).toContain('Quenby');

  await page.reload();
  await page.getByRole('button', { name: desk('more') }).click();
  const download = page.waitForEvent('download');
  await page
    .getByRole('menuitem', { name: learners('downloadAllDataAboutLearner', { learner: 'Quenby Vanishing' }) })
    .click();
  const files = unzipSync(new Uint8Array(readFileSync(await (await download).path())));
  expect(strFromU8(files['everything.json']!)).toContain('Quenby Vanishing');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: desk('more') }).click();
  await page.getByRole('menuitem', { name: 'Erase' }).click();
  const dialog = page.getByRole('dialog', { name: 'Erase Quenby Vanishing?' });
  await expect(dialog.getByRole('button', { name: learners('eraseForGood') })).toBeDisabled();
  await dialog.getByLabel('Type the name').fill('Quenby Vanishing');
  await dialog.getByRole('button', { name: learners('eraseForGood') }).click();
  await expect(page.getByRole('dialog', { name: learners('learnerErased') })).toContainText(
    learners('mockTests', { count: 1 }),
  );
  await page.getByRole('button', { name: schoolPage('done') }).click();
  await expect(page.getByText(readiness('noLearnersYet'))).toBeVisible();

  await tablet.goto('/');
  await expect(tablet.getByText('No learners yet.')).toBeVisible();
  await expect.poll(() => everythingOn(tablet)).not.toContain('Quenby');
  await context.close();
});

test('two people edit one learner: both are shown, and what each chose is kept', async ({
  page,
  school,
  browser,
  baseURL,
}) => {
  await signIn(page, school);
  await addLearner(page, 'Ravi Learner');
  await fromMore(page, learners('edit'));
  const { page: other, context } = await newDevice(browser, baseURL);
  await signIn(other, school);
  await other.goto(page.url());
  await other.getByLabel(learners('phone')).fill('0100 222 333');
  await other.getByLabel(debrief('notes')).fill('Left-handed.');
  await other.getByRole('button', { name: schoolPage('save') }).click();
  await expect(other.getByText('Left-handed.')).toBeVisible();
  await context.close();

  await page.getByLabel(learners('phone')).fill('0999 888 777');
  await page.getByRole('button', { name: schoolPage('save') }).click();
  const dialog = page.getByRole('dialog', {
    name: common('whatWasChangedBySomeoneElse', { what: 'this learner' }),
  });
  await expect(dialog.getByRole('row', { name: /Phone/ })).toContainText('0100 222 333');
  await dialog.getByRole('radio', { name: 'Notes: theirs' }).check();
  await dialog.getByRole('button', { name: common('save') }).click();
  await expect(page.getByText('Left-handed.')).toBeVisible();
  await expect(page.getByText('0999 888 777')).toBeVisible();
});

test.describe('with the application kept on the device', () => {
  test.use({ serviceWorkers: 'allow' });

  test('signing out leaves nothing of the person on the device, ids and addresses included', async ({
    page,
    school,
  }) => {
    await signIn(page, school);
    const { account: own } = (await (await page.request.get('/api/session')).json()) as SessionView;
    await addLearner(page, 'Umber Learner');
    const learnerId = page.url().split('/').at(-1)!;
    await startDrive(page);
    const driveId = /\/drive\/([^/]+)/.exec(page.url())![1]!;
    await expect(page.getByText(desk('allSaved'))).toBeVisible();
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    // Asked for through the worker, which keeps the answers.
    await page.reload();
    await expect(page.getByText(desk('allSaved'))).toBeVisible();
    await page.goto(`/learners/${learnerId}`);
    await page.getByRole('heading', { level: 1, name: 'Umber Learner' }).waitFor();
    const theirs = [own.id, school.email, learnerId, driveId, 'Umber'];
    for (const one of [learnerId, driveId, 'Umber']) await expect.poll(() => everythingOn(page)).toContain(one);
    await page.goto('/account');
    await page
      .getByRole('button', { name: account('signOut'), exact: true })
      .first()
      .click();
    await expect(page.getByRole('button', { name: account('signIn') })).toBeVisible();
    for (const one of theirs) await expect.poll(() => everythingOn(page)).not.toContain(one);
  });

  test('a tablet changes hands: the next one sees nothing of the first, whose marks wait for them', async ({
    page,
    school,
    context,
  }) => {
    await signIn(page, school);
    const email = `next@${school.name}.example`;
    await addPerson(page, 'Next Person', email);
    await addLearner(page, 'Sol Learner');
    await startDrive(page);
    await expect(page.getByText(desk('allSaved'))).toBeVisible();
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await page.reload();
    await expect(page.getByText(desk('allSaved'))).toBeVisible();
    await context.setOffline(true);
    await press(page, 'j', 'o', '1');
    await expect(page.getByText(/Saved here, 1 not sent/)).toBeVisible();
    await page.goto('/account');
    await expect(page.getByText('1 change is kept on this device')).toBeVisible();
    // Without a network the sign-out holds as well, and the server hears of it later.
    await page
      .getByRole('button', { name: account('signOut'), exact: true })
      .first()
      .click();
    await page.getByRole('button', { name: account('signOutAnyway') }).click();
    await expect(page.getByRole('button', { name: account('signIn') })).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('button', { name: account('signIn') })).toBeVisible();
    await expect(page.getByText('Sol Learner')).toHaveCount(0);
    await context.setOffline(false);
    await page.reload();
    await expect(page.getByRole('button', { name: account('signIn') })).toBeVisible();
    expect((await page.request.get('/api/session')).status()).toBe(401);

    await signInByForm(page, { email });
    await page.goto('/drive');
    await expect(page.getByRole('button', { name: drives('startMockTest') })).toBeVisible();
    await expect(page.getByRole('heading', { name: drives('inProgress') })).toHaveCount(0);
    await page.goto('/account');
    await expect(page.getByText(account('notSentYet2'))).toHaveCount(0);
    await page
      .getByRole('button', { name: account('signOut'), exact: true })
      .first()
      .click();

    await signInByForm(page, school);
    await page.goto('/account');
    await expect(page.getByText(account('notSentYet2'))).toHaveCount(0);
    await page.goto('/drive');
    await page.getByRole('link', { name: /^Continue: Sol Learner/ }).click();
    await expect(
      page.getByText(desk('leftOfAllowedLeft', { left: '14', allowed: '15' }), { exact: true }),
    ).toBeVisible();
    await expect(page.getByText(desk('allSaved'))).toBeVisible();
    await endDrive(page);
  });
});

test('a second factor is set up and asked for', async ({ page, school }) => {
  await signIn(page, school);
  await page.goto('/account');
  await page.getByRole('button', { name: account('setUp') }).click();
  await page.getByLabel(account('yourPassword'), { exact: true }).fill(password);
  await page.getByRole('button', { name: account('continue') }).click();
  const secret = (await page.getByText(/^[A-Z2-7]{4}( [A-Z2-7]{1,4})+$/).innerText()).replaceAll(' ', '');
  await page.getByLabel(account('sixDigits')).fill(authenticator.generate(secret));
  await page.getByRole('button', { name: account('turnOn') }).click();
  await page.getByRole('button', { name: account('iHaveSavedThem') }).waitFor();
  const codes = await page
    .getByRole('region', { name: account('recoveryCodes') })
    .getByRole('listitem')
    .allInnerTexts();
  await page.getByRole('button', { name: account('iHaveSavedThem') }).click();
  await page
    .getByRole('button', { name: account('signOut'), exact: true })
    .first()
    .click();
  await page.getByLabel(schoolPage('eMail')).fill(school.email);
  await page.getByLabel(account('password')).fill(password);
  await page.getByRole('button', { name: account('signIn') }).click();
  await page.getByLabel(account('sixDigits')).fill(codes[0]!);
  await page.getByRole('button', { name: account('signIn') }).click();
  await page.getByRole('navigation', { name: shell('main') }).waitFor();
});

/** Everything that a page's device keeps, as text: every database, every kept answer with its address, and what else there is. */
async function everythingOn(on: Parameters<typeof signIn>[0]): Promise<string> {
  const kept = await on.evaluate(async () => {
    const done = <T>(request: IDBRequest<T>) =>
      new Promise<T>((resolve, reject) => {
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error('not to be had'));
      });
    const found: unknown[] = [];
    for (const { name } of await indexedDB.databases()) {
      const db = await done(indexedDB.open(name!));
      for (const store of db.objectStoreNames) {
        const all = db.transaction(store).objectStore(store);
        found.push(name, store, await done(all.getAllKeys()), await done(all.getAll()));
      }
      db.close();
    }
    for (const name of await caches.keys()) {
      const cache = await caches.open(name);
      for (const request of await cache.keys()) {
        const isAnswer = request.url.includes('/api/');
        found.push(request.url, isAnswer && (await (await cache.match(request))?.text()));
      }
    }
    return JSON.stringify([found, { ...localStorage }, { ...sessionStorage }]);
  });
  return kept + JSON.stringify(await on.context().storageState());
}
