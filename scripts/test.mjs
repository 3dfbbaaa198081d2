// Everything that must hold: types, lint, unit and server tests, browser tests.
import { ensureBrowser } from './browser.mjs';
import { build, install } from './prepare.mjs';
import { runLocal, say } from './steps.mjs';

/**
 * @param {string} name
 * @param {() => void} work
 */
const part = (name, work) => {
  const from = Date.now();
  say(`\n== ${name}`);
  work();
  say(`== ${name}: ${((Date.now() - from) / 1000).toFixed(1)} s`);
};

install();
ensureBrowser();
build();
part('types', () => {
  for (const project of ['packages/core', 'packages/server', 'packages/web', '.'])
    runLocal('tsc', ['-p', project]);
});
part('lint', () => {
  runLocal('eslint', ['.']);
  runLocal('prettier', ['--check', '--log-level', 'warn', '.']);
});
part('unit and server', () => runLocal('jest', ['--maxWorkers=2']));
part('browser', () => runLocal('playwright', ['test', '-c', 'e2e/playwright.config.ts']));
