import base from '../../jest.config.js';
import { ROOT } from './folders.mjs';

/** The tests of core over movable numbers. */
export default {
  ...base,
  rootDir: ROOT,
  roots: ['<rootDir>/packages/core'],
  testMatch: ['<rootDir>/packages/core/**/*.test.ts'],
  transform: { '^.+\\.(t|j|mj)sx?$': '<rootDir>/scripts/mutants/transform.mjs' },
  setupFilesAfterEnv: ['<rootDir>/scripts/mutants/setup.ts'],
  testTimeout: 120_000,
};
