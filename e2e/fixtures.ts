import type { PasswordLink, SessionView } from '@jasperwren/contract/accounts';
import { expect, test as base, type Browser, type Locator, type Page } from '@playwright/test';
import { makeServer, password, runCli, type TestServer } from './server';

interface School {
  readonly name: string;
  readonly email: string;
}

interface TestFixtures {
  /** A school of the test's own, with its lead. */
  readonly school: School;
  readonly newSchool: () => School;
}

let schools = 0;

export const test = base.extend<TestFixtures, { readonly server: TestServer }>({
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
  baseURL: async ({ server }, use) => use(server.address),
  newSchool: async ({ server }, use, { workerIndex }) =>
    use(() => {
      const name = `school-${workerIndex}-${schools++}`;
      const email = `lead@${name}.example`;
      runCli(server.dataDir, 'school', name, '--lead', 'Ada Tester', '--email', email);
      return { name, email };
    }),
  school: async ({ newSchool }, use) => use(newSchool()),
});

export { expect };

interface Account {
  readonly email: string;
}

/** Signs in by the form, as a person does. */
export async function signInByForm(page: Page, { email }: Account): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('navigation', { name: 'Main' }).waitFor();
}

/** Has the lead who is signed in on a page invite somebody, who chooses the usual password. */
export async function addPerson(page: Page, name: string, email: string, role = 'instructor'): Promise<void> {
  const { csrfToken } = (await (await page.request.get('/api/session')).json()) as SessionView;
  const headers = { 'x-csrf-token': csrfToken };
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
  await page.getByRole('navigation', { name: 'Main' }).waitFor();
}

export async function addLearner(page: Page, name: string): Promise<void> {
  await page.goto('/learners/new');
  await page.getByLabel('Name').fill(name);
  await page.getByRole('button', { name: 'Add the learner' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

/** Starts a drive from the learner's page, which must be open. */
export async function startDrive(page: Page): Promise<void> {
  await page.getByRole('link', { name: /^Drive with/ }).click();
  await page.getByRole('button', { name: 'Start the drive' }).click();
  await page.getByRole('timer').waitFor();
}

/** Types keys one after the other, as on the marking desk. */
export async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) await page.keyboard.press(key);
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
  await page.getByRole('button', { name: 'End and see the verdict' }).click();
  await page.getByRole('heading', { name: 'Marks in order' }).waitFor();
}

/** Lets the page send what waits, and says whether it did. */
export async function allSaved(page: Page): Promise<void> {
  await page.clock.runFor(20_000);
  await page.getByText('all saved').waitFor();
}

/** Begins a standard of the school's own from a template and opens its editor. */
export async function beginStandard(page: Page, template: string, name: string): Promise<void> {
  await page.getByRole('link', { name: 'Standards' }).click();
  await page.getByRole('link', { name: template }).click();
  await page.getByRole('button', { name: 'Make your own from it' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByRole('button', { name: 'Begin the draft' }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

/** Publishes the draft that is open. */
export async function publishStandard(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Publish', exact: true }).click();
  await page.getByRole('button', { name: 'Publish it' }).click();
  await page.getByRole('heading', { name: 'What fails you' }).waitFor();
}

/** Adds a learner who is to be tested under this standard; the learner's page is open then. */
export async function testUnder(page: Page, learner: string, standard: string): Promise<void> {
  await addLearner(page, learner);
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByLabel('Marking standard').click();
  await page.getByRole('option', { name: standard }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('link', { name: /^Drive with/ }).waitFor();
}
