/**
 * How long a frame takes while the picture of the roads is pulled and zoomed, in Chromium, with the island's roads on it,
 * against a bare page under the same hand.
 * Run: npm run build && npm run bench picture
 */
import type { Page } from '@playwright/test';
import type { RoadsView } from '@jasperwren/contract/roads';
import { signInByForm } from '../e2e/fixtures';
import { framesOf, tableOfFrames } from './frames';
import { withBrowser } from './with-browser';

await withBrowser(async (browser, server) => {
  const page = await browser.newPage({ baseURL: server.address, viewport: { width: 1280, height: 800 } });
  await signInByForm(page, { email: 'ada@bench.example' });
  await page.goto('/routes');
  await page.getByLabel('Add roads', { exact: true }).setInputFiles('demo/tarnavel.osm');
  await page.getByText(/444 junctions/).waitFor();
  const roads = (await (await page.request.get('/api/roads')).json()) as readonly RoadsView[];
  await page.goto('/routes/new');
  await page.locator('.leaflet-container canvas').first().waitFor();
  const bare = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await bare.setContent('<p>bare</p>');
  const rows = {
    'reference: a bare page, pulled': await framesOf(bare, pull),
    'the picture, pulled': await framesOf(page, pull),
    'the picture, zoomed in and out': await framesOf(page, zoom),
  };
  console.log(`${roads[0]!.summary!.edges} edges`);
  console.table(tableOfFrames(rows));
});

async function pull(page: Page): Promise<void> {
  for (let i = 0; i < 6; i++) {
    await page.mouse.move(700, 500);
    await page.mouse.down();
    for (let step = 1; step <= 20; step++) await page.mouse.move(700 - 15 * step, 500 - (i % 2 ? -8 : 8) * step);
    await page.mouse.up();
    await page.waitForTimeout(300);
  }
}

async function zoom(page: Page): Promise<void> {
  await page.mouse.move(600, 400);
  for (const way of [-1, -1, -1, -1, 1, 1, 1, 1]) {
    await page.mouse.wheel(0, 120 * way);
    await page.waitForTimeout(500);
  }
}
