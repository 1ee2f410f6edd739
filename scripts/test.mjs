// npm test: everything that must hold, from a fresh clone. Ends on "N passed, N failed".
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium, ensureGpsbabel, ensureInstalled, requireNode, run, runBeside } from './setup.mjs';

requireNode();
ensureInstalled();
const chromium = ensureChromium();
ensureGpsbabel();
const reports = mkdtempSync(join(tmpdir(), 'jasperwren-reports-'));
const jestReport = join(reports, 'jest.json');
const playwrightReport = join(reports, 'playwright.json');

const failedSteps = [];
take('Build', 'npm', ['run', '--silent', 'build']);
// Each of these keeps one processor busy: two of them stand beside each other.
await Promise.all([
  takeBeside([['Linter', 'npm', ['run', '--silent', 'lint:code']]]),
  takeBeside([
    ['Types', 'npm', ['run', '--silent', 'types']],
    ['Format, arrows, leftovers', 'npm', ['run', '--silent', 'lint:house']],
    ['First load', 'npm', ['run', '--silent', 'size']],
  ]),
]);
take('Unit tests', 'npx', ['jest', '--json', `--outputFile=${jestReport}`]);
take('End-to-end tests', 'npx', ['playwright', 'test'], {
  CHROMIUM_PATH: chromium,
  PLAYWRIGHT_JSON_OUTPUT_NAME: playwrightReport,
});

const jest = read(jestReport) ?? { numPassedTests: 0, numFailedTests: 1 };
const playwright = read(playwrightReport)?.stats ?? { expected: 0, unexpected: 1, flaky: 0 };
rmSync(reports, { recursive: true });
const passed = jest.numPassedTests + playwright.expected + playwright.flaky;
const testsFailed = jest.numFailedTests + playwright.unexpected;
const failed = testsFailed > 0 ? testsFailed : failedSteps.length;
if (failedSteps.length > 0) console.log(`\nNot in order: ${failedSteps.join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failedSteps.length > 0 ? 1 : 0;

function take(name, command, args, env) {
  const from = performance.now();
  console.log(`\n== ${name}`);
  if (!run(command, args, env)) failedSteps.push(name);
  console.log(`(${name}: ${seconds(from)} s)`);
}

/** Takes steps one after the other beside others; each prints when it is done. */
async function takeBeside(steps) {
  for (const [name, command, args] of steps) {
    const from = performance.now();
    const { well, printed } = await runBeside(command, args);
    console.log(`\n== ${name}\n${printed}(${name}: ${seconds(from)} s)`);
    if (!well) failedSteps.push(name);
  }
}

function seconds(from) {
  return Math.round((performance.now() - from) / 1000);
}

function read(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return undefined;
  }
}
