import { t as drives } from '@jasperwren/words/drives';
import { t as routes } from '@jasperwren/words/routes';
import type { Page } from '@playwright/test';
import { expect } from './fixtures';

/** The roads of the demo. */
export const island = 'demo/tarnavel.osm';

/** Adds the island's roads by the button and waits until they are read. */
export async function addIsland(page: Page): Promise<void> {
  await page.goto('/routes');
  await page.getByLabel(routes('addRoads'), { exact: true }).setInputFiles(island);
  await expect(page.getByText(/444 junctions/)).toBeVisible();
}

/** Has a loop planned about the middle of the picture, and uses the first. */
export async function planLoop(page: Page, wished: string): Promise<void> {
  await page.getByRole('link', { name: routes('planRoutes') }).click();
  await page.getByLabel(routes('planMinutes')).fill(wished);
  await page.getByRole('button', { name: routes('plan'), exact: true }).click();
  await page
    .getByRole('button', { name: routes('useLoop') })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: routes('wants') })).toBeVisible();
}

export async function saveRouteAs(page: Page, name: string): Promise<void> {
  await page.getByLabel(routes('nameOfRoute')).fill(name);
  await page.getByRole('button', { name: routes('save') }).click();
  await expect(page.getByRole('link', { name: routes('rehearse') })).toBeVisible();
}

/** Chooses a learner and a route on the page that starts mock tests. */
export async function chooseForRoute(page: Page, learner: string, route: string | RegExp): Promise<void> {
  await page.goto('/drive');
  await page.getByLabel(drives('learner'), { exact: true }).last().click();
  await page.getByRole('option', { name: learner }).click();
  await page.getByLabel(routes('routeOptional')).click();
  await page.getByRole('option', { name: route }).click();
}

/** The button that starts the mock test which was chosen. */
export const startChosen = (page: Page) =>
  page.getByRole('button', { name: drives('startMockTest'), exact: true }).last();
