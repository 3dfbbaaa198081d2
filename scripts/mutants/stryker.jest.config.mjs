import base from '../../jest.config.js';

/** The tests of core, for changes made to core. */
export default {
  ...base,
  rootDir: '../..',
  testMatch: ['<rootDir>/packages/core/**/*.test.ts'],
  testTimeout: 120_000,
};
