/** Unit tests of core and web, and server tests against real temporary database files. */
export default {
  testMatch: [
    '<rootDir>/packages/*/src/**/*.test.ts',
    '<rootDir>/packages/*/test/**/*.test.ts',
    '<rootDir>/scripts/**/*.test.ts',
  ],
  testEnvironment: 'node',
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(uuid|culori|idb)/)'],
  setupFiles: ['<rootDir>/jest.seed.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.cache'],
  maxWorkers: 2,
  // Some tests open data files and talk over HTTP: a busy machine is no failure.
  testTimeout: 120_000,
};
