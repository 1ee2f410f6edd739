// How programs for Node are put together: our own code in one piece, packages of the registry left outside,
// save those of which the development tools bring another version to the top folder.
import { build } from 'esbuild';

export const bundle = (options) =>
  build({
    bundle: true,
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
    ...options,
  });
