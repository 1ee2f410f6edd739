import { existsSync } from 'node:fs';

/** The Chromium of this machine: the one that is named, or else the one that the tests install. */
export function findChromium() {
  return [
    process.env.CHROMIUM_PATH,
    '/usr/bin/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
  ].find((path) => path && existsSync(path));
}
