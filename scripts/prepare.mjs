import { spawnSync } from 'node:child_process';
import { ROOT, run, runLocal, say, unlessUpToDate } from './steps.mjs';

/** Installs what is missing: the packages, and the database driver compiled for this machine. */
export function install() {
  unlessUpToDate('install', ['package-lock.json'], 'node_modules/sequelize', () => {
    say(
      'Installing packages; the database driver is compiled here, which takes a few minutes the first time.',
    );
    run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'], { quiet: true });
    if (!driverLoads()) {
      run('npm', ['rebuild', 'sqlite3', '--loglevel=error'], { quiet: true });
      if (!driverLoads()) {
        say(
          'The database driver (sqlite3) could not be compiled. It needs a C++ compiler, make and python3.',
        );
        process.exit(1);
      }
    }
  });
}

const driverLoads = () =>
  spawnSync(process.execPath, ['-e', "require('sqlite3')"], { cwd: ROOT }).status === 0;

/** Builds the server and the screens, each only when its sources changed. */
export function build() {
  const core = ['packages/core/src', 'packages/core/package.json', 'package-lock.json'];
  unlessUpToDate(
    'server',
    [...core, 'packages/server/src', 'packages/server/vite.config.ts'],
    'packages/server/dist/main.js',
    () =>
      runLocal(
        'vite',
        ['build', 'packages/server', '--config', 'packages/server/vite.config.ts', '--logLevel', 'warn'],
        { quiet: true },
      ),
  );
  unlessUpToDate(
    'web',
    [
      ...core,
      'packages/web/src',
      'packages/web/public',
      'packages/web/index.html',
      'packages/web/vite.config.ts',
    ],
    'packages/web/dist/index.html',
    () => {
      say('Building the screens.');
      runLocal(
        'vite',
        ['build', 'packages/web', '--config', 'packages/web/vite.config.ts', '--logLevel', 'warn'],
        { quiet: true },
      );
    },
  );
}
