// Measures the speeds the project cares about and prints each as a share of what is allowed. Never part of the tests.
// Words after it name the parts to measure: plan, fold, browser, server, exchange, color.
import { ensureBrowser } from './browser.mjs';
import { build, install } from './prepare.mjs';
import { run, runLocal } from './steps.mjs';

install();
ensureBrowser();
build();
for (const config of ['bench/page.vite.config.ts', 'bench/vite.config.ts'])
  runLocal('vite', ['build', '--config', config, '--logLevel', 'warn'], { quiet: true });
run(process.execPath, ['.cache/bench/bench.js', ...process.argv.slice(2)]);
