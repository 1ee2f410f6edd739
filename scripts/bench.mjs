// npm run bench [NAME ...]: measures the code as it is shipped, put together in one piece; all of it where nothing is named.
import { readdirSync, rmSync } from 'node:fs';
import { bundle } from './bundle.mjs';
import { findChromium } from './find-chromium.mjs';
import { giveUp, run } from './setup.mjs';

// What others share has no measuring of its own.
const shared = ['frames', 'net', 'school-data', 'with-browser'];
const all = readdirSync('bench').map((file) => file.replace(/\.ts$/, ''));
const benches = all.filter((name) => !shared.includes(name));
const named = process.argv.slice(2);
const unknown = named.find((name) => !benches.includes(name));
if (unknown) giveUp(`"${unknown}" is none of them: ${benches.join(', ')}.`);

const chromium = findChromium();
if (chromium) process.env.CHROMIUM_PATH = chromium;

const outdir = 'node_modules/.cache/bench';
for (const name of named.length > 0 ? named : benches) {
  console.log(`\n== ${name}`);
  rmSync(outdir, { recursive: true, force: true });
  await bundle({ entryPoints: [`bench/${name}.ts`], outdir, outExtension: { '.js': '.mjs' } });
  if (!(await run('node', [`${outdir}/${name}.mjs`]))) process.exitCode = 1;
}
