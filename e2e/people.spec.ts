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
} from './fixtures';
import { password, runCli } from './server';

test('somebody is invited, works, leaves: learners go to a colleague, and the door is shut at once', async ({
  page,
  school,
  browser,
  baseURL,
}) => {
  await signIn(page, school);
  await page.getByRole('link', { name: 'Account' }).click();
  await page.getByRole('link', { name: 'The school and its people' }).click();
  await page.getByRole('button', { name: 'Invite somebody' }).click();
  const form = page.getByRole('form', { name: 'Invite somebody' });
  await form.getByLabel('Name').fill('Bo Leaver');
  const email = `bo@${school.name}.example`;
  await form.getByLabel('E-mail').fill(email);
  await form.getByRole('button', { name: 'Invite' }).click();
  const link = page.getByRole('dialog', { name: 'A link for Bo Leaver' });
  const address = await link.getByText(/\/password\//).innerText();
  await link.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Bo Leaver' })).toContainText('no password yet');

  const { page: bo, context } = await newDevice(browser, baseURL);
  await bo.goto(address);
  await bo.getByLabel('Password', { exact: true }).fill('passwordpassword');
  await bo.getByRole('button', { name: 'Keep it' }).click();
  await expect(bo.getByText(/This password is easily guessed/)).toBeVisible();
  await bo.getByLabel('Password', { exact: true }).fill(password);
  await bo.getByRole('button', { name: 'Keep it' }).click();
  await bo.getByRole('button', { name: 'Sign in' }).click();
  await bo.getByLabel('E-mail').waitFor();
  await signInByForm(bo, { email });
  await addLearner(bo, 'Lia Learner');
  await expect(bo.getByText('Taught by Bo Leaver')).toBeVisible();
  await bo.goto('/school');
  await expect(bo.getByText('Only a lead of the school can change this.')).toBeVisible();

  await page.reload();
  const more = page.getByRole('button', { name: 'More about Bo Leaver' });
  await more.click();
  await page.getByRole('menuitem', { name: 'Hand learners and lessons over' }).click();
  const over = page.getByRole('dialog', { name: 'Hand over from Bo Leaver' });
  await over.getByLabel('Who takes over').click();
  await page.getByRole('option', { name: 'Ada Tester' }).click();
  await over.getByRole('button', { name: 'Hand over' }).click();
  await expect(page.getByText('Ada Tester has 1 learner and 0 lessons of Bo Leaver now.')).toBeVisible();
  await more.click();
  await page.getByRole('menuitem', { name: 'Let in no more' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Bo Leaver' })).toContainText('Left on');
  await bo.getByRole('link', { name: 'Learners' }).click();
  await bo.reload();
  await expect(bo.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await context.close();

  await page.getByRole('link', { name: 'Who did what' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'let somebody in no more' })).toContainText('Bo Leaver');
  await page.getByLabel('What').click();
  await page.getByRole('option', { name: 'handed learners and lessons over' }).click();
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
  await page.getByRole('button', { name: 'More about Second Lead' }).click();
  await page.getByRole('menuitem', { name: 'A link for a new password' }).click();
  const address = await page.getByText(/\/password\//).innerText();
  const { page: other, context } = await newDevice(browser, baseURL);
  const choose = async (at: string, chosen: string) => {
    await other.goto(at);
    await other.getByLabel('Password', { exact: true }).fill(chosen);
    await other.getByRole('button', { name: 'Keep it' }).click();
    await other.getByRole('button', { name: 'Sign in' }).click();
    await other.getByLabel('E-mail').waitFor();
  };
  await choose(address, 'five purple kettles');
  await other.getByLabel('E-mail').fill(email);
  await other.getByLabel('Password').fill('five purple kettles');
  await other.getByRole('button', { name: 'Sign in' }).click();
  await other.getByRole('navigation', { name: 'Main' }).waitFor();

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
  await expect(tablet.getByText('all saved')).toBeVisible();
  expect(await everythingOn(tablet)).toContain('Quenby');

  await page.reload();
  await page.getByRole('button', { name: 'More' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save everything about Quenby Vanishing' }).click();
  const files = unzipSync(new Uint8Array(readFileSync(await (await download).path())));
  expect(strFromU8(files['everything.json']!)).toContain('Quenby Vanishing');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Erase' }).click();
  const dialog = page.getByRole('dialog', { name: 'Erase Quenby Vanishing?' });
  await expect(dialog.getByRole('button', { name: 'Erase for good' })).toBeDisabled();
  await dialog.getByLabel('Write the name').fill('Quenby Vanishing');
  await dialog.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page.getByRole('dialog', { name: 'The learner is erased' })).toContainText('1 drive');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('Nobody is on the list yet.')).toBeVisible();

  await tablet.goto('/');
  await expect(tablet.getByText('Your school has no learners yet.')).toBeVisible();
  await expect.poll(() => kept(tablet)).not.toContain('Quenby');
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
  await page.getByRole('link', { name: 'Edit' }).click();
  const { page: other, context } = await newDevice(browser, baseURL);
  await signIn(other, school);
  await other.goto(page.url());
  await other.getByLabel('Phone').fill('0100 222 333');
  await other.getByLabel('Notes').fill('Left-handed.');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByText('Left-handed.')).toBeVisible();
  await context.close();

  await page.getByLabel('Phone').fill('0999 888 777');
  await page.getByRole('button', { name: 'Save' }).click();
  const dialog = page.getByRole('dialog', { name: 'Somebody else has changed this learner meanwhile' });
  await expect(dialog.getByRole('row', { name: /Phone/ })).toContainText('0100 222 333');
  await dialog.getByRole('radio', { name: 'Notes: theirs' }).check();
  await dialog.getByRole('button', { name: 'Save this' }).click();
  await expect(page.getByText('Left-handed.')).toBeVisible();
  await expect(page.getByText('0999 888 777')).toBeVisible();
});

test.describe('with the application kept on the device', () => {
  test.use({ serviceWorkers: 'allow' });

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
    await expect(page.getByText('all saved')).toBeVisible();
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await page.reload();
    await expect(page.getByText('all saved')).toBeVisible();
    await context.setOffline(true);
    await press(page, 'j', 'o', '1');
    await expect(page.getByText(/saved here, 1 waiting to send/)).toBeVisible();
    await page.goto('/account');
    await expect(page.getByText('1 entry is kept on this device')).toBeVisible();
    // Without a network the sign-out holds as well, and the server hears of it later.
    await page.getByRole('button', { name: 'Sign out', exact: true }).first().click();
    await page.getByRole('button', { name: 'Sign out all the same' }).click();
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await expect(page.getByText('Sol Learner')).toHaveCount(0);
    await context.setOffline(false);
    await page.reload();
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
    expect((await page.request.get('/api/session')).status()).toBe(401);

    await signInByForm(page, { email });
    await page.goto('/drive');
    await expect(page.getByRole('button', { name: 'Start the drive' })).toBeVisible();
    await expect(page.getByText('Under way on this device')).toHaveCount(0);
    await page.goto('/account');
    await expect(page.getByText('Not sent yet')).toHaveCount(0);
    await page.getByRole('button', { name: 'Sign out', exact: true }).first().click();

    await signInByForm(page, school);
    await page.goto('/account');
    await expect(page.getByText('Not sent yet')).toHaveCount(0);
    await page.goto('/drive');
    await page.getByRole('link', { name: 'Go on with Sol' }).click();
    await expect(page.getByText('14 of 15 left')).toBeVisible();
    await expect(page.getByText('all saved')).toBeVisible();
    await endDrive(page);
  });
});

test('a second factor is set up and asked for', async ({ page, school }) => {
  await signIn(page, school);
  await page.goto('/account');
  await page.getByRole('button', { name: 'Set it up' }).click();
  await page.getByLabel('Your password', { exact: true }).fill(password);
  await page.getByRole('button', { name: 'Go on' }).click();
  const secret = (await page.getByText(/^[A-Z2-7]{4}( [A-Z2-7]{1,4})+$/).innerText()).replaceAll(' ', '');
  await page.getByLabel('Six digits').fill(authenticator.generate(secret));
  await page.getByRole('button', { name: 'Turn it on' }).click();
  await page.getByRole('button', { name: 'I have them' }).waitFor();
  const codes = await page.getByRole('region', { name: 'Recovery codes' }).getByRole('listitem').allInnerTexts();
  await page.getByRole('button', { name: 'I have them' }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).first().click();
  await page.getByLabel('E-mail').fill(school.email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByLabel('Six digits').fill(codes[0]!);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('navigation', { name: 'Main' }).waitFor();
});

/** Everything of marks and answers that a page's device keeps, as text. */
function kept(on: Parameters<typeof signIn>[0]): Promise<string> {
  return on.evaluate(async () => {
    const open = indexedDB.open('jasperwren');
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      open.onsuccess = () => resolve(open.result);
      open.onerror = () => reject(new Error('no database'));
    });
    const rows = await Promise.all(
      [...db.objectStoreNames].map((name) => {
        const all = db.transaction(name).objectStore(name).getAll();
        return new Promise((resolve) => {
          all.onsuccess = () => resolve(all.result);
        });
      }),
    );
    db.close();
    return JSON.stringify(rows);
  });
}

/** The same with what the browser keeps besides. */
const everythingOn = async (on: Parameters<typeof signIn>[0]): Promise<string> =>
  (await kept(on)) + JSON.stringify(await on.context().storageState());
