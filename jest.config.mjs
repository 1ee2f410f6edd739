const shared = {
  roots: ['<rootDir>/packages', '<rootDir>/demo'],
  transform: {
    '\\.[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true, decorators: true },
          transform: { legacyDecorator: true, react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  // These come as ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!(flatbush|flatqueue|pure-rand)/)'],
  moduleNameMapper: { '\\.css$': '<rootDir>/packages/web/testing/css-modules.cjs' },
  modulePathIgnorePatterns: ['<rootDir>/packages/[^/]+/dist/'],
};

/** @type {import('jest').Config} */
export default {
  // As many as the smallest machine has processors; by itself Jest would leave one idle.
  maxWorkers: 2,
  testTimeout: 60_000,
  projects: [
    { ...shared, testEnvironment: 'node', testMatch: ['**/*.test.ts'] },
    // What draws or listens is tested on a page.
    {
      ...shared,
      testEnvironment: '<rootDir>/packages/web/testing/page.cjs',
      setupFilesAfterEnv: ['<rootDir>/packages/web/testing/patience.cjs'],
      testMatch: ['**/*.test.tsx'],
    },
  ],
};
