import { chromium, type Browser } from '@playwright/test';
import { makeServer, runCli, type TestServer } from '../e2e/server';

/** Runs a measurement in Chromium against a server of its own; both end with it, whatever became of it. */
export async function withBrowser(measure: (browser: Browser, server: TestServer) => Promise<void>): Promise<void> {
  // Without a browser no server is begun.
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const server = await makeServer();
  try {
    runCli(server.dataDir, 'school', 'bench', '--lead', 'Ada Bench', '--email', 'ada@bench.example');
    await server.start();
    await measure(browser, server);
  } finally {
    await browser.close();
    await server.remove();
  }
}
