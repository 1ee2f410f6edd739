import { readFileSync } from 'node:fs';
import { XMLParser } from 'fast-xml-parser';
import type { RouteView } from '@jasperwren/contract/driving-routes';
import { t as debrief } from '@jasperwren/words/debrief';
import { t as result } from '@jasperwren/words/result';
import { featureName } from '@jasperwren/words/roads/features';
import { commentaryWords, t as rehearsal } from '@jasperwren/words/rehearsal';
import { t as routes } from '@jasperwren/words/routes';
import { addLearner, endDrive, expect, expectNoHarm, minutes, signIn, test } from './fixtures';
import { addIsland, chooseForRoute, island, planLoop, saveRouteAs, startChosen } from './on-route';

test('roads are read, a route is planned, noted, saved and handed on as GPX', async ({ page, school }) => {
  await signIn(page, school);
  await page.goto('/routes');
  await expect(page.getByText(routes('noRoadsYet'))).toBeVisible();
  // A broken file changes nothing and says where it is broken.
  const broken = Buffer.from(readFileSync(island, 'utf8').slice(0, 5000));
  await page
    .getByLabel(routes('addRoads'), { exact: true })
    .setInputFiles({ name: 'cut.osm', mimeType: 'text/xml', buffer: broken });
  await expect(page.getByText(/The file ends at line \d+|not well-formed/)).toBeVisible();
  await addIsland(page);
  await expectNoHarm(page, 'routes');
  await planLoop(page, '25');
  await expectNoHarm(page, 'the editor, planning');
  await expect(page.getByText(/^2\d to \d\d min, .* miles/)).toBeVisible();

  // A stop can be taken out and the step undone; the picture follows.
  const stops = page.getByRole('button', { name: /^Remove stop/ });
  const before = await stops.count();
  await stops.first().click();
  await expect(stops).toHaveCount(before - 1);
  await page.getByRole('button', { name: routes('undo'), exact: true }).click();
  await expect(stops).toHaveCount(before);

  // A note at the middle of the picture, by the keyboard's way.
  await page.getByRole('button', { name: routes('addNote') }).click();
  await page.getByRole('button', { name: routes('addHere') }).click();
  await page.getByLabel(routes('noteText')).fill('The device counts the gate as an exit.');
  await page.getByLabel(routes('alongTheRoad')).check();
  await page.getByRole('button', { name: routes('saveNote') }).click();
  await expect(
    page
      .getByAltText('The device counts the gate as an exit.')
      .or(page.getByTitle('The device counts the gate as an exit.')),
  ).toBeVisible();

  await saveRouteAs(page, 'Harbour loop');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: routes('downloadGpx') }).click();
  const download = await downloading;
  expect(download.suggestedFilename()).toBe('Harbour loop.gpx');
  const gpx = readFileSync(await download.path(), 'utf8');
  const parsed = new XMLParser({ ignoreAttributes: false }).parse(gpx) as {
    gpx: { trk: { name: string; trkseg: { trkpt: unknown[] } } };
  };
  expect(parsed.gpx.trk.name).toBe('Harbour loop');
  expect(parsed.gpx.trk.trkseg.trkpt.length).toBeGreaterThan(50);

  // The same file comes back as a route along the same roads.
  await page.goto('/routes');
  await page
    .getByLabel(routes('importTrack'))
    .setInputFiles({ name: 'loop.gpx', mimeType: 'application/gpx+xml', buffer: Buffer.from(gpx) });
  await expect(page.getByRole('heading', { level: 1, name: 'Harbour loop' })).toBeVisible();
  await expect(page.getByText(/^2\d to \d\d min, .* miles/)).toBeVisible();
});

test('a mock test is driven on a route: directions come by the simulated position, also without a network', async ({
  page,
  context,
  school,
}) => {
  await page.clock.install({ time: new Date('2026-05-04T09:00:00Z') });
  await signIn(page, school);
  await addLearner(page, 'Ola Learner');
  await addIsland(page);
  await planLoop(page, '20');
  await saveRouteAs(page, 'Quay loop');
  await page.getByRole('link', { name: routes('printDirections') }).click();
  const sheet = page.getByRole('table').getByRole('row');
  await expect(sheet.nth(1)).toBeVisible();
  await expectNoHarm(page, 'the directions');
  // When to speak is the school's to set: nonsense is refused and nothing lost, what is right holds at once.
  const before = await sheet.nth(1).locator('.muted').textContent();
  await page.getByRole('button', { name: routes('whenToSpeak') }).click();
  const yards = page.getByLabel(routes('yardsBefore'));
  await yards.first().fill('5');
  await page.getByRole('button', { name: routes('saveTiming') }).click();
  await expect(page.getByRole('alert')).toContainText('20 m');
  for (let i = 0; i < 4; i++) await yards.nth(i).fill('60');
  await expectNoHarm(page, 'when to speak');
  await page.getByRole('button', { name: routes('saveTiming') }).click();
  await expect(sheet.nth(1).locator('.muted')).not.toHaveText(before!);
  await expect(sheet.nth(1).locator('.muted')).toHaveText(/^60 yards before/);
  const directions = await sheet.locator('b').allTextContents();
  expect(directions.length).toBeGreaterThan(4);

  await chooseForRoute(page, 'Ola Learner', 'Quay loop');
  // Started at once: the route goes along, worked out or not.
  await startChosen(page).click();

  const bar = page.getByRole('region', { name: routes('nextDirection') });
  await expect(bar.getByRole('status')).toHaveText(directions[0]!);
  await expectNoHarm(page, 'the marking screen on a route');
  await bar.getByRole('button', { name: routes('said') }).click();
  await expect(bar.getByRole('status')).not.toHaveText(directions[0]!);
  await context.setOffline(true);
  await bar.getByLabel(routes('position')).selectOption(routes('simulated'));
  await expect(bar.getByRole('status')).toHaveText(directions[0]!);
  // Time goes on, and the next direction comes with it.
  await minutes(page, 6);
  await expect(bar.getByRole('status')).not.toHaveText(directions[0]!);
  expect(directions).toContain(await bar.getByRole('status').textContent());
  // The second turn is missed: a new way is found without a network, and it is no fault.
  await bar.getByLabel(routes('position')).selectOption(routes('byTouch'));
  await bar.getByLabel(routes('notDriven')).selectOption(routes('turnMissed'));
  await expect(bar.getByText(routes('onNewWay'))).toBeVisible();
  await expect(bar.getByRole('status')).toHaveText(/^[A-Z].*\.$/);
  const onNewWay = await bar.getByRole('status').textContent();
  await context.setOffline(false);
  // The new way survives a reload.
  await page.reload();
  await expect(bar.getByRole('status')).toHaveText(onNewWay!);
  await endDrive(page);
  await expect(page.getByText(result('onRoute', { route: 'Quay loop' }).slice(2))).toBeVisible();
  // The roads are not new to this learner any more.
  await page.goto('/routes');
  await page.getByRole('link', { name: 'Quay loop' }).click();
  await page.getByLabel(routes('newTo')).click();
  await page.getByRole('option', { name: 'Ola Learner' }).click();
  await expect(page.getByText(/^New to Ola: 0/)).toBeVisible();
  // A loop may be planned for what a learner had faults in; without any it says so.
  await page.goto('/routes');
  await page.getByRole('link', { name: routes('planRoutes') }).click();
  await page.getByLabel(routes('planFor')).click();
  await page.getByRole('option', { name: 'Ola Learner' }).click();
  await expect(page.getByText(routes('noWeakAreas', { name: 'Ola' }))).toBeVisible();
});

test('a route is rehearsed by listening: the call is heard, then lane, signal and opening are asked', async ({
  page,
  school,
  browser,
}) => {
  await signIn(page, school);
  await addIsland(page);
  await planLoop(page, '20');
  await expect(page.getByRole('term').filter({ hasText: featureName('left-turn') })).toBeVisible();
  await saveRouteAs(page, 'Quay loop');
  await page.getByRole('link', { name: routes('rehearse') }).click();
  // From just before the first call, at four times the pace.
  await page.getByLabel(rehearsal('fromJunction')).click();
  await page.getByRole('option').first().click();
  await page.getByLabel(rehearsal('speed')).click();
  await page.getByRole('option', { name: rehearsal('speedTimes', { times: 4 }) }).click();
  await page.getByRole('button', { name: rehearsal('play') }).click();
  const caption = page.getByRole('status').filter({ has: page.getByRole('button') });
  await expect(caption.getByRole('button', { name: rehearsal('hearAgain') })).toBeVisible();
  // Not aloud it is read.
  await page.getByLabel(rehearsal('speak')).uncheck();
  await expect(caption.getByText(/^“.*\.”$/)).toBeVisible();
  await expectNoHarm(page, 'a rehearsal');
  // Every question of the call is answered with what stands last, right or wrong.
  for (let asked = 1; await caption.getByRole('button').count(); asked++) {
    await caption.getByRole('button').last().click();
    await expect(page.getByText(new RegExp(`of ${asked} right$`))).toBeVisible();
  }
  // An instructor practises calling: spoken at once at the start it is judged.
  await page.getByRole('tab', { name: rehearsal('call') }).click();
  await page.getByRole('button', { name: rehearsal('play') }).click();
  await page.getByRole('button', { name: rehearsal('callNow') }).click();
  await expect(page.getByText(/(Too early|Too late|Well timed): /)).toBeVisible();
  // What goes wrong comes up by itself, and says why the answer is right.
  await page.getByRole('tab', { name: rehearsal('events') }).click();
  await page.getByRole('button', { name: rehearsal('play') }).click();
  const surprise = page.getByText(/^(The sat nav (says|calls)|You have just passed)/);
  await expect(surprise).toBeVisible();
  await surprise.locator('xpath=..').getByRole('button').first().click();
  await expect(page.getByText(/^(Right\.|It was: ).*(sat nav|no fault|out of date)/)).toBeVisible();
  // A commentary run: named once at the start, held against the route.
  await page.getByRole('tab', { name: rehearsal('commentary') }).click();
  await page.getByRole('button', { name: rehearsal('play') }).click();
  await page.getByRole('button', { name: commentaryWords('parked') }).click();
  await page.getByRole('button', { name: rehearsal('compareWithRoute') }).click();
  await expect(page.getByText(/^Also named: parked cars\./)).toBeVisible();
  await expectNoHarm(page, 'a commentary');

  // A passenger follows the device: half-way round it shows where on the route that is.
  const [saved] = (await (await page.request.get('/api/routes')).json()) as [RouteView];
  const { lat: latitude, lon: longitude } = saved.stops[Math.floor(saved.stops.length / 2)]!;
  await page.context().grantPermissions(['geolocation']);
  await page.context().setGeolocation({ latitude, longitude });
  await page.getByLabel(rehearsal('followDevice')).check();
  await expect(page.getByText(/^([1-9]\d*\.\d|0\.[1-9]) miles of/)).toBeVisible();

  // A learner rehearses by a link on a phone of their own, also without a network once it was opened.
  await page.getByRole('button', { name: debrief('createLink') }).click();
  const link = await page.getByLabel(debrief('copyItNowItIsNot')).inputValue();
  const context = await browser.newContext({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });
  const phone = await context.newPage();
  await phone.goto(link);
  await expect(phone.getByRole('button', { name: rehearsal('play') })).toBeVisible();
  for (const tab of await phone.getByRole('tab').all()) {
    await expect(tab).toBeInViewport({ ratio: 1 });
    expect(await tab.evaluate(({ scrollWidth, clientWidth }) => scrollWidth - clientWidth)).toBe(0);
  }
  await expectNoHarm(phone, 'a rehearsal by a link');
  await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await phone.reload();
  await expect(phone.getByRole('button', { name: rehearsal('play') })).toBeVisible();
  await context.setOffline(true);
  await phone.reload();
  await expect(
    phone.getByRole('heading', { level: 1, name: rehearsal('rehearsal', { name: 'Quay loop' }) }),
  ).toBeVisible();
  await phone.getByRole('button', { name: rehearsal('play') }).click();
  await expect(phone.getByRole('button', { name: rehearsal('pause') })).toBeVisible();
  await context.close();
});

test('a route is drawn by the keyboard, and what it lacks is added where it costs least', async ({ page, school }) => {
  await signIn(page, school);
  await addIsland(page);
  await page.getByRole('link', { name: routes('newRoute') }).click();
  const here = page.getByRole('button', { name: routes('addHere') });
  await here.click();
  const picture = page.getByRole('region', { name: routes('roadPicture') }).locator('.leaflet-container');
  // While the picture still moves another key counts for nothing.
  const standsStill = () => expect(page.locator('.leaflet-pan-anim')).toHaveCount(0);
  for (let i = 0; i < 3; i++) {
    await picture.press('ArrowRight');
    await standsStill();
  }
  await here.click();
  await expect(page.getByRole('heading', { name: routes('wants') })).toBeVisible();
  await expect(page.getByText(routes('stopNth', { nth: 2 }), { exact: true })).toHaveCount(0);
  const row = page
    .getByRole('button', { name: /^Add, \+\d+ min$/ })
    .first()
    .locator('xpath=ancestor::dd/..');
  const name = await row.getByRole('term').textContent();
  const found = async () =>
    Number(
      /(\d+) of/.exec(
        (await page
          .getByRole('term')
          .filter({ hasText: new RegExp(`^${name}$`) })
          .locator('..')
          .textContent()) ?? '',
      )?.[1],
    );
  const before = await found();
  await row.getByRole('button').click();
  await expect(page.getByText(routes('stopNth', { nth: 2 }), { exact: true })).toBeVisible();
  await expect.poll(found).toBeGreaterThan(before);
});
