/** @type {import('jest').Config} */
export default {
  roots: ['<rootDir>/packages', '<rootDir>/demo'],
  testEnvironment: 'node',
  // As many as the smallest machine has processors; by itself Jest would leave one idle.
  maxWorkers: 2,
  testTimeout: 60_000,
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
