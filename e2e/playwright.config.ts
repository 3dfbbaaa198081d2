import { defineConfig } from '@playwright/test';
import { CHROMIUM } from '../scripts/chromium.mjs';

/** The real application in Debian's Chromium; every test file starts a server of its own on a free port. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.e2e.ts',
  outputDir: '../test-results',
  workers: 2,
  fullyParallel: false,
  // What passes only at the second try is listed as flaky: a race in the test or in the application, to be looked into.
  retries: 1,
  // Limits for a machine several times slower than a desk; nothing here measures speed.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  reporter: [['list']],
  use: {
    launchOptions: CHROMIUM,
    viewport: { width: 1280, height: 800 },
    // A trace takes a sixth of the time: asked for when a failure is looked into.
    trace: process.env.YTHRION_TRACE ? 'retain-on-failure' : 'off',
    serviceWorkers: 'block',
  },
});
