import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { CHROMIUM } from './chromium.mjs';
import { say } from './steps.mjs';

/** Makes sure Debian's Chromium is there: by apt-get where that is allowed, else with a clear line of what to install. */
export function ensureBrowser() {
  if (existsSync(CHROMIUM.executablePath)) return;
  say('Chromium is missing; trying to install it.');
  /** @type {import('node:child_process').SpawnSyncOptions} */
  const quiet = {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  };
  const root = process.getuid?.() === 0;
  /** @param {string[]} args */
  const apt = (args) =>
    (root ? spawnSync('apt-get', args, quiet) : spawnSync('sudo', ['-n', 'apt-get', ...args], quiet))
      .status === 0;
  if (
    apt(['update', '-qq']) &&
    apt(['install', '-y', '-qq', '--no-install-recommends', 'chromium']) &&
    existsSync(CHROMIUM.executablePath)
  )
    return;
  say(
    'The browser tests need Chromium. Install it with: apt-get install chromium   (or name one with YTHRION_CHROMIUM)',
  );
  process.exit(1);
}
