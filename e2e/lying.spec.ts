import { t as desk } from '@jasperwren/words/desk';
import { t as drives } from '@jasperwren/words/drives';
import { t as routes } from '@jasperwren/words/routes';
import { t as result } from '@jasperwren/words/result';
import { sectionName } from '@jasperwren/words/names';
import type { Page } from '@playwright/test';
import { addLearner, expect, expectNoHarm, goOffline, minutes, signIn, test } from './fixtures';
import { addIsland, chooseForRoute, planLoop, saveRouteAs } from './on-route';

test.use({ serviceWorkers: 'allow', hasTouch: true, viewport: { width: 844, height: 390 } });

/** Touches what has a name; nothing is scrolled to that the finger could not have reached. */
async function touch(page: Page, name: string | RegExp): Promise<void> {
  const button = page.getByRole('main').getByRole('button', { name, exact: typeof name === 'string' });
  await expect(button).toBeInViewport({ ratio: 1 });
  await button.tap();
}

test('on a phone lying in its holder, without a network: a whole mock test on a route, by touch alone', async ({
  page,
  context,
  school,
}) => {
  await page.clock.install({ time: new Date('2026-05-04T09:00:00Z') });
  await signIn(page, school);
  await addLearner(page, 'Pia Learner');
  await addIsland(page);
  await planLoop(page, '20');
  await saveRouteAs(page, 'Quay loop');
  await goOffline(page);

  await chooseForRoute(page, 'Pia Learner', 'Quay loop');
  await page
    .getByRole('button', { name: drives('startMockTest'), exact: true })
    .last()
    .tap();

  const bar = page.getByRole('region', { name: routes('nextDirection') });
  await expect(bar.getByRole('button', { name: routes('said') })).toBeEnabled();
  const first = (await bar.getByRole('status').textContent())!;
  await touch(page, routes('said'));
  await expect(bar.getByRole('status')).not.toHaveText(first);
  // Said too soon: the one before is a touch away, and so is the way back to the words.
  await touch(page, routes('directionOthers'));
  await touch(page, routes('sayBack'));
  await touch(page, routes('directionAgain'));
  await expect(bar.getByRole('status')).toHaveText(first);
  await expectNoHarm(page, 'the lying desk on a route');

  await minutes(page, 5);
  await touch(page, /^Junctions/);
  await touch(page, 'Observation: driving fault');
  await minutes(page, 1);
  await touch(page, new RegExp(`^${desk('pin2')}`));
  await touch(page, new RegExp(`^${desk('prompt2')}`));
  await minutes(page, 10);
  await touch(page, /^More/);
  await touch(page, desk('startName', { name: 'Bay park' }));
  await minutes(page, 2);
  await touch(page, desk('endName', { name: 'Bay park' }));
  await touch(page, desk('switchSectionNowSection', { section: sectionName('guided') }));
  await minutes(page, 22);
  // Parked: the pin gets its name, then the end.
  await touch(page, desk('pause2'));
  await page.keyboard.press('Escape');
  await touch(page, desk('namePins', { count: 1 }));
  await touch(page, /^Signals/);
  await touch(page, 'Timing: driving fault');
  await touch(page, desk('continue'));
  await touch(page, desk('end'));
  await touch(page, desk('endAndSeeResult'));
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Pass: 2 of 15 driving faults');
  await expect(page.getByText(result('onRoute', { route: 'Quay loop' }).slice(2))).toBeVisible();
  await expect(page.getByText(/^Bay park: 2 min( \d s)?/)).toBeVisible();
  await expect(page.getByText('not sent yet')).toBeVisible();
  await context.setOffline(false);
  await page.clock.runFor(60_000);
  await expect(page.getByText('not sent yet')).toHaveCount(0);
});
