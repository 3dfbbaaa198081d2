// A hundred thousand sequences of keys against fields and draft: npm run typing [how many]
import { install } from './prepare.mjs';
import { runLocal } from './steps.mjs';

install();
runLocal('jest', ['packages/web/src/colorways/typedAndPlanned'], {
  env: { ...process.env, YTHRION_SEQUENCES: process.argv[2] ?? '100000' },
});
