import { defineConfig } from '@playwright/test';

const long = /(access|kills|demo|yard|roads|traces|wheels)\.spec\.ts$/;

export default defineConfig({
  testDir: 'e2e',
  workers: 3,
  fullyParallel: true,
  // The longest begin first, or one of them would go on alone at the end.
  projects: [
    { name: 'long', testMatch: long },
    { name: 'others', testIgnore: long },
  ],
  // Generous: a machine that is busy otherwise is no failure of the product.
  timeout: 480_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json']],
  outputDir: 'test-results',
  globalTeardown: './e2e/demo-server.ts',
  use: {
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    locale: 'en-GB',
    // Only the tests of what works without a network want one.
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
      // No machine of the tests has a graphics card; without one, drawing by the processor alone is quickest.
      args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--disable-software-rasterizer'],
    },
  },
});
