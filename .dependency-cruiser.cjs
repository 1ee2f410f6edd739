/** The arrows of the house run one way: roads, motion <- core <- words <- contract <- server, web, cli. */
const only = (name, comment, from, allowed) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$|/testing' },
  to: { pathNot: allowed },
});

module.exports = {
  forbidden: [
    only(
      'roads-stand-alone',
      'roads import nothing of the rest',
      '^packages/roads/src',
      '^packages/roads/src|node_modules/(fast-xml-parser|flatbush|flatqueue|geographiclib-geodesic|pure-rand|saxes)',
    ),
    only(
      'motion-stands-alone',
      'motion imports nothing of the rest',
      '^packages/motion/src',
      '^packages/motion/src|node_modules/(@cfworker|dxf-writer|flatqueue|json-schema-to-ts)',
    ),
    only(
      'core-stands-alone',
      'core imports roads, motion, itself and small libraries of computation',
      '^packages/core/src',
      '^packages/(core|roads|motion)/src|node_modules/(ajv|damerau-levenshtein|dayjs|ajv-formats|json-schema-to-ts|jsonc-parser|ts-fsrs|papaparse|pure-rand|@stdlib)',
    ),
    only(
      'contract-on-core',
      'contract imports core, words and its validators',
      '^packages/contract/src',
      '^packages/(roads|motion|core|words|contract)/src|node_modules/(class-|reflect-)',
    ),
    only(
      'words-on-core',
      'words import core, and what knows plurals and languages',
      '^packages/words/src',
      '^packages/(roads|motion|core|words)/src|node_modules/i18next',
    ),
    only(
      'server-below-web',
      'server imports contract, core and words',
      '^packages/server/src',
      '^packages/(roads|motion|core|contract|words|server)/src|node_modules|^node:|^(crypto|fs|os|path|util|http|zlib|stream|worker_threads|(timers|fs|stream)/promises)$',
    ),
    only(
      'web-on-contract',
      'web imports contract, core and words, and nothing of Node',
      '^packages/web/src',
      '^packages/(roads|motion|core|contract|words|web)/src|node_modules|^virtual:pwa-register$',
    ),
    { name: 'cli-not-on-web', severity: 'error', from: { path: '^packages/cli/src' }, to: { path: '^packages/web' } },
    {
      name: 'nothing-on-cli',
      severity: 'error',
      from: { path: '^packages/(roads|motion|core|contract|words|server|web)' },
      to: { path: '^packages/cli' },
    },
    {
      name: 'stores-know-no-http',
      comment: 'in the server: app -> http, handlers -> stores -> db',
      severity: 'error',
      from: { path: '^packages/server/src/[^/]+/', pathNot: 'handlers\\.ts$|\\.test\\.ts$|^packages/server/src/http/' },
      to: { path: '^packages/server/src/http/|node_modules/(koa|http-errors)' },
    },
    {
      name: 'web-base-is-the-ground',
      comment: 'in web: shell -> feature -> ui, charts -> base',
      severity: 'error',
      from: { path: '^packages/web/src/base/' },
      to: { path: '^packages/web/src/(?!base/)' },
    },
    {
      name: 'web-ui-knows-no-feature',
      severity: 'error',
      from: { path: '^packages/web/src/(ui|charts)/' },
      to: { path: '^packages/web/src/(?!base/|ui/|charts/)' },
    },
    {
      name: 'web-feature-by-its-public-file',
      comment: 'a feature sees of another what its public.ts shows, and nothing of the shell',
      severity: 'error',
      from: { path: '^packages/web/src/(?!shell/|base/|ui/|charts/)([^/]+)/' },
      to: {
        path: '^packages/web/src/(?!base/|ui/|charts/)[^/]+/',
        pathNot: ['^packages/web/src/$1/', '^packages/web/src/(?!shell/)[^/]+/public\\.ts$'],
      },
    },
    {
      name: 'no-testing-in-product',
      severity: 'error',
      from: { path: '^packages/[^/]+/src', pathNot: '\\.test\\.tsx?$|/testing' },
      to: { path: '/testing' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-order',
      comment: 'a log knows nothing of marking',
      severity: 'error',
      from: { path: '^packages/core/src/(catalogue|drive)', pathNot: '\\.test\\.ts$|/testing' },
      to: { path: '^packages/core/src/(marking|formats)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '/dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
