import { spawn } from 'node:child_process';
import path from 'node:path';
import { build, install } from './prepare.mjs';
import { ROOT } from './steps.mjs';

/**
 * Installs and builds what is missing, then runs a command of the application in place of this one.
 * @param {string[]} args
 */
export function runApplication(args) {
  install();
  build();
  const child = spawn(process.execPath, [path.join(ROOT, 'packages/server/dist/main.js'), ...args], {
    stdio: 'inherit',
  });
  /** @type {NodeJS.Signals[]} */
  const signals = ['SIGINT', 'SIGTERM'];
  for (const signal of signals) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 1));
}
