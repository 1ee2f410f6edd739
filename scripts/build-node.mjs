// Builds the server and the command line.
import { rmSync } from 'node:fs';
import { bundle } from './bundle.mjs';

const programs = [
  ['server', ['packages/server/src/jobs/worker.ts']],
  ['cli', []],
];
for (const [name, more] of programs) {
  rmSync(`packages/${name}/dist`, { recursive: true, force: true });
  await bundle({
    entryPoints: [`packages/${name}/src/main.ts`, ...more],
    outdir: `packages/${name}/dist`,
    entryNames: '[name]',
    splitting: true,
  });
}
