// npm test: everything that must hold, from a fresh clone. Ends on "N passed, N failed".
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium, ensureGpsbabel, ensureInstalled, requireNode, run } from './setup.mjs';

requireNode();
ensureInstalled();
const chromium = ensureChromium();
ensureGpsbabel();
const reports = mkdtempSync(join(tmpdir(), 'jasperwren-reports-'));
const jestReport = join(reports, 'jest.json');
const playwrightReport = join(reports, 'playwright.json');

const steps = [
  ['Build', 'npm', ['run', '--silent', 'build']],
  ['Lint', 'npm', ['run', '--silent', 'lint']],
  ['Types', 'npm', ['run', '--silent', 'types']],
  ['First load', 'npm', ['run', '--silent', 'size']],
  ['Unit tests', 'npx', ['jest', '--json', `--outputFile=${jestReport}`]],
  [
    'End-to-end tests',
    'npx',
    ['playwright', 'test'],
    { CHROMIUM_PATH: chromium, PLAYWRIGHT_JSON_OUTPUT_NAME: playwrightReport },
  ],
];

const failedSteps = [];
for (const [name, command, args, env] of steps) {
  console.log(`\n== ${name}`);
  if (!run(command, args, env)) failedSteps.push(name);
}

const jest = read(jestReport) ?? { numPassedTests: 0, numFailedTests: 1 };
const playwright = read(playwrightReport)?.stats ?? { expected: 0, unexpected: 1, flaky: 0 };
rmSync(reports, { recursive: true });
const passed = jest.numPassedTests + playwright.expected + playwright.flaky;
const testsFailed = jest.numFailedTests + playwright.unexpected;
const failed = testsFailed > 0 ? testsFailed : failedSteps.length;
if (failedSteps.length > 0) console.log(`\nNot in order: ${failedSteps.join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failedSteps.length > 0 ? 1 : 0;

function read(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return undefined;
  }
}
