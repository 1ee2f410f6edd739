/** @type {import('jest').Config} */
export default {
  roots: ['<rootDir>/packages', '<rootDir>/demo'],
  testEnvironment: 'node',
  // As many as the smallest machine has processors; by itself Jest would leave one idle.
  maxWorkers: 2,
  testTimeout: 60_000,
  transform: {
    '\\.tsx?$': [
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
  moduleNameMapper: { '\\.css$': '<rootDir>/packages/web/testing/css-modules.cjs' },
  modulePathIgnorePatterns: ['<rootDir>/packages/.*/dist'],
};
