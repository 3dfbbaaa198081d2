// Measures the speeds the project cares about and prints each as a share of what is allowed. Never part of the tests.
import { build, install } from './prepare.mjs';
import { run, runLocal } from './steps.mjs';

install();
build();
runLocal('vite', ['build', '--config', 'bench/vite.config.ts', '--logLevel', 'warn'], { quiet: true });
run(process.execPath, ['.cache/bench/bench.js']);
