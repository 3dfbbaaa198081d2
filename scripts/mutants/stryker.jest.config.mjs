import base from '../../jest.config.js';

/**
 * The tests of core, for changes made to core. Those that try hundreds of random recipes take as long as all the others
 * together and are left out: at least so many are noticed.
 */
export default {
  ...base,
  rootDir: '../..',
  testMatch: ['<rootDir>/packages/core/**/*.test.ts'],
  testPathIgnorePatterns: [
    '/node_modules/',
    'plan/(anyPlan|keptPasses|story|wholeRange)\\.test',
    'again/dyeAgain\\.test',
    'process/conservation\\.test',
  ],
  testTimeout: 120_000,
};
