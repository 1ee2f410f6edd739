import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { SessionView } from '@jasperwren/contract/accounts';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { PlacesView } from '@jasperwren/contract/places';
import type { TraceView } from '@jasperwren/contract/traces';
import type { SentFix } from '@jasperwren/contract/sent-fix';
import { fullTest } from '@jasperwren/core/drive/testing';
import { readGpxFixes, writeGpxTrace } from '@jasperwren/roads/formats/gpx';
import type { Fix } from '@jasperwren/roads/traces/fix';
import { t as common } from '@jasperwren/words/common';
import { t as desk } from '@jasperwren/words/desk';
import { t as learners } from '@jasperwren/words/learners';
import { t as readiness } from '@jasperwren/words/readiness';
import { t as routes } from '@jasperwren/words/routes';
import { t as traces } from '@jasperwren/words/traces';
import { addLearner, endDrive, expect, expectNoHarm, signIn, test } from './fixtures';
import { addIsland, chooseForRoute, planLoop, saveRouteAs, startChosen } from './on-route';

const dayMs = 24 * 60 * 60 * 1000;

/** A drive of 40 minutes of a learner, so many days ago, with one fault a minute after its start. */
async function addDrive(page: Page, learnerId: string, driveId: string, daysAgo: number): Promise<number> {
  const start = Math.floor(Date.now() / 1000) * 1000 - daysAgo * dayMs;
  const events = fullTest([{ type: 'mark', item: 'signs.lights', grade: 'driving' }]);
  const own = events.map((event) => ({
    ...(event.type === 'started' ? { ...event, learnerId } : event),
    id: `${driveId}-${event.id}`,
    wall: new Date(start + event.atMs).toISOString(),
  }));
  await send(page, `/api/drives/${driveId}/events`, { events: own });
  return start;
}

async function send(page: Page, path: string, data: object): Promise<void> {
  const { csrfToken } = (await (await page.request.get('/api/session')).json()) as SessionView;
  const answer = await page.request.post(path, { headers: { 'x-csrf-token': csrfToken }, data });
  expect([path, answer.status()]).toEqual([path, answer.status() < 300 ? answer.status() : await answer.text()]);
}

/** The trace of a drive once it was worked out. */
async function workedOut(page: Page, driveId: string): Promise<TraceView> {
  let trace: TraceView | null = null;
  await expect(async () => {
    trace = (await (await page.request.get(`/api/drives/${driveId}/trace`)).json()) as TraceView | null;
    expect(trace?.state).toBe('ready');
  }).toPass();
  return trace!;
}

const moved = (fixes: readonly Fix[], byMs: number) => fixes.map((fix) => ({ ...fix, at: fix.at + byMs }));

test('a trace is recorded, a logger joins in, a hot spot is found and practised, and a trace is deleted everywhere', async ({
  page,
  school,
}) => {
  await page.clock.install({ time: new Date() });
  await signIn(page, school);
  await addLearner(page, 'Ola Learner');
  await addIsland(page);
  await planLoop(page, '15');
  await saveRouteAs(page, 'Quay loop');

  // Recorded with the stand-in for a device, after the learner was asked.
  await chooseForRoute(page, 'Ola Learner', 'Quay loop');
  // The route is packed for the car first.
  await expect(page.getByText(routes('routeHelp'))).toBeVisible();
  await startChosen(page).click();
  await page.getByRole('button', { name: new RegExp(`^${desk('more')}`) }).click();
  await page.getByRole('button', { name: desk('traceTile'), exact: true }).click();
  await expect(page.getByText(traces('recordAsk', { name: 'Ola' }))).toBeVisible();
  await expectNoHarm(page, 'the question whether a trace may be recorded');
  await page.getByRole('button', { name: traces('simulate') }).click();
  await expect(page.getByText(traces('noPositionYet'))).toBeVisible();
  await page.clock.runFor(90_000);
  await expect(page.getByText(traces('recording'))).toBeVisible();
  // A reload in between loses no more than the last seconds.
  await page.reload();
  await expect(page.getByText(traces('noPositionYet'))).toBeVisible();
  await page.clock.runFor(420_000);
  await endDrive(page);
  await page.clock.runFor(20_000);
  const driveId = /drive\/([^/]+)$/.exec(page.url())![1]!;
  // All of it has arrived once the last piece has.
  await expect(async () => expect((await workedOut(page, driveId)).reading!.fixes).toBeGreaterThan(450)).toPass();
  const recorded = await workedOut(page, driveId);
  expect(recorded.source).toBe('simulated');
  expect(recorded.reading!.leftOut).toEqual({ untimed: 0, nowhere: 0, doubled: 0, jumped: 0 });
  expect(recorded.detours!.flat()).toEqual([]);
  await page.getByRole('link', { name: traces('whereItWent') }).click();
  await expect(page.getByRole('heading', { level: 1, name: traces('whereItWent') })).toBeVisible();
  await expect(page.getByText(traces('kept'))).toBeVisible();
  await page.getByRole('slider', { name: traces('moment') }).press('End');
  await expect(page.getByText(/^At \d+:\d\d: /)).toBeVisible();
  await expectNoHarm(page, 'where a mock test went');
  const downloading = page.waitForEvent('download');
  await page.getByText(traces('details')).click();
  await page.getByRole('link', { name: traces('download') }).click();
  const fixes = readGpxFixes(readFileSync(await (await downloading).path(), 'utf8'));
  expect(fixes.length).toBeGreaterThan(450);

  // A logger whose clock is 47 s slow: its file is added afterwards, and its clock set right by hand.
  const [{ id: learnerId }] = (await (await page.request.get('/api/learners')).json()) as [LearnerView];
  const start = await addDrive(page, learnerId, 'logged', 2);
  await page.goto('/drive/logged/road');
  await expect(page.getByText(traces('noTrace'))).toBeVisible();
  const slow = writeGpxTrace('Logger', moved(fixes, start - fixes[0]!.at - 47_000), []);
  await page
    .getByLabel(traces('attach'))
    .setInputFiles({ name: 'logger.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(slow) });
  await page.clock.runFor(5000);
  const before = await workedOut(page, 'logged');
  await page.reload();
  await page.getByText(traces('details')).click();
  await page.getByLabel(traces('clock')).fill('47');
  await page.getByRole('button', { name: traces('save') }).click();
  await expect(async () => {
    const { version, state } = await workedOut(page, 'logged');
    expect([version, state]).toEqual([before.version + 1, 'ready']);
  }).toPass();
  const after = await workedOut(page, 'logged');
  expect([after.source, after.offsetMs]).toEqual(['file', 47_000]);
  expect(after.reading!.pieces[0]!.times[0]![0]).toBe(start);

  // Where the same fault is made each time there is a hot spot.
  for (let i = 0; i < 7; i++) {
    const id = `again-${i}`;
    const begun = await addDrive(page, learnerId, id, 3 + i);
    const sent = moved(fixes, begun - fixes[0]!.at).map(({ at, lat, lon }): SentFix => [at, lat, lon, 5, -1]);
    const pieces = Array.from({ length: Math.ceil(sent.length / 100) }, (_, k) => ({
      id: `p${k}`,
      source: 'device',
      fixes: sent.slice(100 * k, 100 * k + 100),
    }));
    await send(page, `/api/drives/${id}/fixes`, { pieces });
  }
  for (let i = 0; i < 7; i++) await workedOut(page, `again-${i}`);
  await page.goto('/routes/places');
  await expect(page.getByText(traces('hotCount', { count: 1 }))).toBeVisible();
  await expectNoHarm(page, 'where faults happen');
  const list = page.getByRole('region', { name: traces('perPass') });
  await list.getByRole('button').first().click();
  await expect(list.getByText(traces('hot'))).toBeVisible();
  await expect(list.getByRole('list', { name: traces('theDrives') }).getByRole('link')).toHaveCount(8);
  // From there to a loop that leads over it, in one touch.
  await list.getByRole('button', { name: traces('practise') }).click();
  await expect(page.getByLabel(routes('nameOfRoute'))).toHaveValue(/^Practice: /);
  await expect(page.getByText(/\d+ min, .* (miles|km)/).first()).toBeVisible();
  await page.getByRole('button', { name: routes('save') }).click();
  await expect(page.getByRole('link', { name: routes('rehearse') })).toBeVisible();

  // It is driven, with a trace; a fault is placed at a junction before that is switched on.
  await chooseForRoute(page, 'Ola Learner', /^Practice: /);
  await expect(page.getByText(routes('routeHelp'))).toBeVisible();
  await startChosen(page).click();
  await expect(page.getByRole('region', { name: desk('likelyFaults') })).toBeVisible();
  await page.keyboard.type('jo1');
  await page
    .getByRole('group', { name: common('theMockTestSoFar') })
    .getByRole('button')
    .first()
    .click();
  const where = page.getByRole('region', { name: traces('whereOnRoute') });
  await where.getByRole('button').first().click();
  await expect(where.getByRole('button', { pressed: true })).toHaveCount(1);
  await expect(where.getByText(/^Placed after /)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: new RegExp(`^${desk('more')}`) }).click();
  await page.getByRole('button', { name: desk('traceTile'), exact: true }).click();
  await page.getByRole('button', { name: traces('simulate') }).click();
  await page.clock.runFor(60_000);
  await expect(page.getByText(traces('recording'))).toBeVisible();
  await page.clock.runFor(420_000);
  await endDrive(page);
  await page.clock.runFor(20_000);
  const practice = /drive\/([^/]+)$/.exec(page.url())![1]!;
  await expect(async () => expect((await workedOut(page, practice)).reading!.fixes).toBeGreaterThan(400)).toPass();
  const [hot] = ((await (await page.request.get('/api/places')).json()) as PlacesView).places;
  const passed = (await workedOut(page, practice)).reading!.pieces.flatMap(({ passes }) => passes);
  expect(passed.map(({ place }) => place.id)).toContain(hot!.place.id);

  // How well the roads were known counts for readiness.
  await page.goto(`/learners/${learnerId}/readiness`);
  await expect(page.getByText(/mock tests have a trace: Ola had driven \d+/)).toBeVisible();
  await page.getByRole('link', { name: readiness('planALoopFor', { name: 'Ola' }) }).click();
  await expect(page.getByRole('combobox', { name: routes('planFor') })).toHaveText('Ola Learner');

  // Deleted, it is gone from its page, from the places and from readiness.
  const passes = async () => ((await (await page.request.get('/api/places')).json()) as PlacesView).drives;
  expect(await passes()).toBe(10);
  await page.goto('/drive/logged/road');
  await page.getByText(traces('details')).click();
  await page.getByRole('button', { name: traces('deleteTrace') }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: traces('deleteTrace') })
    .click();
  await expect(page.getByText(traces('noTrace'))).toBeVisible();
  expect(await passes()).toBe(9);
  await page.goto(`/learners/${learnerId}`);
  await expect(page.getByRole('heading', { level: 1, name: 'Ola Learner' })).toBeVisible();
  await expect(page.getByRole('main').getByRole('button', { name: learners('more') })).toBeVisible();
});
