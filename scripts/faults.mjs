// Kills the server many times over, in the middle of everything it does with the data file: npm run faults [rounds]
// With nothing said: 60 rounds of four clients logging, 30 of each kind of work on the whole file.
import { build, install } from './prepare.mjs';
import { runLocal } from './steps.mjs';

install();
build();
const rounds = Number(process.argv[2] ?? 60);
runLocal('playwright', ['test', '-c', 'e2e/playwright.config.ts', 'durability'], {
  env: { ...process.env, YTHRION_ROUNDS: String(rounds) },
});
