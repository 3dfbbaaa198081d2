// Two thousand keys on any fields of the formulation, in the browser: npm run keys [how many]
import { ensureBrowser } from './browser.mjs';
import { build, install } from './prepare.mjs';
import { runLocal } from './steps.mjs';

install();
ensureBrowser();
build();
runLocal(
  'playwright',
  ['test', '-c', 'e2e/playwright.config.ts', 'ownMeasure', '-g', 'any keys on any fields'],
  {
    env: { ...process.env, YTHRION_KEYS: process.argv[2] ?? '2000' },
  },
);
