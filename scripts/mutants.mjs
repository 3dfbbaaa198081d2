// Spoils core on purpose and counts what the tests notice: npm run mutants -- <constants|stryker> [folder…] [options]
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { install } from './prepare.mjs';
import { ROOT } from './steps.mjs';

install();
const [kind = 'constants', ...rest] = process.argv.slice(2);
const { status } = spawnSync(process.execPath, [path.join(ROOT, `scripts/mutants/${kind}.mjs`), ...rest], {
  stdio: 'inherit',
  cwd: ROOT,
});
process.exit(status ?? 1);
