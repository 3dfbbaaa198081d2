import { defineConfig } from '@playwright/test';
import { CHROMIUM } from '../scripts/chromium.mjs';

/** The real application in Debian's Chromium; every test file starts a server of its own on a free port. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.e2e.ts',
  outputDir: '../test-results',
  workers: 2,
  fullyParallel: false,
  retries: 0,
  // Limits for a machine several times slower than a desk; nothing here measures speed.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  use: {
    launchOptions: CHROMIUM,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    serviceWorkers: 'block',
  },
});
