// Builds the server and the command line; packages of the registry stay outside,
// save those of which the development tools bring another version to the top folder.
import { rmSync } from 'node:fs';
import { build } from 'esbuild';

const programs = [
  ['server', ['packages/server/src/jobs/worker.ts']],
  ['cli', []],
];
for (const [name, more] of programs) {
  rmSync(`packages/${name}/dist`, { recursive: true, force: true });
  await build({
    entryPoints: [`packages/${name}/src/main.ts`, ...more],
    outdir: `packages/${name}/dist`,
    entryNames: '[name]',
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    plugins: [
      {
        name: 'only-our-own',
        setup({ onResolve }) {
          onResolve({ filter: /^[^./]/ }, ({ path, importer }) =>
            importer.includes('node_modules') || /^(@jasperwren\/|ajv(\/|$)|lru-cache$)/.test(path)
              ? undefined
              : { path, external: true },
          );
        },
      },
    ],
    tsconfig: 'tsconfig.base.json',
    logLevel: 'warning',
  });
}
