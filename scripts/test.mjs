// npm test: everything that must hold, from a fresh clone. Ends on "N passed, N failed".
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureInstalled, ensurePrograms, requireNode, run, runBeside } from './setup.mjs';

requireNode();
const [chromium] = await Promise.all([ensurePrograms(), ensureInstalled()]);
const reports = mkdtempSync(join(tmpdir(), 'jasperwren-reports-'));
const jestReport = join(reports, 'jest.json');
const playwrightReport = join(reports, 'playwright.json');

const failedSteps = [];
// Tests often wait, for a disk or a page; what is checked without running it fills these gaps.
const built = take('Build', 'npm', ['run', '--silent', 'build']);
await Promise.all([checkCode(), runTests()]);

const jest = read(jestReport) ?? { numPassedTests: 0, numFailedTests: 1 };
const playwright = read(playwrightReport)?.stats ?? { expected: 0, unexpected: 1, flaky: 0 };
rmSync(reports, { recursive: true });
const passed = jest.numPassedTests + playwright.expected + playwright.flaky;
const testsFailed = jest.numFailedTests + playwright.unexpected;
const failed = testsFailed > 0 ? testsFailed : failedSteps.length;
if (failedSteps.length > 0) console.log(`\nNot in order: ${failedSteps.join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failedSteps.length > 0 ? 1 : 0;

async function checkCode() {
  for (const [name, script, ready] of [
    ['Types', 'types'],
    ['Format, arrows, leftovers', 'lint:house'],
    ['First load', 'size', built],
    ['Linter', 'lint:code'],
  ]) {
    await ready;
    const from = performance.now();
    const { well, printed } = await runBeside('npm', ['run', '--silent', script]);
    report(name, from, well, printed);
  }
}

async function runTests() {
  await built;
  await take('Unit tests', 'npx', ['jest', '--json', `--outputFile=${jestReport}`]);
  await take('End-to-end tests', 'npx', ['playwright', 'test'], {
    CHROMIUM_PATH: chromium,
    PLAYWRIGHT_JSON_OUTPUT_NAME: playwrightReport,
  });
}

/** Takes a step that shows what it prints while it goes on. */
async function take(name, command, args, env) {
  console.log(`\n== ${name}`);
  const from = performance.now();
  report(name, from, await run(command, args, env));
}

function report(name, from, well, printed) {
  if (printed !== undefined) console.log(`\n== ${name}\n${printed}`);
  console.log(`(${name}: ${Math.round((performance.now() - from) / 1000)} s)`);
  if (!well) failedSteps.push(name);
}

function read(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return undefined;
  }
}
