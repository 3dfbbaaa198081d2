import base from '../../jest.config.js';

const { YTHRION_FOLDER: folder = '*' } = process.env;

/**
 * For changes made to one folder of core: its own tests, those of the plan, the card and the record that are quick. All
 * the others would have to be loaded for every change; at least so many are noticed.
 */
export default {
  ...base,
  rootDir: '../..',
  testMatch: [
    `<rootDir>/packages/core/src/${folder}/**/*.test.ts`,
    '<rootDir>/packages/core/src/**/byHand.test.ts',
    '<rootDir>/packages/core/src/plan/{plan,ways,set}.test.ts',
    '<rootDir>/packages/core/src/record/{cardOf,foldRecord,record}.test.ts',
    '<rootDir>/packages/core/src/words/{wording,shortWords}.test.ts',
    '<rootDir>/packages/core/src/recipe/tools.test.ts',
  ],
  // Hundreds of random plans.
  testPathIgnorePatterns: ['/node_modules/', 'plan/(anyPlan|keptPasses|story|wholeRange)\\.test'],
  testTimeout: 120_000,
};
