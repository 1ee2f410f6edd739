import { t as account } from '@jasperwren/words/account';
import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import { t as editor } from '@jasperwren/words/editor';
import { t as learners } from '@jasperwren/words/learners';
import { t as result } from '@jasperwren/words/result';
import { t as shell } from '@jasperwren/words/shell';
import { t as standards } from '@jasperwren/words/standards';
import { t as today } from '@jasperwren/words/today';
import { t as yard } from '@jasperwren/words/yard';
import AxeBuilder from '@axe-core/playwright';
import type { PasswordLink, SessionView } from '@jasperwren/contract/accounts';
import type { LearnerView } from '@jasperwren/contract/learners';
import { expect, test as base, type Browser, type Locator, type Page } from '@playwright/test';
import { createSchool } from '@jasperwren/server/accounts/store';
import { callNow } from '@jasperwren/server/call';
import { openDatabase } from '@jasperwren/server/db/database';
import { quickHash } from '@jasperwren/server/testing-password';
import { makeServer, password, type TestServer } from './server';

interface School {
  readonly name: string;
  readonly email: string;
}

interface TestFixtures {
  /** A school of the test's own, with its lead. */
  readonly school: School;
  readonly newSchool: () => Promise<School>;
}

interface WorkerFixtures {
  readonly server: TestServer;
  /** Makes schools in the server's database; a command line for each would take a second. */
  readonly addSchool: (name: string, email: string) => Promise<void>;
}

let schools = 0;

export const test = base.extend<TestFixtures, WorkerFixtures>({
  server: [
    // eslint-disable-next-line no-empty-pattern -- Playwright wants the pattern
    async ({}, use) => {
      const server = await makeServer();
      await server.start();
      await use(server);
      await server.remove();
    },
    { scope: 'worker' },
  ],
  addSchool: [
    async ({ server }, use) => {
      const db = await openDatabase(server.dataDir);
      await use(async (name, email) => {
        await createSchool(callNow(db), name, {
          name: 'Ada Tester',
          email,
          passwordHash: quickHash(password),
        });
      });
      await db.destroy();
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ server }, use) => use(server.address),
  newSchool: async ({ addSchool }, use, { workerIndex }) =>
    use(async () => {
      const name = `school-${workerIndex}-${schools++}`;
      const email = `lead@${name}.example`;
      await addSchool(name, email);
      return { name, email };
    }),
  school: async ({ newSchool }, use) => use(await newSchool()),
});

export { expect };

interface Account {
  readonly email: string;
}

/** Signs in by the form, as a person does. */
export async function signInByForm(page: Page, { email }: Account): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel(account('eMail')).fill(email);
  await page.getByLabel(account('password')).fill(password);
  await page.getByRole('button', { name: account('signIn') }).click();
  await page.getByRole('navigation', { name: shell('main') }).waitFor();
}

/** Has the lead who is signed in on a page invite somebody, who chooses the usual password. */
export async function addPerson(page: Page, name: string, email: string, role = 'instructor'): Promise<void> {
  const headers = await signedHeaders(page);
  const invited = await page.request.post('/api/accounts', { headers, data: { name, email, role } });
  const { link } = (await invited.json()) as { link: PasswordLink };
  const address = link.path.replace('/password/', '/api/password-links/');
  expect((await page.request.post(address, { headers, data: { password } })).status()).toBe(204);
}

/** A page of a device of its own. */
export async function newDevice(browser: Browser, baseURL: string | undefined) {
  const context = await browser.newContext(baseURL ? { baseURL } : {});
  return { page: await context.newPage(), context };
}

/** Opens the application signed in; the form has tests of its own. */
export async function signIn(page: Page, { email }: Account): Promise<void> {
  const answer = await page.request.post('/api/session', { data: { email, password } });
  expect(answer.ok()).toBe(true);
  await page.goto('/');
  await page.getByRole('navigation', { name: shell('main') }).waitFor();
}

/** Opens the page of a new learner; the form has a test of its own. */
export async function addLearner(page: Page, name: string, testDate?: string): Promise<void> {
  const data = { name, transmission: 'manual', standardId: 'tally', ...(testDate !== undefined && { testDate }) };
  const added = await page.request.post('/api/learners', { headers: await signedHeaders(page), data });
  expect(added.status()).toBe(201);
  const { id } = (await added.json()) as LearnerView;
  await page.goto(`/learners/${id}`);
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

/** What a request of whoever is signed in on a page carries. */
export async function signedHeaders(page: Page): Promise<Record<string, string>> {
  const { csrfToken } = (await (await page.request.get('/api/session')).json()) as SessionView;
  return { 'x-csrf-token': csrfToken };
}

/** Starts a drive from the learner's page, which must be open. */
export async function startDrive(page: Page): Promise<void> {
  await page.getByRole('link', { name: /^Start mock test/ }).click();
  await page.getByRole('button', { name: drives('startMockTest') }).click();
  await page.getByRole('timer').waitFor();
}

/** Types keys one after the other, as on the marking desk. */
export async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) await page.keyboard.press(key);
}

/** Starts or ends an exercise by key, and waits until the console says so: only then does the next press count. */
export async function startOrEnd(page: Page): Promise<void> {
  const heading = page.getByRole('main').getByRole('heading', { level: 2 }).first();
  const before = (await heading.textContent())!;
  await press(page, 'Home');
  await expect(heading).not.toHaveText(before);
}

/** Drives an attempts yard through both alley docks to a parallel park that fails: a fourth movement, then as the instructor says. */
export async function failParallelPark(page: Page): Promise<void> {
  for (const side of ['left', 'right']) {
    await expect(page.getByRole('heading', { name: yard('next', { name: `Alley dock ${side}` }) })).toBeVisible();
    await startOrEnd(page);
    await minutes(page, 1);
    await startOrEnd(page);
  }
  await startOrEnd(page);
  for (let i = 0; i < 4; i++)
    await page.getByRole('button', { name: yard('countOne', { what: yard('movements') }) }).click();
  await expect(page.getByRole('alert').filter({ hasText: /^This attempt failed/ })).toContainText('3 allowed');
  await startOrEnd(page);
  await expect(page.getByRole('heading', { name: yard('again', { name: 'Parallel park left' }) })).toBeVisible();
  await startOrEnd(page);
  await expect(page.getByText(yard('attemptOf', { attempt: 2, most: 2 }))).toBeVisible();
  await page.getByRole('button', { name: yard('attemptFailed') }).click();
  await expect(page.getByRole('alert').filter({ hasText: /^This exercise is failed/ })).toBeVisible();
}

/** Keeps every request to an address waiting until the function that is given back is called. */
export async function holdBack(page: Page, address: string): Promise<() => void> {
  let letGo = (): void => undefined;
  const gone = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  await page.route(address, async (route) => {
    await gone;
    await route.continue();
  });
  return letGo;
}

/** Moves a row of a list by its grip, one place by the arrow key, hearing each place said before the next key. */
export async function carry(
  page: Page,
  grip: Locator,
  arrow: 'ArrowUp' | 'ArrowDown',
  [from, to]: readonly [number, number],
): Promise<void> {
  const heard = (words: RegExp) => expect(page.getByRole('status').filter({ hasText: words })).toBeAttached();
  await grip.focus();
  await page.keyboard.press('Space');
  await heard(new RegExp(`: place ${from} of \\d+\\.$`));
  await page.keyboard.press(arrow);
  await heard(new RegExp(`: place ${to} of \\d+\\.$`));
  await page.keyboard.press('Space');
  await heard(new RegExp(`put down, place ${to} of \\d+\\.$`));
}

/** Lets time pass on a page whose clock is installed. */
export async function minutes(page: Page, n: number): Promise<void> {
  await page.clock.fastForward(n * 60_000);
}

/** Ends the drive on the desk and waits for the verdict. */
export async function endDrive(page: Page): Promise<void> {
  await page.keyboard.press('End');
  await page.getByRole('button', { name: desk('endAndSeeResult') }).click();
  await page.getByRole('heading', { name: result('faultsInOrder') }).waitFor();
}

/** Lets the page send what waits, and says whether it did. */
export async function allSaved(page: Page): Promise<void> {
  await page.clock.runFor(20_000);
  await page.getByText(desk('allSaved')).waitFor();
}

/**
 * Watches for the page of the result, which the application fetches ahead.
 * @returns waits until it is on the device with all that it needs
 */
export function watchForResult(page: Page): () => Promise<void> {
  const script = page.waitForResponse(/\/VerdictPage-[^/]*\.js$/);
  return async () => {
    const address = JSON.stringify((await script).url());
    // Done once everything that it imports is there.
    await page.evaluate(`import(${address}).then(() => undefined)`);
    const styled = () =>
      page.evaluate(() =>
        [...document.querySelectorAll<HTMLLinkElement>('link[rel=stylesheet]')].every(({ sheet }) => sheet !== null),
      );
    await expect.poll(styled).toBe(true);
  };
}

/** Begins a standard of the school's own from a template and opens its editor. */
export async function beginStandard(page: Page, template: string, name: string): Promise<void> {
  await page.getByRole('link', { name: shell('standards') }).click();
  await page.getByRole('link', { name: template }).click();
  await page.getByRole('button', { name: standards('copyAndEdit') }).click();
  await page.getByRole('textbox', { name: editor('name') }).fill(name);
  await page.getByRole('button', { name: standards('createDraft') }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

/** Publishes the draft that is open. */
export async function publishStandard(page: Page): Promise<void> {
  await page.getByRole('button', { name: editor('publish'), exact: true }).click();
  await page.getByRole('button', { name: editor('publish') }).click();
  await page.getByRole('heading', { name: standards('whatFailsTheTest') }).waitFor();
}

/** Adds a learner who is to be tested under this standard; the learner's page is open then. */
export async function testUnder(page: Page, learner: string, standard: string): Promise<void> {
  await addLearner(page, learner);
  await fromMore(page, learners('edit'));
  await page.getByLabel(drives('markingStandard')).click();
  await page.getByRole('option', { name: standard }).click();
  await page.getByRole('button', { name: learners('save') }).click();
  await page.getByRole('link', { name: /^Start mock test/ }).waitFor();
}

/** Chooses what stands behind "More" on the page of a learner. */
export async function fromMore(page: Page, name: string): Promise<void> {
  await page
    .getByRole('main')
    .getByRole('button', { name: learners('more') })
    .click();
  await page.getByRole('menuitem', { name }).click();
}

/** What stands on the page is open to everybody, by the rules of WCAG 2.2 that a machine can check. */
export async function expectNoHarm(page: Page, where: string): Promise<void> {
  await expectNothingFound(axeOf(page).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']), where);
}

/** The same by day, and then what the night theme can change: the contrast of colours. */
export async function expectNoHarmDayAndNight(page: Page, where: string): Promise<void> {
  await expectNoHarm(page, where);
  // Without motion, or the look would fall between two colours.
  await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
  await expect(page.locator('html')).toHaveCSS('color-scheme', 'dark');
  await expectNothingFound(axeOf(page).withRules(['color-contrast']), `${where}, by night`);
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: null });
  await expect(page.locator('html')).toHaveCSS('color-scheme', 'light');
}

/** Stops lie where they lie on a picture, however close; the list beside it does the same. */
const axeOf = (page: Page) =>
  new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode()
    .exclude('.leaflet-marker-pane');

async function expectNothingFound(builder: AxeBuilder, where: string): Promise<void> {
  const { violations } = await builder.analyze();
  const found = violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(' | ')}`);
  expect(found, where).toEqual([]);
}

/** Waits, on a page whose clock is installed, until the day is kept, and takes the network away. */
export async function goOffline(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.goto('/');
  await page.getByRole('heading', { name: today('upcomingDrivingTests') }).waitFor();
  // What a drive needs is fetched ahead once the page has settled.
  await page.clock.runFor(3000);
  await page.getByText(/^Ready for driving without a network/).waitFor();
  await page.context().setOffline(true);
}
